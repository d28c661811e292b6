import { itemAt } from '../result/index.ts';
import { shareByWeight, toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { HoursEntry, TargetId } from './entries.ts';
import { premiumOfLine } from './costing.ts';
import type { LinePremium } from './costing.ts';
import { costParts } from './lines.ts';
import type { LaborLine } from './lines.ts';
import type { Allocation } from './allocate.ts';

/** The part of a labor line that belongs to one shift day, by which it is approved and paid. */
export type ShiftLine = {
  readonly technician: TechnicianId;
  readonly shiftDay: LocalDay;
  readonly day: LocalDay;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly seconds: Seconds;
  readonly cost: Cents | null;
  /** What overtime of this shift day adds, part of the cost; absent where it adds nothing. */
  readonly premium?: Cents;
};

const keyOf = (each: Pick<ShiftLine, 'technician' | 'target' | 'workType' | 'day'>): string =>
  `${each.technician} ${each.target} ${each.workType} ${each.day}`;

/** Splits labor lines by shift day. `pieces` and `hours` are what the lines were summed from; hours that were written
 *  down belong to their own day. `premiums` are what overtime adds to them, which stays with its shift day. Seconds are those of the pieces; a line's cents are shared by them with the largest
 *  remainder and never rounded anew, so the parts add up to the line, but for what payroll paid beyond: that is of a
 *  closed period as a whole. Source: docs/ledger.md, sections 5 and 6. */
export function splitByShiftDay(
  lines: readonly LaborLine[],
  pieces: readonly Allocation[],
  hours: readonly HoursEntry[],
  premiums: readonly LinePremium[] = [],
): ShiftLine[] {
  const parts = new Map<string, Map<LocalDay, number>>();
  const add = (key: string, shiftDay: LocalDay, seconds: number) => {
    const own = parts.get(key) ?? new Map<LocalDay, number>();
    own.set(shiftDay, (own.get(shiftDay) ?? 0) + seconds);
    parts.set(key, own);
  };
  for (const piece of pieces) add(keyOf(piece), piece.shiftDay, piece.seconds);
  for (const { technician, targets, workType = 'run', day, seconds } of hours)
    add(keyOf({ technician, target: itemAt(targets, 0), workType, day }), day, seconds);
  return lines.flatMap((line) => {
    const { technician, target, workType, day, cost } = line;
    const own = [...(parts.get(keyOf(line)) ?? [])].sort(([a], [b]) => a - b);
    const weights = own.map(([, seconds]) => seconds);
    const costs =
      cost === null ? undefined : shareByWeight(cost - (line.premium ?? 0) - (line.trueUp ?? 0), weights);
    return own.map(([shiftDay, seconds], i): ShiftLine => ({
      technician,
      shiftDay,
      day,
      target,
      workType,
      seconds: toSeconds(seconds),
      ...costParts(
        costs ? toCents(itemAt(costs, i)) : null,
        premiumOfLine(line, { premiums: premiums.filter((each) => each.shiftDay === shiftDay) }),
      ),
    }));
  });
}
