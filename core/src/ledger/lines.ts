import { itemAt } from '../result/index.ts';
import { toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { HoursEntry, TargetId } from './entries.ts';
import type { Allocation } from './allocate.ts';
import { costLine, premiumOfLine, trueUpOfLine } from './costing.ts';
import type { Costing, LinePremium } from './costing.ts';

/** Seconds and cost of one technician on one target with one work type on one local day. `cost` is `null` where
 *  no rate holds on that day and nobody has set it; sums leave it out and say so. `premium` is what overtime adds, `trueUp`
 *  what payroll really paid beyond; both are part of the cost, and absent where they add nothing. Source: docs/ledger.md, sections 5 and 6. */
export type LaborLine = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly day: LocalDay;
  readonly seconds: Seconds;
  readonly measuredSeconds: Seconds;
  readonly sharedSeconds: Seconds;
  readonly enteredSeconds: Seconds;
  readonly cost: Cents | null;
  readonly premium?: Cents;
  readonly trueUp?: Cents;
};

type Parts = 'cost' | 'premium' | 'trueUp';
type Tally = { -readonly [Key in keyof Omit<LaborLine, 'seconds' | Parts>]: LaborLine[Key] } & {
  premium: number;
  trueUp: number;
};
type Key = Pick<LaborLine, 'technician' | 'target' | 'workType' | 'day'>;

/** Sums pieces and entered hours of one technician into labor lines, on top of lines there already are (stored ones
 *  that open time is added to), and costs each line once. */
export function sumLines(
  pieces: readonly Allocation[],
  hours: readonly HoursEntry[],
  costing: Costing,
  before: readonly LaborLine[] = [],
): LaborLine[] {
  const days = new Map<LocalDay, Tally[]>();
  const tallyOf = ({ technician, target, workType, day }: Key): Tally => {
    let tallies = days.get(day);
    if (!tallies) days.set(day, (tallies = []));
    for (const tally of tallies) if (tally.target === target && tally.workType === workType) return tally;
    const none = toSeconds(0);
    const tally = {
      technician,
      target,
      workType,
      day,
      measuredSeconds: none,
      sharedSeconds: none,
      enteredSeconds: none,
      premium: 0,
      trueUp: 0,
    };
    tallies.push(tally);
    return tally;
  };
  const add = (key: Key, part: 'measuredSeconds' | 'sharedSeconds' | 'enteredSeconds', seconds: Seconds) => {
    const tally = tallyOf(key);
    tally[part] = toSeconds(tally[part] + seconds);
  };
  for (const line of before) {
    tallyOf(line).premium += line.premium ?? 0;
    tallyOf(line).trueUp += line.trueUp ?? 0;
    add(line, 'measuredSeconds', line.measuredSeconds);
    add(line, 'sharedSeconds', line.sharedSeconds);
    add(line, 'enteredSeconds', line.enteredSeconds);
  }
  for (const piece of pieces) add(piece, piece.isShared ? 'sharedSeconds' : 'measuredSeconds', piece.seconds);
  for (const { technician, targets, workType = 'run', day, seconds } of hours)
    add({ technician, target: itemAt(targets, 0), workType, day }, 'enteredSeconds', seconds);

  const lines: LaborLine[] = [];
  for (const [day, tallies] of days) {
    for (const tally of tallies) {
      const { technician, target, workType } = tally;
      const key = { target, workType, day };
      const seconds = toSeconds(tally.measuredSeconds + tally.sharedSeconds + tally.enteredSeconds);
      lines.push({
        technician,
        target,
        workType,
        day,
        seconds,
        measuredSeconds: tally.measuredSeconds,
        sharedSeconds: tally.sharedSeconds,
        enteredSeconds: tally.enteredSeconds,
        ...costParts(
          costLine({ ...key, seconds }, costing),
          tally.premium + premiumOfLine(key, costing),
          tally.trueUp + trueUpOfLine(key, costing),
        ),
      });
    }
  }
  return lines;
}

/** A cost with what overtime and payroll add; where no rate holds neither adds anything that is known. */
export const costParts = (straight: Cents | null, premium: number, trueUp = 0): Pick<LaborLine, Parts> =>
  straight === null
    ? { cost: null }
    : {
        cost: toCents(straight + premium + trueUp),
        ...(premium === 0 ? {} : { premium: toCents(premium) }),
        ...(trueUp === 0 ? {} : { trueUp: toCents(trueUp) }),
      };

/** Lines of one technician with what overtime adds to them; where no rate holds there is no part of a cost either. */
export const withPremium = (
  lines: readonly LaborLine[],
  premiums: readonly LinePremium[],
): readonly LaborLine[] =>
  lines.map((line) => ({ ...line, ...costParts(line.cost, premiumOfLine(line, { premiums })) }));
