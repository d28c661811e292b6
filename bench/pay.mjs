import { copyFileSync } from 'node:fs';
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

/** The pay file of a period of two weeks, of all its people, on a copy: looked at, the period closed, and made; then what payroll
 *  paid for it looked at and taken. */
async function payFile(path) {
  const copy = newPath();
  copyFileSync(path, copy);
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, {
    WERGON_DATABASE: copy,
    WERGON_DEMO: '1',
  });
  const { cookie } = await call(url, '/api/sign-in', { userName: 'solveig', password: 'odden-rewind' });
  const get = async (route) => (await call(url, route, undefined, cookie)).json;
  const post = async (route, body) => (await call(url, route, body, cookie)).json;
  const { settings } = await get('/api/shop');
  await post('/api/shop/settings', { ...settings, pay: { ...settings.pay, approval: 'none' } });
  await untilKept(copy);
  const took = {};
  const timed = async (name, work) => {
    const from = performance.now();
    const done = await work();
    took[name] = performance.now() - from;
    return done;
  };
  const { periods } = await get('/api/pay/periods');
  const { firstDay } = periods.findLast(({ state }) => state === 'over');
  const { layouts } = await get('/api/pay/forms');
  const asked = `/api/pay/file?firstDay=${firstDay}&layout=${layouts[0].id}`;
  await timed('seenOpen', () => get(asked));
  const { stamp } = await get(`/api/pay/period?firstDay=${firstDay}`);
  await timed('closed', () => post('/api/pay/close', { firstDay, stamp }));
  const seen = await timed('seen', () => get(asked));
  const putOff = seen.missing.map(({ key }) => key);
  const body = { firstDay, group: '', layout: layouts[0].id, stamp: seen.stamp, putOff };
  await timed('made', () => post('/api/pay/file', body));
  const { people } = await get(`/api/pay/period?firstDay=${firstDay}`);
  const numbers = new Map(
    (await get('/api/people')).technicians.map((each) => [each.id, each.payrollNumber]),
  );
  const rows = people
    .filter(({ technician, cost }) => numbers.get(technician) && cost !== null)
    .map(({ technician, cost }) => ({
      payrollNumber: numbers.get(technician),
      period: firstDay,
      amount: (Number(cost) * 1.02).toFixed(2),
    }));
  const tried = await timed('payrollTried', () => post('/api/pay/payroll/try', { rows }));
  await timed('payrollTaken', () => post('/api/pay/payroll', { rows, name: 'bench', stamp: tried.stamp }));
  await stop();
  return { ...took, rows: seen.rows, people: seen.people };
}

const path = process.env.WERGON_LARGE;
process.stdout.write(
  JSON.stringify({
    append: await appends(),
    ...(path ? { ...(await large(path)), file: await payFile(path) } : {}),
  }),
);
