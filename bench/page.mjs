import { createRequire } from 'node:module';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { startProcess } from './serverProcess.mjs';

const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const root = new URL('..', import.meta.url).pathname;
const SCANS = 500;
const SHIFT = 5_000;
/** A tablet on a wall is slower than this machine. */
const THROTTLE = 4;

const database = join(mkdtempSync(join(tmpdir(), 'wergon-page-')), 'shop.sqlite');
const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: database });
let cookie = '';
const call = async (path, body) => {
  const response = await fetch(`${url}${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { cookie, 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  cookie = response.headers.get('set-cookie')?.split(';')[0] ?? cookie;
  return response.json();
};
await call('/api/first-run', {
  shopName: 'Bench',
  zone: 'Europe/Helsinki',
  currency: 'EUR',
  name: 'B',
  userName: 'b',
  password: 'a long password',
});
for (const i of [1, 2, 3])
  await call('/api/people', { number: `${i}`, name: `Person ${i}`, department: 'Shop' });
const { id: grade } = await call('/api/grades', { name: 'Any', standardRate: '40' });
const { id: order } = await call('/api/work', {
  number: '1',
  title: 'Rewind',
  customer: 'Stock',
  quantity: 1,
  due: null,
  estimateIncludes: ['setup'],
  tasks: ['A', 'B'].map((title) => ({ title, workCenter: '', grade, runHours: '2' })),
});
await call(`/api/work/${order}/state`, { state: 'released' });
const tasks = (await call(`/api/work/${order}`)).tasks.map((each) => each.code);
const badges = (await call('/api/people')).technicians.map((each) => each.badges[0].code);
const { code } = await call('/api/stations', { name: 'Bench' });

const browser = await chromium.launch({
  executablePath: process.env.WERGON_CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--no-first-run',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const page = await browser.newPage();
const sizes = [];
page.on('response', (response) => {
  if (/\.(js|css)$/.test(new URL(response.url()).pathname))
    sizes.push(response.body().then((body) => gzipSync(body).length));
});
await page.goto(`${url}/station#pair=${code}`);
await page.getByText('This station is free').waitFor();
const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);

const slow = await page.context().newCDPSession(page);
await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
await page.reload();
await page.getByText('This station is free').waitFor();

/** From the end key of a scan to the first frame in which the screen has changed, in milliseconds: a badge each time,
 *  so that the whole screen is drawn anew. */
const measureScans = async () => {
  await slow.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  const took = await page.evaluate(
    async ({ codes, scans }) => {
      const times = [];
      const frame = () => new Promise((done) => requestAnimationFrame(done));
      for (let i = 0; i < scans; i += 1) {
        const name = `Person ${(i % codes.length) + 1}`;
        for (const key of codes[i % codes.length])
          window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
        const from = performance.now();
        window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        while (document.querySelector('h1')?.textContent !== name) await frame();
        await frame();
        times.push(performance.now() - from);
      }
      return times.sort((a, b) => a - b);
    },
    { codes: badges, scans: SCANS },
  );
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  const at = (share) => took[Math.floor((SCANS - 1) * share)];
  return { p50: at(0.5), p95: at(0.95), p99: at(0.99) };
};
const online = await measureScans();
await stop();
const offline = await measureScans();

/** A shift of scans without the server: badge, task, badge, task. */
await page.evaluate(
  async ({ people, work, scans }) => {
    for (let i = 0; i < scans; i += 1) {
      const turn = Math.floor(i / 2);
      const code = i % 2 === 0 ? people[turn % 2] : work[Math.floor(turn / 2 + turn) % 2];
      for (const key of [...code, 'Enter'])
        window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      if (i % 50 === 49) await new Promise((done) => setTimeout(done));
    }
  },
  { people: badges, work: tasks, scans: SHIFT },
);
/** Looks frame by frame how many scans wait in the station's own memory, until they are so many; gives how many those are. */
const untilWaiting = (least, most) =>
  page.evaluate(
    async ([from, to]) => {
      const count = () =>
        new Promise((done) => {
          const opening = indexedDB.open('wergon-station');
          opening.onsuccess = () => {
            const counted = opening.result.transaction('outbox').objectStore('outbox').count();
            counted.onsuccess = () => {
              opening.result.close();
              done(counted.result);
            };
          };
        });
      for (;;) {
        const waiting = await count();
        if (waiting >= from && waiting <= to) return waiting;
        await new Promise(requestAnimationFrame);
      }
    },
    [least, most],
  );
const ALL = Number.MAX_SAFE_INTEGER;
await untilWaiting(SHIFT / 2, ALL);

/** First paint of the installed station while the server is gone. */
await page.reload();
await page.getByText('This station is free').waitFor();
const firstPaint = await page.evaluate(
  () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? Infinity,
);

const again = await startProcess(`${root}server/dist/app/main.js`, {
  WERGON_DATABASE: database,
  WERGON_PORT: new URL(url).port,
});
const waiting = await untilWaiting(0, ALL);
await untilWaiting(0, waiting - 1);
const drainFrom = performance.now();
await untilWaiting(0, 0);
// From the first batch that was taken; the one that is missing at the beginning is counted at its share.
const drain = ((performance.now() - drainFrom) / 1000) * (waiting / Math.max(1, waiting - 500));
await browser.close();
await again.stop();
process.stdout.write(JSON.stringify({ bytes, online, offline, waiting, drain, firstPaint }));
