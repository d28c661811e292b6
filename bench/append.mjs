import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createFactsCache } from '../server/dist/shop/facts.js';
import { openDatabase } from '@wergon/server/db';
import { rebuild } from '@wergon/server/ledger';
import { writeSql } from '../server/dist/db/index.js';
import { chainHash, GENESIS, writeEnvelope } from '../server/dist/ledger/envelope.js';
import { formatInstant, toInstant } from '@wergon/core/time';
import { startProcess } from './serverProcess.mjs';

const STATIONS = 20;
const TECHNICIANS = 200;
const root = new URL('..', import.meta.url).pathname;

const call = async (url, path, body, cookie = '') => {
  const response = await fetch(`${url}${path}`, {
    method: body === undefined ? 'GET' : 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
  return { json: await response.json(), cookie: response.headers.get('set-cookie')?.split(';')[0] ?? '' };
};

/** A shop of 200 people, 100 orders and one station, all in one database file. */
async function makeShop(path) {
  const { url, stop } = await startProcess(`${root}server/dist/main.js`, { WERGON_DATABASE: path });
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
  return { path, technicians, tasks, station };
}

let ids = 0;
const line = (shop, i, at) => {
  const instant = formatInstant(toInstant(at));
  const id = `b${process.pid}-${(ids += 1)}`;
  const entry = {
    id,
    type: 'work-start',
    at: instant,
    technician: shop.technicians[i % TECHNICIANS],
    targets: [shop.tasks[(i * 7) % shop.tasks.length]],
  };
  return { entry, action: id, source: 'scan', via: [], deviceAt: instant, clockOffset: 0 };
};

const percentile = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];

/** Sends as fast as answers come, from 20 stations at once, for some seconds. */
async function throughput(send, seconds) {
  const end = performance.now() + seconds * 1000;
  let count = 0;
  const station = async (first) => {
    for (let i = first; performance.now() < end; i += STATIONS) {
      await send(i);
      count += 1;
    }
  };
  await Promise.all(Array.from({ length: STATIONS }, (_, i) => station(i)));
  return count / seconds;
}

/** Sends at a steady rate and gives the time from sending to the answer at the 99th percentile, in milliseconds. */
async function latency(send, perSecond, seconds) {
  const took = [];
  const open = [];
  const from = performance.now();
  for (let i = 0; i < perSecond * seconds; i += 1) {
    const due = from + (i * 1000) / perSecond;
    await new Promise((wait) => setTimeout(wait, Math.max(0, due - performance.now())));
    const sentAt = performance.now();
    open.push(send(i).then(() => took.push(performance.now() - sentAt)));
  }
  await Promise.all(open);
  return percentile(
    took.sort((a, b) => a - b),
    0.99,
  );
}

const now = () => Math.floor(Date.now() / 1000);
const sender = (shop, url) => (i) =>
  call(url, '/api/station/entries', { entries: [line(shop, i, now())] }, shop.station);

/** Fills a journal to a size, with a right chain, and derives its projections. */
async function fill(shop, size) {
  const database = await openDatabase(shop.path);
  await writeSql(database, (sql) => {
    let previous = GENESIS;
    const from = now() - 300 * 86_400;
    let rows = [];
    for (let seq = 1; seq <= size; seq += 1) {
      const at = from + Math.floor((seq / size) * 299 * 86_400);
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
  await rebuild(database, await createFactsCache(database).get());
  const rebuildSeconds = (performance.now() - startedAt) / 1000;
  await database.close();
  return rebuildSeconds;
}

/** The middle time of one append after another, in milliseconds. */
async function oneAppend(shop) {
  const { url, stop } = await startProcess(`${root}server/dist/main.js`, { WERGON_DATABASE: shop.path });
  const send = sender(shop, url);
  const took = [];
  for (let i = 0; i < 600; i += 1) {
    const from = performance.now();
    await send(i);
    if (i >= 200) took.push(performance.now() - from);
  }
  await stop();
  return percentile(
    took.sort((a, b) => a - b),
    0.5,
  );
}

const newPath = () => join(mkdtempSync(join(tmpdir(), 'wergon-bench-')), 'shop.sqlite');
const shop = await makeShop(newPath());
const bare = await startProcess(`${root}bench/bareServer.mjs`);
const ours = await startProcess(`${root}server/dist/main.js`, { WERGON_DATABASE: shop.path });
const sendBare = (i) => call(bare.url, '/', { entries: [line(shop, i, now())] });
const sendOurs = sender(shop, ours.url);
await throughput(sendBare, 2);
await throughput(sendOurs, 2);
const barePerSecond = await throughput(sendBare, 8);
const oursPerSecond = await throughput(sendOurs, 8);
const p99 = await latency(sendOurs, 100, 10);
await bare.stop();
await ours.stop();

const small = await makeShop(newPath());
await fill(small, 1_000);
const large = await makeShop(newPath());
const rebuildSeconds = await fill(large, 1_000_000);
const appendSmall = await oneAppend(small);
const appendLarge = await oneAppend(large);
process.stdout.write(
  JSON.stringify({ barePerSecond, oursPerSecond, p99, appendSmall, appendLarge, rebuildSeconds }),
);
