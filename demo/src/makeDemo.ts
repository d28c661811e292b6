import type { EntityManager } from '@mikro-orm/libsql';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { parseRate } from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { Defect } from '@wergon/core/result';
import type { Result } from '@wergon/core/result';
import { CODE_ALPHABET, drawCode } from '@wergon/core/scan';
import type { CodeKind } from '@wergon/core/scan';
import {
  createZone,
  dated,
  formatInstant,
  parseDay,
  parseInstant,
  toInstant,
  weekdayOf,
} from '@wergon/core/time';
import type { Dated, Instant, LocalDay } from '@wergon/core/time';
import type { OrderState } from '@wergon/core/work';
import { addUser } from '@wergon/server/access';
import { createContext, createSetClock } from '@wergon/server/app';
import type { Context } from '@wergon/server/app';
import { openDatabase } from '@wergon/server/db';
import { readBatch } from '@wergon/server/ledger';
import { BadgeEntity, CostRateEntity, GradeEntity, addTechnician } from '@wergon/server/people';
import { ActivityEntity, ClockEntity, ShopEntity } from '@wergon/server/shop';
import { StationEntity } from '@wergon/server/station';
import { addOrder } from '@wergon/server/work';
import { pino } from 'pino';
import { createDice } from './dice.ts';
import type { Dice } from './dice.ts';
import { estimateOfStep, makeOrders } from './makeOrders.ts';
import type { SampleOrder } from './makeOrders.ts';
import { ACTIVITIES, GRADES, PEOPLE, SHOP, STATIONS } from './sampleShop.ts';
import { simulate } from './simulate.ts';
import type { SimEntry } from './simulate.ts';
import type { SimOrder, SimTask } from './workflow.ts';

/** Who can sign in at the desk of the demo. Sample data: these are no secrets. */
export const DEMO_USERS = [
  {
    name: 'Solveig Aune',
    userName: 'solveig',
    password: 'odden-rewind',
    role: 'administrator',
    seesRates: true,
  },
  { name: 'Mikko Rask', userName: 'mikko', password: 'odden-rewind', role: 'supervisor', seesRates: false },
] as const;

const SEED = 20_261_124;
const FIRST_DAY = '2026-11-02';
/** The Tuesday on which the demo opens, by the clock of the shop. */
export const OPENS_AT = '2026-11-24T13:37:00+02:00';

function sure<T>(result: Result<T, string>): T {
  if (!result.ok) throw new Defect(`sample data: ${result.code}`);
  return result.value;
}

type Progress = (text: string) => void;

/** Makes the sample shop in a new database file: its people, its orders, and three weeks of scans, recorded one by
 *  one through the journal as stations record them. The same every time. */
export async function makeDemo(databasePath: string, say: Progress): Promise<void> {
  const database = await openDatabase(databasePath);
  const clock = createSetClock(0);
  const context = createContext(database, clock, pino({ level: 'warn' }), true);
  const dice = createDice(SEED);
  const zone = sure(createZone(SHOP.zone));
  const opensAt = sure(parseInstant(OPENS_AT));
  const firstDay = sure(parseDay(FIRST_DAY));
  const days = weekdays(firstDay, zone.dayAt(opensAt));

  const people = await database.em.fork().transactional((em) => setUpShop(em, firstDay, opensAt, dice));
  const samples = makeOrders(days, dice);
  const simOrders = samples.map((sample, i) => simOrderOf(sample, i, zone, dice));
  const entries = simulate(
    people,
    [...simOrders].sort((a, b) => a.dueDay - b.dueDay),
    days,
    opensAt,
    (day, seconds) => zone.startOf(day as LocalDay) + seconds,
    dice,
    createIds('e', dice),
  );
  await database.em.fork().transactional((em) => enterOrders(em, samples, simOrders, opensAt, dice));
  await recordAll(context, clock, entries, say);
  await database.close();
}

function weekdays(first: LocalDay, last: LocalDay): LocalDay[] {
  const days: LocalDay[] = [];
  for (let day = first; day <= last; day = (day + 1) as LocalDay) if (weekdayOf(day) <= 5) days.push(day);
  return days;
}

const createIds = (prefix: string, dice: Dice) => {
  let count = 0;
  return () =>
    `${prefix}${(count += 1)}-${Math.floor(dice.roll() * 2 ** 32).toString(36)}-${Math.floor(dice.roll() * 2 ** 32).toString(36)}`;
};

const drawFrom = (dice: Dice) => (kind: CodeKind) =>
  drawCode(kind, () => dice.between(0, CODE_ALPHABET.length - 1));

