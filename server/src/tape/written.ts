import type { LaborEntry, TargetId } from '@wergon/core/ledger';
import { planTie } from '@wergon/core/tape';
import { ok } from '@wergon/core/result';
import { earliestOf, latestOf } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { OrderState } from '@wergon/core/work';
import type { EntityManager } from '@mikro-orm/libsql';
import { costsFor, loadLabor } from '../compare/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { readLaborEntry } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner, EditScope } from '../loose-ends/index.ts';
import { loadGround, refuseEdit } from './editContext.ts';
import { OrderEntity, TaskEntity, keepChanges } from '../work/index.ts';
import type { Changer, Task } from '../work/index.ts';

/** Tasks that were written down at stations: each is tied to a real one, its time going along, or kept as it is. */
export function mountWritten(mount: Mount, context: LedgerContext): void {
  const { database, facts, clock, setupChanged } = context;
  const edits = createEditService(context);

  mount('written', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const em = database.em.fork();
    const all = await em.find(TaskEntity, { writtenState: { $in: ['waiting', 'tied'] } });
    const now = clock.now();
    const labor = await readSql(database, (sql) => loadLabor(sql, known, all, now, costsFor(who)));
    const written = labor
      .map(({ task, lines }) => ({
        task,
        seconds: lines.reduce((sum, line) => sum + line.seconds, 0),
        people: [...new Set(lines.map(({ technician }) => technician))],
      }))
      // What was scanned on a tied one since, or came back when the tie was undone, waits again.
      .filter(({ task, seconds }) => task.writtenState === 'waiting' || seconds > 0)
      .sort((a, b) => (b.task.written?.at ?? 0) - (a.task.written?.at ?? 0));
    return ok({
      written: written.flatMap(({ task, seconds, people }) =>
        task.written == null
          ? []
          : [
              {
                task: task.id,
                words: task.title,
                workCenter: task.workCenter,
                order: task.order,
                number: known.orders.get(task.order)?.number ?? '',
                said: task.written.said,
                at: task.written.at,
                by: task.written.by,
                seconds,
                people: people.flatMap((id) =>
                  known.hidden?.has(id) ? [] : (known.technicians.get(id)?.name ?? id),
                ),
              },
            ],
      ),
    });
  });

  mount('previewTie', async ({ param, body, who }) => {
    const known = await facts.get();
    const task = findWaiting(known, param('task'));
    if (!task) return refuse('record.not_found');
    const now = clock.now();
    const scope = await readSql(database, (sql) => scopeOf(findNaming(sql, known, task, now), known, now));
    return edits.preview(who, scope, planOf(task, body.target));
  });

  mount('tieWritten', async ({ param, body, who }) => {
    const known = await facts.get();
    const task = findWaiting(known, param('task'));
    if (!task) return refuse('record.not_found');
    const done = await edits.record(who, planOf(task, body.target), 'tied to its task', body.once);
    // A task that nobody has worked on is only said to be another.
    if (!done.ok && done.code !== 'edit.nothing') return done;
    await markTied(database.em.fork(), task, { by: who.user.name, now: clock.now() });
    setupChanged([task.order]);
    return done.ok ? done : ok({ entries: [] });
  });

  mount('keepWritten', async ({ param, who }) => {
    const task = findWaiting(await facts.get(), param('task'));
    if (!task) return refuse('record.not_found');
    await markKept(database.em.fork(), task, { by: who.user.name, now: clock.now() });
    setupChanged([task.order]);
    return ok(null);
  });
}

/** A task that was written down and is not kept; a tied one may have come back, its tie undone. */
function findWaiting({ tasks }: ShopFacts, id: TargetId): Task | undefined {
  const task = tasks.get(id);
  return task?.writtenState === 'waiting' || task?.writtenState === 'tied' ? task : undefined;
}

/** A tied task is offered nowhere any more; an order that was made for it alone has no other purpose. */
const markTied = (em: EntityManager, task: Task, changer: Changer): Promise<void> =>
  em.transactional(async (within) => {
    const isNew = await within.nativeUpdate(
      TaskEntity,
      { id: task.id, writtenState: 'waiting' },
      { writtenState: 'tied', isAccepted: false },
    );
    if (isNew === 0) return;
    await keepChanges(within, task.order, changer, [
      { field: task.title, before: '', after: 'tied to another task' },
    ]);
    await moveAlone(within, task, 'released', 'closed', changer);
  });

/** A kept task is one of its order, and can be worked on. */
const markKept = (em: EntityManager, task: Task, changer: Changer): Promise<void> =>
  em.transactional(async (within) => {
    await within.nativeUpdate(TaskEntity, { id: task.id }, { writtenState: 'kept', isAccepted: true });
    await keepChanges(within, task.order, changer, [
      { field: task.title, before: '', after: 'kept as a task' },
    ]);
    await moveAlone(within, task, 'closed', 'released', changer);
  });

/** Moves the order of a task that is the only one in it from one state to another. */
async function moveAlone(em: EntityManager, task: Task, from: OrderState, to: OrderState, { now }: Changer) {
  const order = await em.findOneOrFail(OrderEntity, { id: task.order });
  const isAlone = (await em.count(TaskEntity, { order: task.order })) === 1;
  if (!isAlone || order.states.at(-1)?.value !== from) return;
  const states = [...order.states, { from: now, value: to }];
  await em.nativeUpdate(OrderEntity, { id: order.id }, { states });
}

/** Every entry that counts and names a task that was written down: there is none from before, but for lengths that the
 *  desk put on it for an earlier day. */
function findNaming(sql: Sql, facts: ShopFacts, task: Task, now: Instant): LaborEntry[] {
  const [line] = sql.all<{ day: LocalDay | null }>(
    'select min("day") as "day" from "labor_line" where "target" = ?',
    [task.id],
  );
  const writtenOn = facts.zone.dayAt(task.written?.at ?? now);
  const first = Math.min(writtenOn, line?.day ?? writtenOn) - 1;
  const last = facts.zone.dayAt(now) + 1;
  return [...facts.technicians.keys()].flatMap((technician) =>
    sql
      .all<{ body: string }>(
        `select "body" from "effective_entry" where "technician" = ? and "day" between ? and ?
         and instr("body", ?) > 0 order by "seq"`,
        [technician, first, last, JSON.stringify(task.id)],
      )
      .map(({ body }) => readLaborEntry(body)),
  );
}

function scopeOf(entries: readonly LaborEntry[], { zone }: ShopFacts, now: Instant): EditScope {
  const days = entries.map((entry) => (entry.type === 'hours' ? entry.day : zone.dayAt(entry.at)));
  const today = zone.dayAt(now);
  return {
    people: [...new Set(entries.flatMap(({ technician }) => technician ?? []))],
    firstDay: days.length === 0 ? today : earliestOf(days),
    lastDay: days.length === 0 ? today : latestOf([...days, today]),
  };
}

const planOf =
  (task: Task, target: TargetId): EditPlanner =>
  (sql, facts, now) => {
    if (!facts.targets.has(target) || target === task.id)
      return refuse('input.invalid', [{ field: 'target', message: 'no such task or activity' }]);
    const entries = findNaming(sql, facts, task, now);
    const scope = scopeOf(entries, facts, now);
    const planned = planTie(task.id, target, entries, loadGround(sql, facts, scope, [target], now));
    return planned.ok
      ? ok({ ...scope, changes: planned.value })
      : refuseEdit(planned.code, { ...planned.params, field: 'target' }, facts);
  };
