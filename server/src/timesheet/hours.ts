import { addHours, amendHours } from '@wergon/core/tape';
import { ok } from '@wergon/core/result';
import { earliestOf, latestOf } from '@wergon/core/time';
import type { FieldProblem } from '@wergon/contract/wire';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner } from '../loose-ends/index.ts';
import { findFull, findHours } from '../tape/index.ts';
import { findErrors } from './writtenTime.ts';

type Row = Call<'enterHours'>['body']['rows'][number];

/** Time written down without a start and an end: for those who do not scan. */
export function mountHours(mount: Mount, context: LedgerContext): void {
  const edits = createEditService(context);
  mount('enterHours', ({ body: { rows, reason, once }, who }) =>
    edits.record(who, planHours(rows), reason || 'written down', once),
  );
}

const planHours =
  (rows: readonly Row[]): EditPlanner =>
  (sql, facts, now) => {
    const before = rows.map(({ entry }) => (entry === null ? undefined : findHours(sql, entry)));
    const errors = rows.flatMap((row, i) => [
      ...findErrors(sql, facts, row, before[i], now).map((error) => ofRow(i, error)),
      ...(row.entry !== null && before[i]?.technician !== row.technician
        ? [ofRow(i, { field: 'entry', message: 'this has changed meanwhile' })]
        : []),
    ]);
    if (errors.length > 0) return refuse('input.invalid', errors);
    const parts = rows.map((row, i) => ({ ...row, field: `rows[${i}].seconds` }));
    const full = findFull(sql, facts, parts, new Set(before.map((each) => each?.id)), now);
    if (full.length > 0) return refuse('hours.day_full', full);
    const days = rows.map(({ day }) => day);
    const changes = rows.flatMap((row, i) => {
      const old = before[i];
      return old ? amendHours(old, row) : addHours(row);
    });
    return changes.length === 0
      ? refuse('edit.nothing')
      : ok({
          people: [...new Set(rows.map(({ technician }) => technician))],
          firstDay: earliestOf(days),
          lastDay: latestOf(days),
          changes,
        });
  };

const ofRow = (place: number, { field, message }: FieldProblem): FieldProblem => ({
  field: `rows[${place}].${field}`,
  message,
});