async function setUpShop(em: EntityManager, firstDay: LocalDay, opensAt: Instant, dice: Dice) {
  const draw = drawFrom(dice);
  await em.insert(ShopEntity, { id: 1, ...SHOP, policy: dated(DEFAULT_POLICY) });
  await em.insert(ClockEntity, { id: 1, stoppedAt: opensAt });
  for (const user of DEMO_USERS) await addUser(em, user);
  for (const { id, name, standardRate } of GRADES)
    await em.insert(GradeEntity, { id, name, standardRate: sure(parseRate(standardRate)) });
  for (const { id, title, counts } of ACTIVITIES)
    await em.insert(ActivityEntity, { id, title, counts: dated(counts), code: draw('activity') });
  for (const name of Object.values(STATIONS).flat())
    await em.insert(StationEntity, {
      id: stationId(name),
      name,
      tokenHash: null,
      pairedAt: null,
      pairingHash: null,
      pairingExpiresAt: null,
      isRevoked: false,
    });
  const people = [];
  for (const [i, person] of PEOPLE.entries()) {
    const technician = `t${i + 1}`;
    await addTechnician(em, {
      id: technician as TechnicianId,
      number: String(101 + i),
      name: person.name,
      department: person.department,
      badgeCode: draw('badge'),
    });
    const record = {
      from: '2026-01-01',
      per: 'hour',
      base: person.base,
      burden: [
        { kind: 'percent', value: '24.5' },
        { kind: 'perHour', value: '2.15' },
      ],
    };
    await em.insert(CostRateEntity, { technician, fromDay: firstDay - 305, record: JSON.stringify(record) });
    people.push({ technician, person });
  }
  return people;
}

export const stationId = (name: string) => `s-${name.toLowerCase().replace(/\W+/g, '-')}`;
const orderId = (index: number) => `w${index + 1}`;
const taskId = (index: number, step: number) => `w${index + 1}-${(step + 1) * 10}`;

function simOrderOf(
  sample: SampleOrder,
  index: number,
  zone: { startOf: (day: LocalDay) => Instant },
  dice: Dice,
): SimOrder {
  const { order, steps, releaseDay, difficulty } = sample;
  const tasks = steps.map((step, j): SimTask => {
    const { setup, run } = estimateOfStep(step, order.quantity);
    return {
      id: taskId(index, j),
      step,
      setupSeconds: Math.round(setup * dice.around(0.3)),
      trueSeconds: Math.round(run * difficulty * dice.around(0.25)),
      room: run > 8 * 3600 ? 2 : 1,
      workedSeconds: 0,
      people: 0,
      isDone: false,
      isRework: false,
    };
  });
  const releasedAt = zone.startOf(releaseDay as LocalDay) + 6 * 3600 + dice.between(0, 5) * 3600;
  return { id: orderId(index), dueDay: order.due ?? 0, releasedAt, tasks, finishedAt: null };
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
  dice: Dice,
): Promise<void> {
  const rates = new Map<string, Rate>(
    GRADES.map(({ id, standardRate }) => [id, sure(parseRate(standardRate))]),
  );
  for (const [i, { order }] of samples.entries()) {
    const sim = simOrders[i];
    if (!sim) continue;
    const ids = [orderId(i), ...sim.tasks.map(({ id }) => id)];
    const isUntouched = sim.tasks.every(({ workedSeconds }) => workedSeconds === 0);
    const states = statesOf(sim, opensAt, isUntouched && dice.chance(0.2));
    await addOrder(em, { ...order, states }, rates, drawFrom(dice), () => ids.shift() ?? '');
  }
}

async function recordAll(
  context: Context,
  clock: { readonly set: (ms: number) => void },
  entries: readonly SimEntry[],
  say: Progress,
): Promise<void> {
  const badges = new Map(
    (await context.database.em.fork().findAll(BadgeEntity)).map(({ id, technician }) => [technician, id]),
  );
  for (const [i, { at, station, entry }] of entries.entries()) {
    clock.set(at * 1000 + 900);
    const badge = 'technician' in entry ? badges.get(entry.technician ?? '') : undefined;
    const line = {
      source: 'scan',
      via: badge === undefined ? [] : [badge],
      action: entry.id,
      deviceAt: formatInstant(toInstant(at)),
      clockOffset: 0,
      entry,
    };
    const { outcomes } = await context.journal.append(
      { kind: 'station', id: stationId(station) },
      readBatch([line]),
    );
    if (outcomes[0]?.result !== 'recorded') throw new Defect(`sample entry: ${JSON.stringify(outcomes[0])}`);
    if ((i + 1) % 1000 === 0) say(`${i + 1} of ${entries.length} scans recorded`);
  }
  say(`${entries.length} scans recorded`);
}
