import { mkdtempSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startProcess } from './serverProcess.mjs';

const ROWS = 10_000;
const TASKS_PER_ORDER = 5;
const root = new URL('..', import.meta.url).pathname;
const { chromium } = createRequire(join(root, 'e2e/package.json'))('@playwright/test');

/** A file of 2,000 orders with five tasks each. */
function makeFile() {
  const rows = Array.from({ length: ROWS }, (_each, i) => {
    const order = Math.floor(i / TASKS_PER_ORDER);
    return `B${order};Rewind motor ${order};Customer ${order % 40};1;2026-12-${String((order % 28) + 1).padStart(2, '0')};Task ${(i % TASKS_PER_ORDER) + 1};Hall ${i % 6};Any;0,25;${(i % 9) + 1},5`;
  });
  return [
    'Order;What is done;Customer;Pieces;Due;Task;Work center;Grade;Setup hours;Run hours',
    ...rows,
  ].join('\n');
}

const database = join(mkdtempSync(join(tmpdir(), 'wergon-bench-')), 'import.sqlite');
const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: database });
process.once('exit', () => void stop());
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
await page.goto(url);
const ask = (path, body) =>
  page.evaluate(
    async ([to, sent]) => {
      const response = await fetch(to, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(sent),
      });
      return response.json();
    },
    [path, body],
  );
await ask('/api/first-run', {
  shopName: 'Bench',
  zone: 'Europe/Helsinki',
  currency: 'EUR',
  name: 'Bench',
  userName: 'bench',
  password: 'a long password',
});
await ask('/api/grades', { name: 'Any', standardRate: '40' });
await page.goto(`${url}/shop/import`);
await page.getByText('Choose a file').waitFor();
// Tasks of the page's own thread, the longest of them, from now on.
await page.evaluate(() => {
  window.longest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
  }).observe({ entryTypes: ['longtask'] });
});
const longestSince = () =>
  page.evaluate(() => {
    const { longest } = window;
    window.longest = 0;
    return longest;
  });
const timed = async (act, until) => {
  const begun = performance.now();
  await act();
  await until.waitFor();
  return (performance.now() - begun) / 1000;
};
const file = { name: 'orders.csv', mimeType: 'text/csv', buffer: Buffer.from(makeFile()) };
const read = await timed(
  () => page.locator('input[type=file]').setInputFiles(file),
  page.getByText('10000 rows'),
);
// Handing the file to the page is the driver's work, not the page's: what it took is told apart.
const handing = await longestSince();
const check = await timed(
  () => page.getByRole('button', { name: 'Check every row' }).click(),
  page.getByText('nothing is stored yet'),
);
// How long somebody else waits while the rows are stored.
let longestWait = 0;
let isStoring = true;
const waiting = (async () => {
  while (isStoring) {
    const begun = performance.now();
    await fetch(`${url}/api/start`);
    longestWait = Math.max(longestWait, performance.now() - begun);
  }
})();
const store = await timed(
  () => page.getByRole('button', { name: 'Store 10000 rows' }).click(),
  page.getByRole('heading', { name: 'Stored' }),
);
isStoring = false;
await waiting;
const longestTask = await longestSince();
await browser.close();
await stop();
process.stdout.write(JSON.stringify({ read, check, store, handing, longestTask, longestWait }));
