import { startProcess } from './serverProcess.mjs';
import { call, fill, line, makeShop, newPath, now, percentile, root, untilKept } from './shop.mjs';

/** Pay: what a rule of overtime costs an append, and on a large sample shop a period that is opened and a rule that is
 *  tried on a year. WERGON_LARGE names a database that `npm run demo -- --people 200 --weeks 52` made before. */
const RULE = {
  from: '2020-01-01',
  group: '',
  isPastAgreed: true,
  terms: {
    weekStart: 1,
    day: [{ over: '8', class: 'overtime' }],
    week: [{ over: '40', class: 'overtime' }],
    special: [{ on: 7, class: 'double' }],
    multipliers: { overtime: '1.5', double: '2' },
    premiumOn: 'worked',
  },
};
const ROUNDS = 3;
const APPENDS = 600;

/** The middle time of one append after another, in milliseconds. */
async function oneAppend(shop, url) {
  const took = [];
  for (let i = 0; i < APPENDS; i += 1) {
    const from = performance.now();
    await call(url, '/api/station/entries', { entries: [line(shop, i, now())] }, shop.station);
    if (i >= APPENDS / 3) took.push(performance.now() - from);
  }
  return percentile(
    took.sort((a, b) => a - b),
    0.5,
  );
}

async function settled(url, cookie) {
  while ((await call(url, '/api/pay/overtime', undefined, cookie)).json.pending > 0)
    await new Promise((done) => setTimeout(done, 200));
}

async function appends() {
  const shop = await makeShop(newPath());
  // Five days of 200 people.
  await fill(shop, 20_000, 4);
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });
  const replaces = { from: RULE.from, group: '' };
  const took = { without: [], with: [] };
  await oneAppend(shop, url);
  for (let i = 0; i < ROUNDS; i += 1) {
    took.without.push(await oneAppend(shop, url));
    await call(url, '/api/pay/overtime', RULE, shop.cookie);
    await settled(url, shop.cookie);
    took.with.push(await oneAppend(shop, url));
    await call(url, '/api/pay/overtime', { ...RULE, terms: null, replaces }, shop.cookie);
    await settled(url, shop.cookie);
  }
  await stop();
  return { without: Math.min(...took.without), with: Math.min(...took.with) };
}

async function large(path) {
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, {
    WERGON_DATABASE: path,
    WERGON_DEMO: '1',
  });
  const { cookie } = await call(url, '/api/sign-in', { userName: 'solveig', password: 'odden-rewind' });
  await untilKept(path);
  const timed = async (work) => {
    const took = [];
    for (let i = 0; i < ROUNDS; i += 1) {
      const from = performance.now();
      await work();
      took.push(performance.now() - from);
    }
    return { first: took[0], best: Math.min(...took.slice(1)) };
  };
  const get = (route) => call(url, route, undefined, cookie);
  const period = await timed(() => get('/api/pay/period?firstDay=2026-11-09'));
  const floor = await timed(() => get('/api/floor?day=2026-11-24'));
  const { from, group, terms } = {
    ...RULE,
    terms: { ...RULE.terms, day: [{ over: '7', class: 'overtime' }] },
  };
  const body = { from, group, terms, firstDay: '2025-11-25', lastDay: '2026-11-24' };
  const triedFrom = performance.now();
  let parts = 0;
  for (let after = null; ; parts += 1) {
    const { json } = await call(url, '/api/pay/overtime/try', { ...body, after }, cookie);
    if (json.next === null) break;
    after = json.next;
  }
  const tried = performance.now() - triedFrom;
  await stop();
  return { period, floor, tried, parts: parts + 1 };
}

const path = process.env.WERGON_LARGE;
process.stdout.write(JSON.stringify({ append: await appends(), ...(path ? await large(path) : {}) }));
