import { idleSeconds } from '@wergon/core/compare';
import type { ComparedMachine } from '@wergon/contract/compare';
import { addDays, mondayOf, weekOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { sayMonthDay } from '../../kit/index.ts';
import { t } from '../../words/index.ts';

/** Seconds of machines in one day or week. */
export type UseBar = {
  readonly name: string;
  readonly used: number;
  readonly down: number;
  readonly idle: number;
};

/** More days than these are told by week. */
const MOST_DAYS = 21;

/** What some machines did over a period, day by day, or week by week where it is long. Idle is what was available and neither
 *  used nor down. */
export function useBars(
  machines: readonly Pick<ComparedMachine, 'days'>[],
  firstDay: LocalDay,
  lastDay: LocalDay,
): readonly UseBar[] {
  const isWeekly = lastDay - firstDay >= MOST_DAYS;
  const startOf = (day: LocalDay) => (isWeekly ? mondayOf(day) : day);
  const bars = new Map<LocalDay, { used: number; down: number; idle: number }>();
  for (let day = startOf(firstDay); day <= lastDay; day = addDays(day, isWeekly ? 7 : 1))
    bars.set(day, { used: 0, down: 0, idle: 0 });
  for (const { days } of machines)
    for (const { day, usedSeconds, downSeconds, availableSeconds } of days) {
      const bar = bars.get(startOf(day));
      if (!bar) continue;
      bar.used += usedSeconds;
      bar.down += downSeconds;
      bar.idle += idleSeconds({ usedSeconds, downSeconds, availableSeconds });
    }
  return [...bars].map(([day, bar]) => ({
    ...bar,
    name: isWeekly ? t('compare.week', { week: weekOf(day) }) : sayMonthDay(day),
  }));
}

/** Steps of a scale of hours, in hours. */
const STEPS = [1, 2, 4, 8, 10, 20, 40, 80, 100, 200, 400, 1000, 2000, 4000];
const MOST_STEPS = 5;
/** The step, in seconds, by which a scale up to a length is told: whole hours, and few of them. */
export const hourStep = (most: number): number =>
  (STEPS.find((hours) => hours * 3600 * MOST_STEPS >= most) ?? 10_000) * 3600;
