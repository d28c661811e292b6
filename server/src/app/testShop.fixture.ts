import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { formatInstant, parseInstant, toInstant } from '@wergon/core/time';
import { closeDatabase } from '../db/database.ts';
import { openShop } from './database.ts';
import { createSetClock } from '../http/clock.ts';
import { createApp } from './createApp.ts';
import { createContext } from './server.ts';

/** Tuesday 2026-03-03, 07:00 in Oslo. */
export const SEVEN = (() => {
  const at = parseInstant('2026-03-03T07:00:00+01:00');
  if (!at.ok) throw new Error('instant');
  return at.value;
})();
export const at = (minutes: number, seconds = 0) => formatInstant(toInstant(SEVEN + minutes * 60 + seconds));

let drawn = 0;
export const newId = () => `e${String((drawn += 1)).padStart(23, '0')}`;

/** One line of a batch, as a station sends it. */
export const line = (entry: Record<string, unknown>, more: Record<string, unknown> = {}) => ({
  source: 'scan',
  via: [],
  action: String(entry['id']),
  deviceAt: parseInstant(String(entry['at'])).ok ? entry['at'] : at(0),
  clockOffset: 0,
  entry,
  ...more,
});

export type TestShop = Awaited<ReturnType<typeof openTestShop>>;

/** What a test shop is known by, wherever a copy of it lies. */
type Made = Awaited<ReturnType<typeof makeShop>>;

const newFolder = () => mkdtempSync(join(tmpdir(), 'wergon-'));
const newOrderOf = (grade: string) => (number: string) => ({
  number,
  title: 'Rewind',
  customer: 'Stock',
  quantity: 1,
  due: null,
  estimateIncludes: ['setup'],
  tasks: ['Strip', 'Winding'].map((title) => ({ title, workCenter: '', grade, runHours: '1' })),
});

async function serve(path: string) {
  const database = await openShop(path);
  const clock = createSetClock((SEVEN + 100 * 60) * 1000);
  const context = createContext(database, clock, pino({ level: 'silent' }), false);
  const app: Express = createApp(context, '/nowhere');
  const callAs = (cookie: string) => ({
    post: async (path_: string, body: object, as = cookie) =>
      request(app).post(path_).set('cookie', as).set('wergon-person', '1').send(body),
    get: async (path_: string, as = cookie) =>
      request(app).get(path_).set('cookie', as).set('wergon-person', '1'),
  });
  return { database, clock, context, app, callAs };
}

/** Sets a shop up as its people would, once for all the tests of a file. */
async function makeShop() {
  const path = join(newFolder(), 'shop.sqlite');
  const { database, clock, app, callAs } = await serve(path);
  const first = await request(app).post('/api/first-run').send({
    shopName: 'Test shop',
    zone: 'Europe/Oslo',
    currency: 'EUR',
    name: 'Sol',
    userName: 'sol',
    password: 'long enough',
  });
  const desk = cookieOf(first);
  const { post, get } = callAs(desk);
  const idOf = (response: request.Response) => (response.body as { id: string }).id;
  const ada = idOf(await post('/api/people', { number: '1', name: 'Ada', department: 'Winding' }));
  const bo = idOf(await post('/api/people', { number: '2', name: 'Bo', department: 'Winding' }));
  for (const who of [ada, bo])
    await post(`/api/people/${who}/rates`, { record: { from: '2026-01-01', per: 'hour', base: '36.00' } });
  const grade = idOf(await post('/api/grades', { name: 'Winder', standardRate: '50.00' }));
  const order = idOf(await post('/api/work', newOrderOf(grade)('1001')));
  clock.set((SEVEN - 3600) * 1000);
  await post(`/api/work/${order}/state`, { state: 'released' });
  clock.set((SEVEN + 100 * 60) * 1000);
  const { tasks } = (await get(`/api/work/${order}`)).body as { tasks: { id: string }[] };
  const [strip, winding] = tasks.map(({ id }) => id) as [string, string];
  const pairing = (await post('/api/stations', { name: 'Winding 1' })).body as { id: string; code: string };
  const station = cookieOf(await request(app).post('/api/station/pair').send({ code: pairing.code }));
  // What is copied is the file alone.
  await closeDatabase(database);
  return { path, desk, ada, bo, grade, order, strip, winding, station, stationId: pairing.id };
}

