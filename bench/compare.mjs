import { writeSql } from '@wergon/server/db';
import { openShop } from '@wergon/server/app';
import { formatDay, toDay } from '@wergon/core/time';
import { startProcess } from './serverProcess.mjs';
import { A_DAY, call, fill, line, makeShop, newPath, now, percentile, root } from './shop.mjs';

/** What Compare asks of a large shop: a year beside a tenth of it, a bare sum over the same rows, and scans meanwhile. */
const DAYS = Number(process.argv[2] ?? 250);
const JOBS_A_DAY = 8;
const TASKS = 7;
const DAY_SECONDS = 86_400;
const SCANS_A_SECOND = 20;

const middle = (took) =>
  percentile(
    [...took].sort((a, b) => a - b),
    0.5,
  );

/** Jobs of seven tasks, some for each day; each was closed on the day on which it was worked on. */
async function addJobs(shop, days) {
  const database = await openShop(shop.path);
  const from = now() - (days + 1) * DAY_SECONDS;
  shop.past = await writeSql(database, (sql) => {
    const [order] = sql.all('select * from "work_order" limit 1');
    const [task] = sql.all('select * from "task" limit 1');
    return Array.from({ length: days }, (_, day) =>
      Array.from({ length: JOBS_A_DAY }, (_each, i) => {
        const id = `job-${day}-${i}`;
        const closed = from + (day + 1) * DAY_SECONDS;
        const states = JSON.stringify([
          { from: 0, value: 'released' },
          { from: closed, value: 'closed' },
        ]);
        const customer = `Customer ${(day + i) % 40}`;
        sql.insert('work_order', [{ ...order, id, number: id, code: id, customer, states }]);
        const own = Array.from({ length: TASKS }, (_one, place) => `${id}-${place}`);
        sql.insert(
          'task',
          own.map((each, position) => ({
            ...task,
            id: each,
            work_order: id,
            position,
            code: each,
            work_center: `Center ${position}`,
          })),
        );
        return own;
      }).flat(),
    );
  });
  await database.close();
}

const shop = await makeShop(newPath());
await addJobs(shop, DAYS);
await fill(shop, DAYS * A_DAY, DAYS);
const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });

/** Middle of some calls, in ms, and how long the answer was. */
async function ask(path, times = 5) {
  const took = [];
  let bytes = 0;
  for (let i = 0; i < times; i += 1) {
    const from = performance.now();
    const response = await fetch(`${url}${path}`, { headers: { cookie: shop.cookie } });
    bytes = (await response.arrayBuffer()).byteLength;
    if (!response.ok) throw new Error(`${path}: ${response.status}`);
    took.push(performance.now() - from);
  }
  return { ms: middle(took), kilobytes: Math.round(bytes / 1000) };
}
const today = Math.floor(now() / DAY_SECONDS);
const days = (count) => `from=${formatDay(toDay(today - count))}&to=${formatDay(toDay(today))}`;
const cut = encodeURIComponent(JSON.stringify({ by: ['order', 'person', 'day'] }));
const pages = {
  jobs: (count) => `/api/compare/jobs?${days(count)}`,
  causes: (count) => `/api/compare/causes?${days(count)}`,
  cut: (count) => `/api/compare/cut?${days(count)}&cut=${cut}`,
};
const year = {};
for (const [name, path] of Object.entries(pages))
  year[name] = { ...(await ask(path(DAYS))), tenth: (await ask(path(Math.round(DAYS / 10)))).ms };
const month = {
  people: await ask(`/api/compare/people?${days(30)}`),
  machines: await ask(`/api/compare/machines?${days(30)}`),
};
const near = await ask('/api/compare/near');

// Scans while somebody looks at years.
const waits = [];
const waiting = new Set();
let i = 0;
const timer = setInterval(() => {
  const from = performance.now();
  const sent = call(url, '/api/station/entries', { entries: [line(shop, (i += 1), now())] }, shop.station)
    .then(() => waits.push(performance.now() - from))
    .finally(() => waiting.delete(sent));
  waiting.add(sent);
}, 1000 / SCANS_A_SECOND);
for (let k = 0; k < 4; k += 1) for (const path of Object.values(pages)) await ask(path(DAYS), 1);
clearInterval(timer);
await Promise.all(waiting);
await stop();

const database = await openShop(shop.path);
const bare = await writeSql(database, (sql) => {
  const from = performance.now();
  sql.all(
    'select "target", "technician", "day", sum("measured_seconds" + "shared_seconds" + "entered_seconds"), sum("cost") from "labor_line" group by 1, 2, 3',
  );
  return performance.now() - from;
});
await database.close();
const sorted = waits.sort((a, b) => a - b);
process.stdout.write(
  JSON.stringify({
    entries: DAYS * A_DAY,
    year,
    month,
    near,
    bare,
    scans: sorted.length,
    p99: percentile(sorted, 0.99),
  }),
);
