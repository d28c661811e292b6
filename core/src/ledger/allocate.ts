import { itemAt } from '../result/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { shareByWeight } from '../money/index.ts';
import { inForceAt, toSeconds, addDays } from '../time/index.ts';
import type { Instant, LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { TargetId } from './entries.ts';
import type { LedgerFacts } from './facts.ts';
import type { Stint } from './stint.ts';

/** The part of a stint that one target gets on one local day. Source: docs/ledger.md, section 5. */
export type Allocation = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly day: LocalDay;
  /** The day of the shift it lies in, by which it is approved and paid. */
  readonly shiftDay: LocalDay;
  readonly from: Instant;
  readonly to: Instant;
  readonly seconds: Seconds;
  readonly isShared: boolean;
  readonly machine: string | undefined;
  readonly chargeRate: string | undefined;
  readonly payClass: string | undefined;
  readonly reason: string | undefined;
};

function weightsOf(stint: Stint, facts: LedgerFacts): readonly number[] {
  const estimates = stint.running.map(({ target }) => {
    const known = facts.targets.get(target);
    return known?.kind === 'task' ? inForceAt(known.estimate, stint.from) : 0;
  });
  const areEqual =
    inForceAt(facts.policy, stint.from).split === 'equal' || estimates.some((weight) => weight === 0);
  return areEqual ? estimates.map(() => 1) : estimates;
}

/** Cuts a stint at local days and divides each part over its targets; the seconds add up to the stint's.
 *  A share of nothing makes no piece. Source: docs/ledger.md, section 5. */
export function allocateStint(stint: Stint, facts: LedgerFacts): Allocation[] {
  const { zone } = facts;
  const pieces: Allocation[] = [];
  const isShared = stint.running.length > 1;
  const weights = isShared ? weightsOf(stint, facts) : [];
  let from = stint.from;
  while (from < stint.to) {
    const day = zone.dayAt(from);
    const nextDay = zone.startOf(addDays(day, 1));
    const to = nextDay < stint.to ? nextDay : stint.to;
    const isInShift = stint.shiftSince !== undefined && to > stint.shiftSince;
    const shiftDay = isInShift ? zone.dayAt(stint.shiftSince) : day;
    const shares = isShared ? shareByWeight(to - from, weights) : [to - from];
    for (let i = 0; i < stint.running.length; i += 1) {
      const { target, workType, machine, chargeRate, payClass } = itemAt(stint.running, i);
      const seconds = toSeconds(itemAt(shares, i));
      if (seconds > 0)
        pieces.push({
          technician: stint.technician,
          target,
          workType,
          day,
          shiftDay,
          from,
          to,
          seconds,
          isShared,
          machine,
          chargeRate,
          payClass,
          reason: stint.reason,
        });
    }
    from = to;
  }
  return pieces;
}
