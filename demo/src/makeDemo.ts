import { sampleId, targetId, technicianId } from './ids.ts';
import { REASONS } from './sampleLists.ts';
import type { EntityManager } from '@mikro-orm/libsql';
import { parseRate } from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import { Defect } from '@wergon/core/result';
import { CODE_ALPHABET, drawCode } from '@wergon/core/scan';
import type { CodeKind } from '@wergon/core/scan';
import {
  createZone,
  toDay,
  formatDay,
  formatInstant,
  parseDay,
  parseInstant,
  toInstant,
  weekdayOf,
  addDays,
} from '@wergon/core/time';
import type { Dated, Instant, LocalDay } from '@wergon/core/time';
import type { FieldChange, OrderState, WorkOrderId } from '@wergon/core/work';
import { createContext, openShop } from '@wergon/server/app';
import { createSetClock } from '@wergon/server/http';
import type { Context } from '@wergon/server/app';
import { readBatch } from '@wergon/server/ledger';
import { BadgeEntity } from '@wergon/server/people';
import { AttachmentEntity, OrderChangeEntity, addOrder } from '@wergon/server/work';
import { pino } from 'pino';
import { createRandom } from './random.ts';
import type { Random } from './random.ts';
import { countPieces } from './countPieces.ts';
import { nameMachines } from './nameMachines.ts';
import { MACHINES } from './sampleLists.ts';
import { enterStandards } from './enterStandards.ts';
import { estimateOfStep, makeOrders } from './makeOrders.ts';
import type { SampleOrder } from './makeOrders.ts';
import { GRADES, SHOP } from './sampleShop.ts';
import { drawNameplate } from './samplePicture.ts';
import { stationId } from './enterStations.ts';
import { addEstimates } from './addEstimates.ts';
import { addRecurring } from './addRecurring.ts';
import { addWritten } from './addWritten.ts';
import { addRequests } from './addRequests.ts';
import { planOddities, proposeEnd } from './addAnomalies.ts';
import { planDesk } from './reconcileWeeks.ts';
import type { DeskMoment } from './reconcileWeeks.ts';
import { setUpShop } from './setUpShop.ts';
import { simulate } from './simulate.ts';
import type { SimEntry } from './simulate.ts';
import { unwrap } from './unwrap.ts';
import type { SimOrder, SimTask } from './workflow.ts';

const SEED = 20_261_124;
const FIRST_DAY = '2026-09-14';
/** So many days ago the shop changed its rules. */
const RULES_CHANGED = 21;

/** The Tuesday on which the demo opens, by the clock of the shop. */
export const OPENS_AT = '2026-11-24T13:37:00+02:00';

type Progress = (text: string) => void;

/** Makes the sample shop in a new database file: its people, its orders, its standards, and ten weeks of scans, recorded
 *  through the journal as stations record them. The same every time. */
export async function makeDemo(databasePath: string, say: Progress): Promise<void> {
  const database = await openShop(databasePath);
  const clock = createSetClock(0);
  const context = createContext(database, clock, pino({ level: 'warn' }), true);
  const random = createRandom(SEED);
  const zone = unwrap(createZone(SHOP.zone));
  const opensAt = unwrap(parseInstant(OPENS_AT));
  const firstDay = unwrap(parseDay(FIRST_DAY));
  const days = weekdays(firstDay, zone.dayAt(opensAt));

  const today = zone.dayAt(opensAt);
  const { people, origins } = await database.em.fork().transactional(async (em) => ({
    people: await setUpShop(
      em,
      firstDay,
      opensAt,
      today,
      zone.startOf(addDays(today, -RULES_CHANGED)),
      drawFrom(random),
    ),
    origins: await enterStandards(em, 'Paula Virta', zone.startOf(addDays(firstDay, -90))),
  }));
  const samples = makeOrders(days, random, origins);
  const simOrders = samples.map((sample, i) => simOrderOf(sample, i, zone, random));
  const entries = simulate(
    people,
    [...simOrders].sort((a, b) => a.dueDay - b.dueDay),
    days,
    opensAt,
    (day, seconds) => zone.startOf(toDay(day)) + seconds,
    random,
    createIds('e', random),
  );
  await database.em.fork().transactional((em) => enterOrders(em, samples, simOrders, opensAt, random));
  const moments = [
    ...(await planDesk(context, firstDay, opensAt, zone)),
    ...(await planOddities(context, opensAt, zone)),
  ].sort((a, b) => a.at - b.at);
  const quantities = new Map(
    simOrders.flatMap(({ tasks }, i) =>
      tasks.map(({ id }) => [id, samples[i]?.order.quantity ?? 1] as const),
    ),
  );
  const centers = new Map(
    simOrders.flatMap(({ tasks }) => tasks.map(({ id, step }) => [id, step.department] as const)),
  );
  const named = nameMachines(entries, (task) =>
    MACHINES.filter(({ workCenter }) => workCenter === centers.get(task)).map(({ name }) => name),
  );
  const counted = countPieces(named, (task) => quantities.get(task) ?? 1);
  await recordAll(context, clock, counted, moments, say);
  await proposeEnd(context, opensAt);
  await addRequests(context, clock, opensAt);
  await database.em.fork().transactional((em) => addEstimates(em, zone, opensAt, drawFrom(random)));
  await database.em.fork().transactional((em) => addRecurring(em, zone.dayAt(opensAt)));
  await addWritten(context, zone, opensAt, drawFrom(random));
  await database.close();
}

