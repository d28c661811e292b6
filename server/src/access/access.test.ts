import type { Request } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { RIGHTS_OF_ROLE } from '@wergon/contract/access';
import { ROUTES, STREAM_PATHS } from '@wergon/contract/routes';
import type { Route } from '@wergon/contract/routes';
import { createApp } from '../app/createApp.ts';
import { createContext } from '../app/server.ts';
import { cookieOf, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { identify } from './identify.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

const routes = Object.entries(ROUTES) as [string, Route][];
const pathOf = ({ path }: Route) => path.replace(/:\w+/g, 'none');
const call = ({ method, path }: Route, cookie = '') => {
  const asked = request(shop.app)[method](path.replace(/:\w+/g, 'none')).set('cookie', cookie);
  return method === 'post' ? asked.send({}) : asked;
};

test.each(routes.filter(([, { caller }]) => caller !== 'public'))(
  '%s asks who is calling',
  async (_name, route) => {
    expect((await call(route)).status).toBe(401);
  },
);

test.each(routes)('%s is mounted where the table says', async (_name, route) => {
  const answer = await call(route);
  expect(JSON.stringify(answer.body)).not.toContain('route.not_found');
});

test.each(routes.filter(([, { caller }]) => caller !== 'public' && caller !== 'station'))(
  '%s is closed to a station',
  async (_name, route) => {
    expect((await call(route, shop.station)).status).toBe(401);
  },
);

test('the API document names every route', async () => {
  const { body } = (await request(shop.app).get('/api/openapi.json')) as {
    body: { paths: Record<string, Record<string, { operationId: string }>> };
  };
  const named = Object.values(body.paths).flatMap((methods) =>
    Object.values(methods).map(({ operationId }) => operationId),
  );
  expect(named.sort()).toEqual(routes.map(([name]) => name).sort());
});

describe('somebody who may not see rates', () => {
  let mikko: string;
  beforeAll(async () => {
    mikko = await shop.addUser({ name: 'Mikko', userName: 'mikko', role: 'supervisor' });
    await shop.send(
      shop.scan('work-start', 0, shop.ada, [shop.winding]),
      shop.scan('work-stop', 60, shop.ada),
    );
  });

  type Order = {
    order: { comparison: { actualCost: string; actualSeconds: number } };
    tasks: { comparison: { actualCost: string }; lines: { cost: string | null }[] }[];
  };
  const order = async (cookie: string) => (await shop.get(`/api/work/${shop.order}`, cookie)).body as Order;

  test('sees hours, and their standard cost in the place of what people cost', async () => {
    const [open, shown] = [await order(mikko), await order(shop.desk)];
    expect(open.order.comparison).toMatchObject({
      actualSeconds: 3600,
      actualCost: '50.00',
      costs: 'standard',
    });
    expect(open.tasks.flatMap(({ lines }) => lines.map(({ cost }) => cost))).toEqual(['50.00']);
    expect(shown.order.comparison).toMatchObject({ actualCost: '36.00', costs: 'actual' });
  });

  test.each(
    routes.filter(
      ([, { caller }]) =>
        typeof caller === 'string' &&
        !RIGHTS_OF_ROLE.supervisor.includes(caller as never) &&
        !['public', 'station', 'signed-in'].includes(caller),
    ),
  )('is refused %s', async (_name, route) => expect((await call(route, mikko)).status).toBe(403));

  test('cannot give the right away', async () => {
    const body = {
      name: 'X',
      userName: 'x',
      password: 'long enough',
      roles: ['supervisor'],
      seesRates: true,
    };
    expect((await shop.post('/api/users', body, mikko)).status).toBe(403);
  });
});

test('no answer to a station holds a rate or a cost', async () => {
  const answer: unknown = (await shop.get('/api/station/directory', shop.station)).body;
  const names: string[] = [];
  const amounts: string[] = [];
  JSON.stringify(answer, (name, value: unknown) => {
    names.push(name);
    if (typeof value === 'string' && /^-?\d+\.\d{2}$/.test(value)) amounts.push(value);
    return value;
  });
  expect(names).toContain('technicians');
  expect(names.filter((name) => /rate|cost|price/i.test(name))).toEqual([]);
  expect(amounts).toEqual([]);
});

test('no answer and no stored row holds a password, a token or a pairing code', async () => {
  const text =
    JSON.stringify((await shop.get('/api/stations')).body) +
    JSON.stringify((await shop.get('/api/session')).body);
  expect(text.replace('"mustChangePassword":false', '')).not.toMatch(/hash|token|password/i);
  expect(text).not.toContain(shop.station.split('=')[1]);
});

describe('sessions', () => {
  const signIn = async (body: object) => request(shop.app).post('/api/sign-in').send(body);
  const isOpen = async (cookie: string) => (await shop.get('/api/session', cookie)).status === 200;

  test('a wrong password and a wrong name are told alike', async () => {
    const [wrong, nobody] = [
      await signIn({ userName: 'sol', password: 'wrong wrong' }),
      await signIn({ userName: 'eve', password: 'wrong wrong' }),
    ];
    expect([wrong.status, wrong.body]).toEqual([nobody.status, nobody.body]);
    expect(wrong.status).toBe(401);
  });

  test.each([
    [false, 59, true],
    [false, 61, false],
    [true, 61, true],
    [true, 60 * 24 * 31, false],
  ])(
    'on a computer trusted: %s, %i idle minutes later it is open: %s',
    async (isTrustedComputer, minutes, open) => {
      const cookie = cookieOf(await signIn({ userName: 'sol', password: 'long enough', isTrustedComputer }));
      const before = shop.clock.nowMs();
      shop.clock.set(before + minutes * 60_000);
      expect(await isOpen(cookie)).toBe(open);
      shop.clock.set(before);
    },
  );

  test('signing out ends it', async () => {
    const cookie = cookieOf(await signIn({ userName: 'sol', password: 'long enough' }));
    await shop.post('/api/sign-out', {}, cookie);
    expect(await isOpen(cookie)).toBe(false);
  });

  test('the cookie is out of reach for scripts and other sites', async () => {
    const response = await signIn({ userName: 'sol', password: 'long enough' });
    expect(String(response.headers['set-cookie'])).toMatch(/HttpOnly.*SameSite=Strict/);
  });

  test('a change that another site sends is refused', async () => {
    const response = await request(shop.app)
      .post('/api/stations')
      .set('cookie', shop.desk)
      .set('sec-fetch-site', 'cross-site')
      .send({ name: 'X' });
    expect(response.status).toBe(403);
  });
});

describe('a station', () => {
  test('is paired once with a code, and only for ten minutes', async () => {
    const pair = async (code: string) =>
      (await request(shop.app).post('/api/station/pair').send({ code })).status;
    const { code } = (await shop.post('/api/stations', { name: 'Once' })).body as { code: string };
    expect([await pair(code), await pair(code)]).toEqual([200, 422]);
    const late = (await shop.post('/api/stations', { name: 'Late' })).body as { code: string };
    shop.clock.set(shop.clock.nowMs() + 601_000);
    expect(await pair(late.code)).toBe(422);
  });

  test('of the demo is paired by its printed link as often as somebody opens it', async () => {
    const { code } = (await shop.post('/api/stations', { name: 'Shown' })).body as { code: string };
    const demo = createApp(
      createContext(shop.database, shop.clock, pino({ level: 'silent' }), true),
      '/nowhere',
    );
    const pair = () => request(demo).post('/api/station/pair').send({ code });
    expect([(await pair()).status, (await pair()).status]).toEqual([200, 200]);
  });

  test('loses its token when it is revoked', async () => {
    const { id, code } = (await shop.post('/api/stations', { name: 'Gone' })).body as {
      id: string;
      code: string;
    };
    const cookie = cookieOf(await request(shop.app).post('/api/station/pair').send({ code }));
    expect((await shop.get('/api/station/directory', cookie)).status).toBe(200);
    await shop.post(`/api/stations/${id}/revoke`, {});
    expect((await shop.get('/api/station/directory', cookie)).status).toBe(401);
    expect((await request(shop.app).get(STREAM_PATHS.station).set('cookie', cookie)).status).toBe(401);
  });
});

describe('bad input is named and changes nothing', () => {
  const send = (body: string, type = 'application/json') =>
    request(shop.app)
      .post('/api/station/entries')
      .set('cookie', shop.station)
      .set('content-type', type)
      .send(body);

  test.each([
    ['{', 'application/json', 400, 'invalid JSON'],
    ['{}', 'application/json', 422, 'a missing field'],
    ['{"entries":[]}', 'application/json', 422, 'an empty batch'],
    ['{"entries":[1],"more":1}', 'application/json', 422, 'a field too many'],
    ['entries=1', 'application/x-www-form-urlencoded', 415, 'a form'],
    ['{"entries":[]}', 'text/plain', 415, 'text'],
    [`{"entries":["${'x'.repeat(10_000_000)}"]}`, 'application/json', 413, 'ten megabytes'],
  ])('%.30s as %s: %i, %s', async (body, type, status) => {
    const response = await send(body, type);
    expect(response.status).toBe(status);
    expect(response.headers['content-type']).toContain('application/problem+json');
  });

  test('whoever may not call is turned away before what they send is read', async () => {
    const post = request(shop.app).post(`/api/work/${shop.order}/attachments`);
    const { status } = await post.set('content-type', 'application/json').send('{ no JSON');
    expect(status).toBe(401);
  });

  test('the field at fault has a name', async () => {
    const { body } = await shop.post('/api/work', { ...shop.newOrder('1002'), quantity: -1 });
    expect(body).toMatchObject({ status: 422, errors: [{ field: 'quantity' }] });
  });

  test.each<[field: string, change: object, why: string]>([
    ['number', { number: '1001' }, 'a number that is taken'],
    [
      'tasks[0].runHours',
      { tasks: [{ title: 'x', workCenter: '', grade: 'g', runHours: '-1' }] },
      'a negative estimate',
    ],
    [
      'tasks[0].runHours',
      { tasks: [{ title: 'x', workCenter: '', grade: 'g', runHours: '10001' }] },
      'an estimate above 10,000 hours',
    ],
    ['tasks[0].grade', { tasks: [{ title: 'x', workCenter: '', grade: 'g' }] }, 'an unknown grade'],
    ['due', { due: '2026-02-30' }, 'a day that does not exist'],
  ])('a new order: %s (%j: %s)', async (field, change) => {
    const { body, status } = await shop.post('/api/work', { ...shop.newOrder(newId()), ...change });
    expect(status).toBeGreaterThanOrEqual(409);
    expect((body as { errors: { field: string }[] }).errors.map((error) => error.field)).toContain(field);
  });

  test('two rates of one date', async () => {
    const record = { from: '2026-01-01', per: 'hour', base: '30' };
    expect((await shop.post(`/api/people/${shop.ada}/rates`, { record })).status).toBe(409);
  });

  test('an address that does not exist', async () => {
    expect((await shop.get('/api/nothing')).status).toBe(404);
    expect((await shop.get(pathOf(ROUTES.order))).status).toBe(404);
  });
});

test('the shop can be set up only once', async () => {
  const body = {
    shopName: 'Again',
    zone: 'Europe/Oslo',
    currency: 'EUR',
    name: 'Eve',
    userName: 'eve',
    password: 'long enough',
  };
  expect((await request(shop.app).post('/api/first-run').send(body)).status).toBe(409);
});

test('a tenth of a minute of guessing is enough: the next tries have to wait', async () => {
  const statuses = [];
  for (let i = 0; i < 25; i += 1)
    statuses.push((await request(shop.app).post('/api/station/pair').send({ code: 'GUESS' })).status);
  expect(statuses.at(-1)).toBe(429);
});

test('of a user handlers are told nothing secret', async () => {
  const who = await identify(shop.context, { headers: { cookie: shop.desk } } as Request);
  if (who.kind !== 'desk') throw new Error(who.kind);
  expect(who.user).toMatchObject({ name: 'Sol', roles: [{ id: 'administrator' }] });
  expect(JSON.stringify(who.user)).not.toMatch(/argon2|passwordHash/);
});

test('how somebody likes to read hours is theirs, wherever they sign in', async () => {
  const own = await openTestShop();
  const pia = await own.addUser({ userName: 'pia', role: 'supervisor' });
  const styleOf = async (cookie: string) =>
    ((await own.get('/api/session', cookie)).body as { hoursStyle: string }).hoursStyle;
  expect([await styleOf(own.desk), await styleOf(pia)]).toEqual(['h:mm', 'h:mm']);
  expect((await own.post('/api/hours-style', { hoursStyle: 'decimal' }, pia)).status).toBe(200);
  const elsewhere = cookieOf(
    await own.post('/api/sign-in', { userName: 'pia', password: 'long enough' }, ''),
  );
  expect([await styleOf(own.desk), await styleOf(pia), await styleOf(elsewhere)]).toEqual([
    'h:mm',
    'decimal',
    'decimal',
  ]);
  expect(await own.post('/api/hours-style', { hoursStyle: 'roman' }, pia)).toMatchObject({
    status: 422,
    body: { errors: [{ field: 'hoursStyle' }] },
  });
  expect((await own.post('/api/hours-style', { hoursStyle: 'decimal' }, '')).status).toBe(401);
  await own.close();
});
