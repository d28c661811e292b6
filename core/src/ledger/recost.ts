import type { Cents } from '../money/index.ts';
import { costLine, premiumOfLine, trueUpOfLine } from './costing.ts';
import type { Costing } from './costing.ts';
import { costParts } from './lines.ts';
import type { LaborLine } from './lines.ts';

/** What of a labor line its cost depends on. */
type CostedLine = Pick<LaborLine, 'target' | 'workType' | 'day' | 'seconds' | 'cost'>;

/** What one person's labor lines would cost by other rates, beside what they cost now. Each line is costed once, as it
 *  would be if it were derived anew; hours do not change. A cost set by hand stays.
 *  Source: docs/ledger.md, section 9. */
export const recost = <Line extends CostedLine>(
  lines: readonly Line[],
  costing: Costing,
): readonly (Line & { readonly after: Cents | null })[] =>
  lines.map((line) => ({
    ...line,
    after: costParts(costLine(line, costing), premiumOfLine(line, costing), trueUpOfLine(line, costing)).cost,
  }));
