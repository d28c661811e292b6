import { groupBy } from '../result/index.ts';
import { shareByWeight, toCents } from '../money/index.ts';
import type { Cents } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';
import type { LaborLine } from '../ledger/index.ts';

/** What labor can be cut by. Source: docs/compare.md, section 6. */
export const CUT_FIELDS = [
  'person',
  'department',
  'crew',
  'grade',
  'order',
  'task',
  'customer',
  'unit',
  'division',
  'jobType',
  'costCode',
  'workCenter',
  'machine',
  'kind',
  'activity',
  'workType',
  'reason',
  'day',
  'week',
  'month',
] as const;
export type CutField = (typeof CUT_FIELDS)[number];

/** How many fields a cut can be made by, one within the other. */
export const MOST_LEVELS = 3;

/** Fields of which all labor of a task has the same key: cut by these alone, groups are made of whole tasks. */
const TASK_FIELDS: ReadonlySet<CutField> = new Set([
  'order',
  'task',
  'customer',
  'unit',
  'division',
  'jobType',
  'costCode',
  'workCenter',
  'kind',
]);

/** Whether labor that is cut and filtered by some fields is that of whole tasks, as far as it lies in the period. */
export const cutsWholeTasks = (fields: readonly CutField[]): boolean =>
  fields.every((field) => TASK_FIELDS.has(field));

/** Labor on which nothing that it is cut by differs. */
export type CutPiece = Pick<
  LaborLine,
  'seconds' | 'measuredSeconds' | 'sharedSeconds' | 'enteredSeconds' | 'cost'
>;

/** What labor of one key comes to. A piece without a rate has no cost, and is counted. */
export type CutSum = Omit<CutPiece, 'cost'> & {
  readonly cost: Cents;
  readonly uncostedPieces: number;
};
export type CutGroup<Piece> = CutSum & { readonly key: string; readonly pieces: readonly Piece[] };

/** What pieces of labor come to. Source: docs/compare.md, section 6. */
export function sumPieces(pieces: readonly CutPiece[]): CutSum {
  const sum = { seconds: 0, measured: 0, shared: 0, entered: 0, cost: 0, uncosted: 0 };
  for (const { seconds, measuredSeconds, sharedSeconds, enteredSeconds, cost } of pieces) {
    sum.seconds += seconds;
    sum.measured += measuredSeconds;
    sum.shared += sharedSeconds;
    sum.entered += enteredSeconds;
    if (cost === null) sum.uncosted += 1;
    else sum.cost += cost;
  }
  return {
    seconds: toSeconds(sum.seconds),
    measuredSeconds: toSeconds(sum.measured),
    sharedSeconds: toSeconds(sum.shared),
    enteredSeconds: toSeconds(sum.entered),
    cost: toCents(sum.cost),
    uncostedPieces: sum.uncosted,
  };
}

/** Groups pieces by a key; the groups add up to the whole, second by second and cent by cent. The longest first, of equal
 *  ones by key. Source: docs/compare.md, section 6. */
export function cutPieces<Piece extends CutPiece>(
  pieces: readonly Piece[],
  keyOf: (piece: Piece) => string,
): readonly CutGroup<Piece>[] {
  return [...groupBy(pieces, keyOf)]
    .map(([key, own]) => ({ key, pieces: own, ...sumPieces(own) }))
    .sort((a, b) => b.seconds - a.seconds || (a.key < b.key ? -1 : 1));
}

/** Of a labor line the seconds that were done at a machine, or for a reason. */
export type NamedPart = {
  readonly machine: string;
  readonly reason: string;
  readonly measuredSeconds: Seconds;
  readonly sharedSeconds: Seconds;
};

/** A labor line parted by machine and reason; what no part names is left without. Its cost is shared by seconds, by largest
 *  remainder, so that the parts cost what the line does. Source: docs/compare.md, section 6. */
export function partLine<Line extends CutPiece>(
  line: Line,
  parts: readonly NamedPart[],
): readonly (Line & Partial<Pick<NamedPart, 'machine' | 'reason'>>)[] {
  if (parts.length === 0) return [line];
  const named = (of: 'measuredSeconds' | 'sharedSeconds') => parts.reduce((sum, part) => sum + part[of], 0);
  const rest = {
    machine: '',
    reason: '',
    measuredSeconds: toSeconds(line.measuredSeconds - named('measuredSeconds')),
    sharedSeconds: toSeconds(line.sharedSeconds - named('sharedSeconds')),
    enteredSeconds: line.enteredSeconds,
  };
  const all = [...parts.map((part) => ({ ...part, enteredSeconds: toSeconds(0) })), rest]
    .map((part) => ({
      ...part,
      seconds: toSeconds(part.measuredSeconds + part.sharedSeconds + part.enteredSeconds),
    }))
    .filter(({ seconds }) => seconds > 0);
  const costs =
    line.cost === null || line.seconds <= 0
      ? []
      : shareByWeight(
          line.cost,
          all.map(({ seconds }) => seconds),
        );
  return all.map((part, i) => ({
    ...line,
    ...part,
    cost: line.cost === null ? null : toCents(costs[i] ?? 0),
  }));
}
