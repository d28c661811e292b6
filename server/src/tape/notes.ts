import { ok } from '@wergon/core/result';
import { planNote } from '@wergon/core/tape';
import { addDays } from '@wergon/core/time';
import { mayCorrect } from '../access/index.ts';
import { readSql, writeSql } from '../db/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { findNote, loadPersonTimeline } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner } from '../loose-ends/index.ts';

type Added = Call<'addNote'>['body'];

/** Notes of the desk: of a person's work on a day, beside those of the stations; and which the customer may read. */
export function mountNotes(mount: Mount, context: LedgerContext): void {
  const { database, facts, clock } = context;
  const edits = createEditService(context);

  mount('addNote', ({ body, who }) => edits.record(who, planAdded(body), 'noted', body.once));

  mount('removeNote', ({ param, who }) =>
    edits.record(
      who,
      (sql, { zone }) => {
        const found = findNote(sql, param('entry'));
        if (!found) return refuse('record.not_found');
        const { id, technician, at } = found.entry;
        const day = zone.dayAt(at);
        const people = technician === undefined ? [] : [technician];
        return ok({ people, firstDay: day, lastDay: day, changes: [{ type: 'void', target: id }] });
      },
      'taken out',
    ),
  );

  mount('markNote', async ({ param, body, who }) => {
    const known = await facts.get();
    const found = await readSql(database, (sql) => findNote(sql, param('entry')));
    if (!found) return refuse('record.not_found');
    const { id, technician } = found.entry;
    if (!mayCorrect(who, known, technician)) return refuse('reconcile.other_people');
    await writeSql(database, (sql) => {
      sql.run('delete from "customer_note" where "entry" = ?', [id]);
      if (body.isForCustomer)
        sql.insert('customer_note', [{ entry: id, marked_at: clock.now(), marked_by: who.user.name }]);
    });
    return ok(null);
  });
}

const planAdded =
  ({ technician, day, target, text }: Added): EditPlanner =>
  (sql, facts, now) => {
    if (!facts.technicians.has(technician))
      return refuse('input.invalid', [{ field: 'technician', message: 'no such technician' }]);
    if (target !== null && !facts.targets.has(target))
      return refuse('input.invalid', [{ field: 'target', message: 'no such task or activity' }]);
    if (day > facts.zone.dayAt(now))
      return refuse('input.invalid', [{ field: 'day', message: 'lies in the future' }]);
    const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
    const { stints } = loadPersonTimeline(sql, facts, technician, span, now);
    const changes = [planNote({ technician, day, target, text }, stints, facts.zone, now)];
    return ok({ people: [technician], firstDay: day, lastDay: day, changes });
  };
