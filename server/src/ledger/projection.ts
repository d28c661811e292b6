import { isCorrection, targetsOf } from '@wergon/core/ledger';
import type { Entry, LaborEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { correctEffective, dayOf, insertEffective } from './effectiveEntries.ts';
import { deriveLines } from './laborLines.ts';
import { keepPay } from './payDays.ts';
import { deriveDays, goOn } from './personDays.ts';
import type { TimedEntry } from './personDays.ts';
import { keepUsed } from './usedTime.ts';
import { dueOf, takeDue, waitForDue } from './waiting.ts';

/** Whom and what newly recorded entries have changed. */
export type Touched = { readonly technicians: Set<TechnicianId>; readonly targets: Set<TargetId> };

/** What newly recorded entries touch of one technician. */
type TouchedPerson = {
  readonly timed: Set<LocalDay>;
  readonly hours: Set<LocalDay>;
  /** Entries that have come, in the order of recording. */
  readonly added: TimedEntry[];
  /** Whether something that was there before has gone or changed. */
  isRewritten: boolean;
};
type TouchedDays = Map<TechnicianId, TouchedPerson>;

/** Takes newly recorded entries into the projections, deriving anew only what they can touch: the days of the
 *  technicians they name, until a day ends as it ended before. Source: docs/architecture.md. */
export function project(
  sql: Sql,
  facts: ShopFacts,
  recorded: readonly { readonly entry: Entry; readonly seq: number }[],
  now: Instant,
  touched: Touched,
): void {
  const days: TouchedDays = new Map();
  const takeIn = (entry: LaborEntry, seq: number) => {
    if (dueOf(entry, facts.zone) > now) return waitForDue(sql, facts.zone, entry, seq);
    insertEffective(sql, facts, entry, seq);
    const person = touch(days, touched, facts, entry);
    if (entry.type !== 'hours') person?.added.push(entry);
  };
  for (const { entry, seq } of takeDue(sql, now)) takeIn(entry, seq);
  for (const { entry, seq } of recorded)
    if (isCorrection(entry))
      correctEffective(
        sql,
        facts,
        entry,
        (was) => {
          const person = touch(days, touched, facts, was);
          if (person) person.isRewritten = true;
        },
        takeIn,
      );
    else takeIn(entry, seq);
  for (const [technician, { timed, hours, added, isRewritten }] of days) {
    const changed = { lines: new Set(hours), shifts: new Set(hours) };
    const isGoneOn = !isRewritten && goOn(sql, facts, technician, added, changed);
    if (!isGoneOn && timed.size > 0) deriveDays(sql, facts, technician, timed, changed);
    keepPay(sql, facts, technician, changed.shifts, changed.lines);
    const { before, after } = deriveLines(sql, facts, technician, changed.lines);
    keepUsed(sql, before, after);
    for (const { target } of [...before, ...after]) touched.targets.add(target);
  }
}

function touch(
  days: TouchedDays,
  touched: Touched,
  facts: ShopFacts,
  entry: LaborEntry,
): TouchedPerson | undefined {
  for (const target of targetsOf(entry)) touched.targets.add(target);
  if (entry.technician === undefined) return undefined;
  touched.technicians.add(entry.technician);
  const own = days.get(entry.technician) ?? {
    timed: new Set<LocalDay>(),
    hours: new Set<LocalDay>(),
    added: [],
    isRewritten: false,
  };
  (entry.type === 'hours' ? own.hours : own.timed).add(dayOf(entry, facts));
  days.set(entry.technician, own);
  return own;
}
