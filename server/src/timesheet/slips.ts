import { dayParts, planSlips } from '@wergon/core/timesheet';
import type { SlipRow } from '@wergon/core/timesheet';
import { ok } from '@wergon/core/result';
import { atWallClock, earliestOf, latestOf, lengthOf, nextAtClock, toSeconds } from '@wergon/core/time';
import type { Zone } from '@wergon/core/time';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner } from '../loose-ends/index.ts';
import { findFull, loadGround, refuseEdit } from '../tape/index.ts';
import { DraftEntity } from './entities.ts';
import { findErrors } from './writtenTime.ts';

type Row = Call<'recordSlips'>['body']['rows'][number];

/** Paper slips: what somebody wrote down by hand, with a start and an end or as a length, recorded by whoever types it. */
export function mountSlips(mount: Mount, context: LedgerContext): void {
  const edits = createEditService(context);
  mount('recordSlips', async ({ body: { rows, drafts, once }, who }) => {
    const answer = await edits.record(who, planRows(rows), 'from a paper slip', once);
    if (answer.ok && drafts.length > 0)
      await context.database.em.fork().nativeDelete(DraftEntity, { id: { $in: drafts }, user: who.user.id });
    return answer;
  });
}

/** A row with its clock times as instants of its day. */
function readRow({ from, to, seconds, ...row }: Row, zone: Zone): SlipRow {
  if (from === null || to === null) return { ...row, span: null, seconds: seconds ?? toSeconds(0) };
  const begin = atWallClock(zone, row.day, from);
  const span = { from: begin, to: nextAtClock(zone, begin, to) };
  return { ...row, span, seconds: toSeconds(lengthOf(span)) };
}

const planRows =
  (asked: readonly Row[]): EditPlanner =>
  (sql, facts, now) => {
    const rows = asked.map((row) => readRow(row, facts.zone));
    const errors = rows.flatMap((row, i) => [
      ...findErrors(sql, facts, row, undefined, now).map(({ field, message }) => ({
        field: `rows[${i}].${field}`,
        message,
      })),
      ...(row.good + row.scrap > 0 && !facts.tasks.has(row.target)
        ? [{ field: `rows[${i}].good`, message: 'an activity makes no pieces' }]
        : []),
    ]);
    if (errors.length > 0) return refuse('input.invalid', errors);
    const parts = rows.flatMap((row, i) =>
      dayParts(row, facts.zone).map((part) => ({
        ...part,
        field: `rows[${i}].${row.span ? 'to' : 'seconds'}`,
      })),
    );
    const full = findFull(sql, facts, parts, new Set(), now);
    if (full.length > 0) return refuse('hours.day_full', full);
    const days = parts.map(({ day }) => day);
    const scope = {
      people: [...new Set(rows.map(({ technician }) => technician))],
      firstDay: earliestOf(days),
      lastDay: latestOf(days),
    };
    const targets = rows.map(({ target }) => target);
    const planned = planSlips(rows, loadGround(sql, facts, scope, targets, now));
    return planned.ok
      ? ok({ ...scope, changes: planned.value })
      : refuseEdit(planned.code, planned.params, facts);
  };