let made: Promise<Made> | undefined;

/** A server on a file of its own, at 08:40, with two technicians, a released order of two tasks, and a paired station. */
export async function openTestShop() {
  const {
    path: from,
    desk,
    ada,
    bo,
    grade,
    order,
    strip,
    winding,
    station,
    stationId,
  } = await (made ??= makeShop());
  const path = join(newFolder(), 'shop.sqlite');
  copyFileSync(from, path);
  const { database, clock, context, app, callAs } = await serve(path);
  const { post, get } = callAs(desk);
  const newOrder = newOrderOf(grade);
  const send = async (...entries: object[]) =>
    post(
      '/api/station/entries',
      { entries: entries.map((entry) => line(entry as Record<string, unknown>)) },
      station,
    );
  const correct = async (...entries: object[]) =>
    post('/api/ledger/entries', {
      entries: entries.map((entry) => line(entry as Record<string, unknown>, { source: 'desk' })),
    });
  /** Adds a desk user who has chosen a password of their own; gives their cookie. */
  const addUser = async (fields: {
    readonly userName: string;
    readonly role: string;
    readonly name?: string;
    readonly seesRates?: boolean;
    readonly technician?: string;
    readonly departments?: readonly string[];
    readonly crews?: readonly string[];
    readonly seesOnlyTheirs?: boolean;
  }) => {
    const { role, ...more } = fields;
    const given = 'given to you';
    const added = await post(
      '/api/users',
      { name: more.userName, seesRates: false, roles: [role], ...more, password: given },
      await freshDesk(),
    );
    if (added.status !== 200) throw new Error(JSON.stringify(added.body));
    const cookie = cookieOf(await post('/api/sign-in', { userName: fields.userName, password: given }, ''));
    await post('/api/password', { password: given, newPassword: 'long enough' }, cookie);
    return cookie;
  };
  /** The desk's cookie by a clock that may have gone on since it was given. */
  const freshDesk = async () =>
    cookieOf(await post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
  /** The id of a name in one of the shop's lists. */
  const listed = async (list: string, name: string) => {
    const { lists } = (await get('/api/shop', await freshDesk())).body as {
      lists: Record<string, { id: string; name: string }[]>;
    };
    return lists[list]?.find((item) => item.name === name)?.id ?? '';
  };
  /** What speaks for a technician at the station: they show the badge that they got when they were added. */
  const prove = async (technician: string) => {
    const { technicians } = (await get('/api/people', await freshDesk())).body as {
      technicians: { id: string; badges: { code: string }[] }[];
    };
    const code = technicians.find(({ id }) => id === technician)?.badges[0]?.code ?? '';
    const proved = await post('/api/station/proof', { technician, code }, station);
    return (proved.body as { proof: string }).proof;
  };
  const scan = (type: string, minutes: number, who: string, targets?: string[]) => ({
    id: newId(),
    type,
    at: at(minutes),
    technician: who,
    ...(targets ? { targets } : {}),
  });
  return {
    app,
    path,
    context,
    clock,
    database,
    desk,
    station,
    stationId,
    ada,
    bo,
    order,
    newOrder,
    strip,
    winding,
    post,
    get,
    send,
    correct,
    scan,
    addUser,
    freshDesk,
    listed,
    prove,
    close: () => database.close(),
  };
}

export const cookieOf = (response: request.Response): string =>
  ((response.headers as Record<string, unknown>)['set-cookie'] as string[] | undefined)?.[0]?.split(';')[0] ??
  '';
