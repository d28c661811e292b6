import { classesOf, refuseClosing } from '@wergon/core/pay';
import type { ClosedClasses, ClosedLine, Owed, PayPeriod, WorkedLine } from '@wergon/core/pay';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { loadShiftDays } from '../ledger/index.ts';
import type { ShiftDay } from '../ledger/index.ts';
import type { Away, AwayDay } from './away.ts';
import {
  NOTHING_OWED,
  findOwed,
  findPeriod,
  loadClosedAway,
  loadClosedLines,
  loadClosedPeriods,
  loadClosedWorked,
  nextPeriod,
  stampOfPeriod,
} from './periods.ts';

/** A period as it stands: its shift days, and the adjustments that it takes or has taken. */
export type Seen = {
  readonly period: PayPeriod;
  readonly closed: ReturnType<typeof loadClosedPeriods>[number] | undefined;
  readonly isNext: boolean;
  readonly isLastClosed: boolean;
  readonly isOver: boolean;
  readonly days: readonly ShiftDay[];
  /** What a closed period keeps; of an open one what it would keep. */
  readonly lines: readonly ClosedLine[];
  readonly adjustments: readonly ClosedLine[];
  readonly classes: readonly ClosedClasses[];
  readonly workedAdjustments: readonly WorkedLine[];
  readonly away: readonly AwayDay[];
  readonly plannedSeconds: Away['plannedSeconds'];
  readonly waiting: Owed['waiting'];
  readonly stamp: string;
};

export function seePeriod(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  now: Instant,
  away: Away,
): Seen | undefined {
  const period = findPeriod(sql, facts, firstDay, now);
  if (!period) return undefined;
  const periods = loadClosedPeriods(sql);
  const closed = periods.find((each) => each.firstDay === firstDay);
  const isNext = nextPeriod(sql, facts, now).firstDay === firstDay;
  const days = loadShiftDays(sql, facts, { firstDay: period.firstDay, lastDay: period.lastDay }, now);
  const kept = closed && loadClosedLines(sql, firstDay);
  const worked = closed && loadClosedWorked(sql, firstDay);
  const owed = isNext ? findOwed(sql, facts, now) : NOTHING_OWED;
  const adjustments = kept ? kept.adjustments : owed.adjustments;
  return {
    period,
    closed,
    isNext,
    isLastClosed: periods.at(-1)?.firstDay === firstDay,
    isOver: period.lastDay < facts.zone.dayAt(now),
    days,
    lines: kept ? kept.own : days.flatMap(({ lines }) => lines),
    adjustments,
    classes: worked
      ? classesOf(worked.own)
      : days.map(({ technician, day, classes }) => ({ technician, day, ...classes })),
    workedAdjustments: worked ? worked.adjustments : owed.workedAdjustments,
    away: closed ? loadClosedAway(sql, firstDay) : away.days,
    plannedSeconds: away.plannedSeconds,
    waiting: owed.waiting,
    stamp: stampOfPeriod(days, adjustments, away.days),
  };
}

export const refusalToClose = ({ closed, isNext, isOver }: Seen) =>
  refuseClosing({ isClosed: closed !== undefined, isNext, isOver });
