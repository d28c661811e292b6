import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { openShop } from '@wergon/server/app';
import { readSql } from '@wergon/server/db';
import { startProcess } from './serverProcess.mjs';
import { call, newPath, percentile, root, untilKept } from './shop.mjs';

/** Compare on a large sample shop: a year of it beside a tenth, a bare sum over the same rows, scans meanwhile, and the
 *  pages. WERGON_LARGE names a database that `npm run demo -- --people 200 --weeks 52` made before. */
const SIZE = ['--people', '200', '--weeks', '52'];
const path = process.env.WERGON_LARGE ?? newPath();
let makingSeconds = null;
if (!existsSync(path)) {
  const from = performance.now();
  const { status } = spawnSync(process.execPath, ['scripts/demo.mjs', ...SIZE, '--only-data'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, WERGON_DATABASE: path },
  });
  if (status !== 0) process.exit(1);
  makingSeconds = (performance.now() - from) / 1000;
}

const YEAR = 'from=2025-11-25&to=2026-11-24';
const TENTH = 'from=2026-10-19&to=2026-11-24';
const MONTH = 'from=2026-10-01&to=2026-10-31';
const WEEK = 'from=2026-10-05&to=2026-10-11';
const cut = encodeURIComponent(JSON.stringify({ by: ['order', 'person', 'day'] }));
const READS = {
  jobs: { path: '/api/compare/jobs?', whole: YEAR, part: TENTH },
  causes: { path: '/api/compare/causes?by=workCenter&', whole: YEAR, part: TENTH },
  people: { path: '/api/compare/people?', whole: MONTH, part: WEEK },
  machines: { path: '/api/compare/machines?', whole: MONTH, part: WEEK },
  cut: { path: `/api/compare/cut?cut=${cut}&`, whole: YEAR, part: TENTH },
  near: { path: '/api/compare/near?', whole: '', part: '' },
};

const { url, stop, pid } = await startProcess(`${root}server/dist/app/main.js`, {
  WERGON_DATABASE: path,
  WERGON_DEMO: '1',
});
const { cookie } = await call(url, '/api/sign-in', { userName: 'solveig', password: 'odden-rewind' });
const get = (route) => call(url, route, undefined, cookie);

/** The first time, and the better of two more, in milliseconds. */
async function timed(work, times = 2) {
  const took = [];
  for (let i = 0; i <= times; i += 1) {
    const from = performance.now();
    await work();
    took.push(performance.now() - from);
  }
  const [first, ...more] = took;
  return { first, best: Math.min(...more) };
}

const database = await openShop(path);
const count = async (query, params) =>
  (await readSql(database, (sql) => sql.all(`select count(*) as "n" from ${query}`, params)))[0].n;
await untilKept(path);

const reads = {};
for (const [name, { path: route, whole, part }] of Object.entries(READS)) {
  const all = await timed(() => get(route + whole));
  const tenth = await timed(() => get(route + part));
  reads[name] = { first: all.first, whole: all.best, part: tenth.best };
  process.stderr.write(`${name} ${JSON.stringify(reads[name])}\n`);
}

const day = (text) => Math.floor(Date.parse(text) / 86_400_000);
const { best: bare } = await timed(() =>
  readSql(database, (sql) =>
    sql.all(
      'select "target", sum("measured_seconds" + "shared_seconds" + "entered_seconds"), sum("cost") from "labor_line" where "day" >= ? and "day" <= ? group by "target"',
      [day('2025-11-25'), day('2026-11-24')],
    ),
  ),
);
const lines = await count('"labor_line"');
await database.close();

/** Scans at a steady pace while the year is read over and over. */
const { json: pairing } = await call(url, '/api/stations', { name: `Bench ${process.pid}` }, cookie);
const { cookie: station } = await call(url, '/api/station/pair', { code: pairing.code });
const { json: floor } = await get('/api/floor?day=2026-11-24');
const people = floor.technicians.map(({ id }) => id);
const SCANS_A_SECOND = 20;
const READ_MS = 20_000;
const took = [];
const waiting = new Set();
let sentCount = 0;
const timer = setInterval(() => {
  sentCount += 1;
  const at = new Date(Date.parse(floor.asOf) + sentCount).toISOString().replace(/\.\d+/, '');
  const id = `bench-${process.pid}-${sentCount}`;
  const entry = {
    id,
    type: 'work-start',
    at,
    technician: people[sentCount % people.length],
    targets: ['cleaning'],
  };
  const line = { entry, action: id, source: 'scan', via: [], deviceAt: at, clockOffset: 0 };
  const from = performance.now();
  const sent = call(url, '/api/station/entries', { entries: [line] }, station)
    .then(() => took.push(performance.now() - from))
    .finally(() => waiting.delete(sent));
  waiting.add(sent);
}, 1000 / SCANS_A_SECOND);
const until = performance.now() + READ_MS;
let readCount = 0;
while (performance.now() < until) {
  const { path: route, whole } = Object.values(READS)[readCount % 5];
  await get(route + whole);
  readCount += 1;
}
clearInterval(timer);
await Promise.all(waiting);
took.sort((a, b) => a - b);

const status = readFileSync(`/proc/${pid}/status`, 'utf8');
const peakMegabytes = Math.round(Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);

/** The pages: how long until something stands there, and the longest task of their thread. */
const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const browser = await chromium.launch({
  executablePath: process.env.WERGON_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const context = await browser.newContext({ locale: 'en-GB' });
const [name, value] = cookie.split('=');
await context.addCookies([{ name, value, url }]);
const page = await context.newPage();
await page.addInitScript(() => {
  window.longest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
  }).observe({ type: 'longtask', buffered: true });
});
const { json: jobs } = await get(`/api/compare/jobs?${MONTH}`);
const from = performance.now();
await page.goto(`${url}/work/${jobs.jobs[0].id}/why`);
await page.locator('canvas').first().waitFor();
const bridge = performance.now() - from;
await page.goto(`${url}/compare/hours?period=year`);
await page.locator('.level-0').first().waitFor({ timeout: 120_000 });
await page.evaluate(() => (window.longest = 0));
const fold = page.locator('.level-0 button[aria-expanded]').first();
await fold.click();
await page.locator('.level-1').first().waitFor();
await fold.click();
await page.locator('.level-1').first().waitFor({ state: 'detached' });
const folding = await page.evaluate(() => window.longest);
await browser.close();
await stop();

process.stdout.write(
  JSON.stringify({
    makingSeconds,
    lines,
    reads,
    bare,
    readCount,
    scanP50: percentile(took, 0.5),
    scanP99: percentile(took, 0.99),
    peakMegabytes,
    bridge,
    folding,
  }),
);
