import { toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import { allocateStint } from './allocate.ts';
import type { HoursEntry, TargetId } from './entries.ts';
import type { LedgerFacts } from './facts.ts';
import type { Stint } from './stint.ts';

/** What one technician's days were charged to. */
export type ChargedDays = ReadonlyMap<LocalDay, ReadonlyMap<TargetId, Seconds>>;

/** Seconds of one technician by local day and by what they were on, scanned and written down; stints of several targets
 *  are shared, and one over midnight lies in both days. The seconds add up to those of the stints and the hours.
 *  Source: docs/ledger.md, section 5. */
export function chargeDays(
  stints: readonly Stint[],
  hours: readonly HoursEntry[],
  facts: LedgerFacts,
): ChargedDays {
  const days = new Map<LocalDay, Map<TargetId, Seconds>>();
  const charge = (day: LocalDay, target: TargetId, seconds: number) => {
    const own = days.get(day) ?? new Map<TargetId, Seconds>();
    days.set(day, own.set(target, toSeconds((own.get(target) ?? 0) + seconds)));
  };
  for (const stint of stints)
    for (const { day, target, seconds } of allocateStint(stint, facts)) charge(day, target, seconds);
  for (const { day, targets, seconds } of hours)
    if (targets[0] !== undefined) charge(day, targets[0], seconds);
  return days;
}

/** All seconds of a day, whatever they were charged to. */
export const secondsOfDay = (charged: ChargedDays, day: LocalDay): Seconds =>
  toSeconds([...(charged.get(day)?.values() ?? [])].reduce((sum, seconds) => sum + seconds, 0));
