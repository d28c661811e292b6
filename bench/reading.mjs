import { startProcess } from './serverProcess.mjs';
import { A_DAY, addPast, call, fill, line, makeShop, newPath, now, percentile, root } from './shop.mjs';

/** Reading while stations scan: open work and the queue of a shop with a long history beside a young one, and how long a
 *  scan waits meanwhile. */
const DAYS = Number(process.argv[2] ?? 250);
const STARTS = 10_000;
const ENDS = 5_000;
const SCANS_A_SECOND = 20;

const middle = (took) =>
  percentile(
    [...took].sort((a, b) => a - b),
    0.5,
  );
async function timed(times, work) {
  const took = [];
  for (let i = 0; i < times; i += 1) {
    const from = performance.now();
    await work();
    took.push(performance.now() - from);
  }
  return middle(took.slice(Math.floor(times / 4)));
}

async function open(days) {
  const shop = await makeShop(newPath());
  await addPast(shop, days);
  await fill(shop, days * A_DAY, days);
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });
  return { shop, url, stop, get: (path) => call(url, path, undefined, shop.cookie) };
}

/** Scans at a steady pace until told to stop; gives what each took. */
function scanSteadily({ shop, url }) {
  const took = [];
  const waiting = new Set();
  let i = 0;
  const timer = setInterval(() => {
    const from = performance.now();
    const sent = call(url, '/api/station/entries', { entries: [line(shop, (i += 1), now())] }, shop.station)
      .then(() => took.push(performance.now() - from))
      .finally(() => waiting.delete(sent));
    waiting.add(sent);
  }, 1000 / SCANS_A_SECOND);
  return async () => {
    clearInterval(timer);
    await Promise.all(waiting);
    return took.sort((a, b) => a - b);
  };
}

const young = await open(Math.max(1, Math.round(DAYS / 10)));
const youngWork = await timed(12, () => young.get('/api/work'));
await young.stop();

const old = await open(DAYS);
const oldWork = await timed(12, () => old.get('/api/work'));
const past = await timed(8, () => old.get('/api/work/past?search=P1'));

// What a scan waits for when nobody reads: mostly the disk.
const endAlone = scanSteadily(old);
await new Promise((done) => setTimeout(done, 20_000));
const alone = await endAlone();

/** Reads what is long, over and over, while scans come in. */
const reads = [
  '/api/work',
  '/api/reconcile',
  '/api/rail',
  '/api/floor',
  '/api/ledger/trail',
  '/api/work/past',
];
const endScans = scanSteadily(old);
const readFor = performance.now() + 20_000;
let readCount = 0;
while (performance.now() < readFor) {
  await old.get(reads[readCount % reads.length]);
  readCount += 1;
}
const scans = await endScans();

const at = now() - 3600 * 3;
const day = new Date(at * 1000).toISOString().slice(0, 10);
const readQueue = () => timed(3, () => old.get(`/api/reconcile?from=${day}&to=${day}`));
async function send(count, entryOf) {
  for (let i = 0; i < count; i += 500) {
    const entries = Array.from({ length: 500 }, (_, n) => {
      const one = line(old.shop, 0, at + Math.floor((i + n) / 2));
      Object.assign(one.entry, entryOf(i + n));
      return one;
    });
    await call(old.url, '/api/station/entries', { entries }, old.shop.station);
  }
}
// One person starts one task over and over in one day; another signs in over and over, each time a loose end.
await send(STARTS, (i) => ({ targets: [old.shop.tasks[i % 2]] }));
const queue = await readQueue();
await send(ENDS, () => ({ type: 'shift-in', technician: old.shop.technicians[1], targets: undefined }));
const endsQueue = await readQueue();
await old.stop();

process.stdout.write(
  JSON.stringify({
    entries: DAYS * A_DAY,
    youngWork,
    oldWork,
    past,
    readCount,
    aloneP50: percentile(alone, 0.5),
    aloneP99: percentile(alone, 0.99),
    scanP50: percentile(scans, 0.5),
    scanP99: percentile(scans, 0.99),
    scanMost: scans.at(-1),
    queue,
    endsQueue,
  }),
);
