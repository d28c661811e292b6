import { randomUUID } from 'node:crypto';
import type { LaborState, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { refuse } from '../http/index.ts';
import type { LedgerContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { TaskEntity, moveOrder } from '../work/index.ts';
import { refusalOf } from './outcome.ts';
import { readBatch } from './readBatch.ts';
import { loadStates } from './timelineRows.ts';

/** Who is on tasks of an order after the last entry, and on which. */
export function peopleOnOrder(
  facts: ShopFacts,
  states: ReadonlyMap<TechnicianId, LaborState>,
  order: string,
): { readonly technician: TechnicianId; readonly targets: TargetId[] }[] {
  return [...states].flatMap(([technician, { doing }]) => {
    const running = doing.status === 'work' ? doing.running : [];
    const targets = running.map(({ target }) => target).filter((id) => facts.tasks.get(id)?.order === order);
    return targets.length > 0 ? [{ technician, targets }] : [];
  });
}

/** Acts of the desk on orders that are entries of the journal: tasks finished and reopened, and people stopped with the
 *  order that they were on. */
export function mountOrderActs(mount: Mount, context: LedgerContext): void {
  const { database, clock, journal, setupChanged } = context;

  mount('changeOrderState', async ({ param, body, who }) => {
    const id = param('order');
    const problem = await moveOrder(context, id, {
      to: body.state,
      changer: { by: who.user.name, now: clock.now() },
      accepted: body.accepted,
    });
    if (problem) return problem;
    setupChanged([id]);
    if (body.stopsPeople) {
      const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
        const onIt = peopleOnOrder(known, loadStates(sql), id);
        const stops = onIt.map((each) => ({ type: 'work-stop', ...each }));
        return ok(readBatch(writeEntries(stops, clock.now())));
      });
      return done.ok ? (refusalOf(done.outcomes) ?? ok(null)) : done;
    }
    return ok(null);
  });

  mount('finishTask', async ({ param, body, who }) => {
    const task = await database.em.fork().findOne(TaskEntity, { id: param('task'), order: param('order') });
    if (!task) return refuse('record.not_found');
    const type = body.isFinished ? 'task-done' : 'task-reopen';
    const entries = readBatch(writeEntries([{ type, targets: [task.id] }], clock.now()));
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, entries);
    return done.ok ? (refusalOf(done.outcomes) ?? ok(null)) : done;
  });
}

/** Entries made at the desk, as a batch that the journal reads. */
const writeEntries = (entries: readonly object[], now: Instant): unknown[] =>
  entries.map((entry) => {
    const id = randomUUID();
    return {
      source: 'desk',
      via: [],
      action: id,
      deviceAt: formatInstant(now),
      clockOffset: 0,
      entry: { id, at: formatInstant(now), ...entry },
    };
  });
