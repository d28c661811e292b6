import type { EntityManager } from '@mikro-orm/libsql';
import { newOrderSchema } from '@wergon/contract/work';
import { ok } from '@wergon/core/result';
import { dated, inForceAt } from '@wergon/core/time';
import { isWorkable, nextOrderNumber } from '@wergon/core/work';
import type { WorkOrderId } from '@wergon/core/work';
import type { ShopFacts } from '../catalog/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { GradeEntity } from '../people/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { settingsOf } from '../shop/index.ts';
import { OrderEntity, TaskEntity, addOrder, addWrittenTask, keepChanges } from '../work/index.ts';
import type { StationContext } from './context.ts';
import { serves } from './phones.ts';

/** Tasks that wait at the desk to be tied, at the most; whoever writes down more has other worries. */
const MOST_WAITING = 200;
/** What the order of work is called that nobody knows the order of. */
const UNKNOWN = 'Unknown order';

type Asked = Call<'writeDown'>['body'];

/** Work that no task is there for: it is written down at the station and begins at once; the desk ties it later. */
export function mountWriteDown(mount: Mount, context: StationContext): void {
  const { database, facts, setupChanged } = context;
  mount('writeDown', async ({ body, who: { station } }) => {
    const known = await facts.get();
    const { technician } = body;
    const person = known.technicians.get(technician);
    if (!person || !serves(station, technician))
      return refuse('input.invalid', [{ field: 'technician', message: 'no such technician' }]);
    const { writesDown } = settingsOf(known.shop).work;
    if (writesDown !== 'everybody' && !(writesDown === 'leads' && person.isLead))
      return refuse('station.writes_nothing_down');
    const order = findOrder(known, body.order);
    if (order && !isWorkable(inForceAt(order.states, context.clock.now())))
      return refuse('input.invalid', [{ field: 'order', message: 'this order is not released' }]);
    const by = { name: person.name, place: station.name };
    const made = await database.em
      .fork()
      .transactional((em) => write(em, context, known, body, order?.id, by));
    if (!made) return refuse('station.cannot_write_down');
    if (made === 'other') return refuse('record.sent_before');
    setupChanged([made.order]);
    return ok({ target: made.target });
  });
}

const findOrder = ({ orders }: ShopFacts, said: string) =>
  said === ''
    ? undefined
    : [...orders.values()].find(({ number }) => number.toLowerCase() === said.toLowerCase());

/** Adds the task, and an order of its own where nobody knows one; absent where there is no grade, or too much waits;
 *  `other` where the same act was sent with something else in it. */
async function write(
  em: EntityManager,
  { clock }: StationContext,
  known: ShopFacts,
  { order: said, words, workCenter, once }: Asked,
  order: WorkOrderId | undefined,
  by: { readonly name: string; readonly place: string },
) {
  const before = once === undefined ? null : await em.findOne(TaskEntity, { writtenBy: once });
  if (before)
    return before.title === words && before.written?.said === said
      ? { target: before.id, order: before.order }
      : ('other' as const);
  const grades = await em.findAll(GradeEntity, { orderBy: { name: 1 } });
  const [first] = order ? await em.find(TaskEntity, { order }, { orderBy: { position: 1 }, limit: 1 }) : [];
  const grade = first?.grade ?? grades[0]?.id;
  const isFull = (await em.count(TaskEntity, { writtenState: 'waiting' })) >= MOST_WAITING;
  if (grade === undefined || isFull) return undefined;
  const { tasks } = newOrderSchema.parse({
    ...blankOrder('0'),
    tasks: [{ title: words, workCenter, grade }],
  });
  const [task] = tasks;
  if (!task) return undefined;
  const now = clock.now();
  const into = await em.findOneOrFail(OrderEntity, { id: order ?? (await makeOrder(em, known)) });
  const rates = new Map(grades.map(({ id, standardRate }) => [id, standardRate]));
  const written = { written: { at: now, by: by.name, said }, writtenBy: once ?? null };
  const target = await addWrittenTask(em, into, task, written, rates);
  await keepChanges(em, into.id, { by: `${by.name}, ${by.place}`, now }, [
    { field: words, before: '', after: 'written down at a station' },
  ]);
  return { target, order: into.id };
}

/** An order for what nobody knows the order of; it can be worked on from now on. */
async function makeOrder(em: EntityManager, { shop }: ShopFacts): Promise<WorkOrderId> {
  const taken = (await em.find(OrderEntity, {}, { fields: ['number'] })).map(({ number }) => number);
  const fields = newOrderSchema.parse(blankOrder(nextOrderNumber(settingsOf(shop).orderNumbers, taken)));
  return addOrder(em, { ...fields, states: dated('released' as const) }, new Map(), drawRandomCode);
}

const blankOrder = (number: string) => ({
  number,
  title: UNKNOWN,
  customer: UNKNOWN,
  quantity: 1,
  due: null,
  estimateIncludes: ['setup'],
  tasks: [],
});
