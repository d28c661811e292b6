import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShop } from '@wergon/server/app';
import { createFactsCache } from '@wergon/server/catalog';
import { readSql, writeSql } from '@wergon/server/db';
import { GENESIS, chainHash, rebuild, writeEnvelope } from '@wergon/server/ledger';
import { formatInstant, toInstant } from '@wergon/core/time';
import { startProcess } from './serverProcess.mjs';

export const TECHNICIANS = 200;
export const root = new URL('..', import.meta.url).pathname;
export const now = () => Math.floor(Date.now() / 1000);
export const newPath = () => join(mkdtempSync(join(tmpdir(), 'wergon-bench-')), 'shop.sqlite');

export const call = async (url, path, body, cookie = '') => {
  const response = await fetch(`${url}${path}`, {
    method: body === undefined ? 'GET' : 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
  return { json: await response.json(), cookie: response.headers.get('set-cookie')?.split(';')[0] ?? '' };
};

/** A shop of 200 people, 100 orders and one station, all in one database file. */
export async function makeShop(path) {
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: path });
  const person = { name: 'Bench', userName: 'bench', password: 'a long password' };
  const { cookie } = await call(url, '/api/first-run', {
    shopName: 'Bench',
    zone: 'Europe/Helsinki',
    currency: 'EUR',
    ...person,
  });
  const technicians = [];
  for (let i = 0; i < TECHNICIANS; i += 1)
    technicians.push(
      (await call(url, '/api/people', { number: `${i}`, name: `P${i}`, department: 'Shop' }, cookie)).json.id,
    );
  const { json: grade } = await call(url, '/api/grades', { name: 'Any', standardRate: '40' }, cookie);
  const tasks = [];
  for (let i = 0; i < 100; i += 1) {
    const task = { title: 'Run', workCenter: '', grade: grade.id, runHours: '4' };
    const order = {
      number: `${i}`,
      title: 'Bench',
      customer: 'Stock',
      quantity: 1,
      due: null,
      estimateIncludes: [],
      tasks: [task, task],
    };
    const { json } = await call(url, '/api/work', order, cookie);
    await call(url, `/api/work/${json.id}/state`, { state: 'released' }, cookie);
    tasks.push(
      ...(await call(url, `/api/work/${json.id}`, undefined, cookie)).json.tasks.map(({ id }) => id),
    );
  }
  const { json: pairing } = await call(url, '/api/stations', { name: 'Bench' }, cookie);
  const { cookie: station } = await call(url, '/api/station/pair', { code: pairing.code });
  await stop();
  return { path, technicians, tasks, station, cookie };
}

/** What somebody starts on: an order of these days, or, in a long history, one that was closed long ago. */
const taskOf = ({ tasks, past }, i) => {
  const all = past?.[Math.floor(i / A_DAY)] ?? tasks;
  return all[(i * 7 + Math.floor(i / TECHNICIANS)) % all.length];
};

/** Entries of one day of 200 people. */
export const A_DAY = 4_000;
const TASKS_PER_DAY = 80;

/** Closed orders for each day of a long history, copied from one that is there. */
export async function addPast(shop, days) {
  const database = await openShop(shop.path);
  shop.past = await writeSql(database, (sql) => {
    const [order] = sql.all('select * from "work_order" limit 1');
    const [task] = sql.all('select * from "task" limit 1');
    const states = JSON.stringify([
      { from: 0, value: 'released' },
      { from: now(), value: 'closed' },
    ]);
    return Array.from({ length: days }, (_, day) => {
      const id = `past-${day}`;
      sql.insert('work_order', [{ ...order, id, number: `P${day}`, code: `P${day}`, states }]);
      const own = Array.from({ length: TASKS_PER_DAY }, (_each, i) => `${id}-${i}`);
      sql.insert(
        'task',
        own.map((each, position) => ({ ...task, id: each, work_order: id, position, code: each })),
      );
      return own;
    });
  });
  await database.close();
}

let ids = 0;
export const line = (shop, i, at) => {
  const instant = formatInstant(toInstant(at));
  const id = `b${process.pid}-${(ids += 1)}`;
  const entry = {
    id,
    type: 'work-start',
    at: instant,
    technician: shop.technicians[i % TECHNICIANS],
    targets: [taskOf(shop, i)],
  };
  return { entry, action: id, source: 'scan', via: [], deviceAt: instant, clockOffset: 0 };
};

/** Of a shop that was just made the server keeps its finished jobs first; what people are on stays due. */
export async function untilKept(path) {
  const FEW = 20;
  const database = await openShop(path);
  const count = async () =>
    (await readSql(database, (sql) => sql.all('select count(*) as "n" from "due_job"')))[0].n;
  while ((await count()) > FEW) await new Promise((done) => setTimeout(done, 1000));
  await database.close();
}

export const percentile = (sorted, share) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];

/** Fills a journal to a size over some days up to today, with a right chain, and derives its projections. */
export async function fill(shop, size, days = 299) {
  const database = await openShop(shop.path);
  await writeSql(database, (sql) => {
    let previous = GENESIS;
    const from = now() - (days + 1) * 86_400;
    let rows = [];
    for (let seq = 1; seq <= size; seq += 1) {
      const at = from + Math.floor((seq / size) * days * 86_400);
      const { entry, ...sent } = line(shop, seq, at);
      const body = JSON.stringify(Object.fromEntries(Object.entries(entry).sort()));
      const envelope = writeEnvelope({
        v: 1,
        seq,
        recordedAt: entry.at,
        author: { kind: 'station', id: 'bench' },
        stream: 'labor',
        ...sent,
      });
      previous = chainHash(body, envelope, previous);
      rows.push({
        seq,
        id: entry.id,
        stream: 'labor',
        type: entry.type,
        corrects: null,
        body,
        envelope,
        hash: previous,
      });
      if (rows.length === 5_000 || seq === size) {
        sql.insert('journal', rows);
        rows = [];
      }
    }
  });
  const startedAt = performance.now();
  await rebuild(database, await createFactsCache(database).get(), toInstant(now()));
  const rebuildSeconds = (performance.now() - startedAt) / 1000;
  await database.close();
  return rebuildSeconds;
}
