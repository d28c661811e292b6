import { toSeconds, weekdayOf } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { OvertimeRule, PayTier } from './overtimeRule.ts';
import { highestOf } from './payClass.ts';
import type { PayClass } from './payClass.ts';

/** From so many seconds of work on, an hour is paid otherwise than before. */
export type Stage = { readonly class: PayClass; readonly after: Seconds };

/** What has been paid of a shift day so far, and what of its week counts towards the tiers of the week, that day among it. */
export type PaidSoFar = { readonly paidSeconds: Seconds; readonly countedSeconds: Seconds };

const tierAt = (tiers: readonly PayTier[], count: number): PayClass =>
  tiers.findLast(({ over }) => over <= count)?.class ?? 'straight';

/** How whoever goes on working is paid, by the rule of that day: the first stage is that of the next second, where that is
 *  not straight. What a week makes double, a day can make overtime again: then a stage is lower than the one before. `own` is what the work itself says of how it is paid. Source: docs/pay.md, overtime ahead. */
export function stagesAhead(
  rule: OvertimeRule,
  day: LocalDay,
  { paidSeconds, countedSeconds }: PaidSoFar,
  own: PayClass,
  isClosed: boolean,
): readonly Stage[] {
  const special = rule.special
    .filter(({ on }) => (on === 'closed' ? isClosed : on === weekdayOf(day)))
    .map((each) => each.class);
  const classAfter = (seconds: number): PayClass => {
    const ofDay = highestOf([own, tierAt(rule.day, paidSeconds + seconds), ...special]);
    // As long as it is straight by the day it counts towards the week, second by second.
    return ofDay === 'straight' ? tierAt(rule.week, countedSeconds + seconds) : ofDay;
  };
  const changes = [
    0,
    ...rule.day.map(({ over }) => over - paidSeconds),
    ...rule.week.map(({ over }) => over - countedSeconds),
  ]
    .filter((after) => after >= 0)
    .sort((a, b) => a - b);
  const stages: Stage[] = [];
  for (const after of changes) {
    const reached = classAfter(after);
    if ((stages.at(-1)?.class ?? 'straight') !== reached)
      stages.push({ class: reached, after: toSeconds(after) });
  }
  return stages;
}
