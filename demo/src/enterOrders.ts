import type { EntityManager } from '@mikro-orm/libsql';
import { parseRate } from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import { addDays, formatDay, toInstant } from '@wergon/core/time';
import type { Dated, Instant, LocalDay } from '@wergon/core/time';
import type { FieldChange, OrderState, WorkOrderId } from '@wergon/core/work';
import {
  AttachmentEntity,
  OrderChangeEntity,
  OrderEntity,
  TaskEntity,
  newOrderRows,
} from '@wergon/server/work';
import { sampleId } from './ids.ts';
import { estimateOfStep } from './makeOrders.ts';
import type { SampleOrder } from './makeOrders.ts';
import type { Random } from './random.ts';
import { drawNameplate } from './samplePicture.ts';
import { GRADES } from './sampleShop.ts';
import { unwrap } from './unwrap.ts';
import type { SimOrder, SimTask } from './workflow.ts';
import type { Draw } from './draw.ts';

const orderId = (index: number) => `w${index + 1}`;
const taskId = (index: number, step: number) => `w${index + 1}-${(step + 1) * 10}`;

/** An order as it will go in the simulation: how long its tasks really take. */
export function simOrderOf(
  sample: SampleOrder,
  index: number,
  zone: { startOf: (day: LocalDay) => Instant },
  random: Random,
): SimOrder {
  const { order, steps, releaseDay, difficulty } = sample;
  const tasks = steps.map((step, j): SimTask => {
    const { setup, run } = estimateOfStep(step, order.quantity);
    return {
      id: taskId(index, j),
      step,
      setupSeconds: Math.round(setup * random.around(0.3)),
      trueSeconds: Math.round(run * difficulty * random.around(0.25)),
      room: run > 8 * 3600 ? 2 : 1,
      workedSeconds: 0,
      people: 0,
      isDone: false,
      isRework: false,
    };
  });
  const releasedAt = zone.startOf(releaseDay) + 6 * 3600 + random.between(0, 5) * 3600;
  return { id: orderId(index), dueDay: order.due ?? releaseDay, releasedAt, tasks, finishedAt: null };
}

const DAY = 86_400;

function statesOf(
  { releasedAt, finishedAt }: SimOrder,
  opensAt: Instant,
  isOnHold: boolean,
): Dated<OrderState> {
  const states: { from: Instant; value: OrderState }[] = [
    { from: toInstant(releasedAt - 2 * DAY), value: 'draft' },
    { from: toInstant(releasedAt), value: 'released' },
  ];
  if (finishedAt !== null) states.push({ from: toInstant(finishedAt + 600), value: 'finished' });
  if (finishedAt !== null && finishedAt + 3 * DAY < opensAt)
    states.push({ from: toInstant(finishedAt + 2 * DAY), value: 'closed' });
  if (isOnHold) states.push({ from: toInstant(opensAt - DAY), value: 'on-hold' });
  return states;
}

/** So many orders are written at once. */
const TOGETHER = 50;

/** Enters orders as they stand when the shop opens, with what hangs on them. Their lists are there already. */
export async function enterOrders(
  em: EntityManager,
  samples: readonly SampleOrder[],
  simOrders: readonly SimOrder[],
  opensAt: Instant,
  random: Random,
  draw: Draw,
): Promise<void> {
  const rates = new Map<string, Rate>(
    GRADES.map(({ id, standardRate }) => [id, unwrap(parseRate(standardRate))]),
  );
  const nameplate = drawNameplate();
  for (let first = 0; first < samples.length; first += TOGETHER) {
    const made = samples.slice(first, first + TOGETHER).flatMap(({ order }, j) => {
      const i = first + j;
      const sim = simOrders[i];
      if (!sim) return [];
      const ids = [orderId(i), ...sim.tasks.map(({ id }) => id)];
      // The ids are given in the order in which they are asked for: the order's own first.
      const takeId = <Id extends string>() => sampleId<Id>(ids.shift() ?? '');
      const isUntouched = sim.tasks.every(({ workedSeconds }) => workedSeconds === 0);
      const states = statesOf(sim, opensAt, isUntouched && random.chance(0.2));
      const rows = newOrderRows({ ...order, states }, rates, draw, takeId);
      return [{ ...rows, sim, i }];
    });
    await em.insertMany(
      OrderEntity,
      made.map(({ order }) => order),
    );
    await em.insertMany(
      TaskEntity,
      made.flatMap(({ tasks }) => tasks),
    );
    for (const { order, sim, i } of made) await addPapers(em, order.id, sim, i, nameplate);
  }
}

/** What hangs on an order beside its tasks: who made it and changed it, a picture here and there, printed travelers. */
async function addPapers(
  em: EntityManager,
  order: WorkOrderId,
  sim: SimOrder,
  i: number,
  nameplate: ReturnType<typeof drawNameplate>,
): Promise<void> {
  const madeAt = toInstant(sim.releasedAt - 2 * DAY);
  const change = (at: number, by: string, changes: FieldChange[]) =>
    em.insert(OrderChangeEntity, { order, at: toInstant(at), by, changes });
  await change(madeAt, 'Paula Virta', [{ field: 'Order', before: '', after: 'made as a draft' }]);
  await change(sim.releasedAt, 'Paula Virta', [{ field: 'State', before: 'draft', after: 'released' }]);
  if (i % 6 === 0) {
    const after = formatDay(sim.dueDay);
    const before = formatDay(addDays(sim.dueDay, -3));
    await change(sim.releasedAt + DAY, 'Mikko Rask', [{ field: 'Due', before, after }]);
  }
  if (i % 12 === 0) {
    await em.insert(AttachmentEntity, {
      id: `picture-${order}`,
      order,
      name: 'nameplate.png',
      type: 'image/png',
      size: nameplate.length,
      addedAt: toInstant(madeAt + 900),
      addedBy: 'Paula Virta',
      bytes: nameplate,
    });
  }
}
