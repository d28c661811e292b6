import { sumCents, toCents } from '../money/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LaborLine } from './lines.ts';

/** A labor line as it may be told; of nobody in particular where it is of people who are not told of. */
export type ToldLine = Omit<LaborLine, 'technician'> & { readonly technician: TechnicianId | null };

/** Labor lines with those of some people added up by target, day and work type, and told of nobody: in all they come to
 *  the same, in seconds and in cents. A sum of which nothing has a cost has none. Source: docs/reconcile.md, approval. */
export function joinLines(lines: readonly LaborLine[], isHidden: (id: TechnicianId) => boolean): ToldLine[] {
  const told: ToldLine[] = [];
  const joined = new Map<string, ToldLine>();
  for (const line of lines) {
    if (!isHidden(line.technician)) {
      told.push(line);
      continue;
    }
    const key = `${line.target} ${line.day} ${line.workType}`;
    const before = joined.get(key);
    joined.set(key, before ? addLines(before, line) : { ...line, technician: null });
  }
  return [...told, ...joined.values()];
}

const addLines = (a: ToldLine, b: LaborLine): ToldLine => ({
  ...a,
  seconds: toSeconds(a.seconds + b.seconds),
  measuredSeconds: toSeconds(a.measuredSeconds + b.measuredSeconds),
  sharedSeconds: toSeconds(a.sharedSeconds + b.sharedSeconds),
  enteredSeconds: toSeconds(a.enteredSeconds + b.enteredSeconds),
  cost: a.cost === null && b.cost === null ? null : sumCents([a, b]),
  premium: toCents((a.premium ?? 0) + (b.premium ?? 0)),
  trueUp: toCents((a.trueUp ?? 0) + (b.trueUp ?? 0)),
});