function weekdays(first: LocalDay, last: LocalDay): LocalDay[] {
  const days: LocalDay[] = [];
  for (let day = first; day <= last; day = addDays(day, 1)) if (weekdayOf(day) <= 5) days.push(day);
  return days;
}

const createIds = (prefix: string, random: Random) => {
  let count = 0;
  return () =>
    `${prefix}${(count += 1)}-${Math.floor(random.roll() * 2 ** 32).toString(36)}-${Math.floor(random.roll() * 2 ** 32).toString(36)}`;
};

const drawFrom = (random: Random) => (kind: CodeKind) =>
  drawCode(kind, () => random.between(0, CODE_ALPHABET.length - 1));

const orderId = (index: number) => `w${index + 1}`;
const taskId = (index: number, step: number) => `w${index + 1}-${(step + 1) * 10}`;

function simOrderOf(
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

async function enterOrders(
  em: EntityManager,
  samples: readonly SampleOrder[],
  simOrders: readonly SimOrder[],
  opensAt: Instant,
  random: Random,
): Promise<void> {
  const rates = new Map<string, Rate>(
    GRADES.map(({ id, standardRate }) => [id, unwrap(parseRate(standardRate))]),
  );
  for (const [i, { order }] of samples.entries()) {
    const sim = simOrders[i];
    if (!sim) continue;
    const ids = [orderId(i), ...sim.tasks.map(({ id }) => id)];
    // The ids are given in the order in which they are asked for: the order's own first.
    const takeId = <Id extends string>() => sampleId<Id>(ids.shift() ?? '');
    const isUntouched = sim.tasks.every(({ workedSeconds }) => workedSeconds === 0);
    const states = statesOf(sim, opensAt, isUntouched && random.chance(0.2));
    const id = await addOrder(em, { ...order, states }, rates, drawFrom(random), takeId);
    await addPapers(em, id, sim, i);
  }
}

/** What hangs on an order beside its tasks: who made it and changed it, a picture here and there, printed travelers. */
async function addPapers(em: EntityManager, order: WorkOrderId, sim: SimOrder, i: number): Promise<void> {
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
    const bytes = drawNameplate();
    await em.insert(AttachmentEntity, {
      id: `picture-${order}`,
      order,
      name: 'nameplate.png',
      type: 'image/png',
      size: bytes.length,
      addedAt: toInstant(madeAt + 900),
      addedBy: 'Paula Virta',
      bytes,
    });
  }
}

const TOGETHER = 40;

async function recordAll(
  context: Context,
  clock: { readonly set: (ms: number) => void },
  entries: readonly SimEntry[],
  moments: readonly DeskMoment[],
  say: Progress,
): Promise<void> {
  const waiting = [...moments];
  const runUntil = async (now: number) => {
    for (let next = waiting[0]; next && next.at <= now; next = waiting[0]) {
      waiting.shift();
      clock.set(next.at * 1000);
      await next.run();
    }
  };
  const badges = new Map<string, string>(
    (await context.database.em.fork().findAll(BadgeEntity)).map(({ id, technician }) => [technician, id]),
  );
  // Scans that come close together share a commit, as they do in a busy shop.
  for (let first = 0; first < entries.length; first += TOGETHER) {
    const part = entries.slice(first, first + TOGETHER);
    await runUntil(part[0]?.at ?? 0);
    clock.set((part.at(-1)?.at ?? 0) * 1000 + 900);
    const answers = await Promise.all(
      part.map(({ at, station, entry }) => {
        const badge =
          'technician' in entry && entry.technician !== undefined ? badges.get(entry.technician) : undefined;
        const isTyped = 'technician' in entry && hasForgottenBadge(entry.technician, at);
        const line = {
          source: isTyped ? 'typed' : 'scan',
          via: badge === undefined || isTyped ? [] : [badge],
          ...(badge === undefined ? {} : { identity: isTyped ? 'number' : 'badge' }),
          action: entry.id,
          deviceAt: formatInstant(toInstant(at)),
          clockOffset: 0,
          entry: withReason(entry),
        };
        return context.journal.append({ kind: 'station', id: stationId(station) }, readBatch([line]));
      }),
    );
    const bad = answers.find(({ outcomes }) => outcomes[0]?.result !== 'recorded');
    if (bad) throw new Defect(`sample entry: ${JSON.stringify(bad.outcomes[0])}`);
    if ((first / TOGETHER) % 50 === 49) say(`${first + part.length} of ${entries.length} scans recorded`);
  }
  await runUntil(Infinity);
  say(`${entries.length} scans recorded`);
}

/** On one Thursday somebody had left their badge at home, and typed their number. */
const hasForgottenBadge = (technician: string | undefined, at: number): boolean =>
  technician === technicianId('t8') &&
  Math.abs(at - (unwrap(parseInstant(OPENS_AT)) - 5 * 86_400)) < 10 * 3600;

/** Why work stood still or was done again, as the stations ask. */
function withReason<E extends { readonly id: string; readonly type: string }>(entry: E): E {
  if (entry.type !== 'work-start') return entry;
  const { workType, targets } = entry as { workType?: string; targets?: readonly string[] };
  const list =
    workType === 'rework'
      ? 'rework-reason'
      : targets?.includes(targetId('waiting'))
        ? 'down-reason'
        : undefined;
  if (list === undefined) return entry;
  const reasons = REASONS[list];
  return { ...entry, reason: reasons[entry.id.charCodeAt(entry.id.length - 1) % reasons.length] };
}
