import { pino } from 'pino';
import request from 'supertest';
import { ROUTES } from '@wergon/contract/routes';
import type { Route } from '@wergon/contract/routes';
import { z } from 'zod';
import { cookieOf, newId, openTestShop } from './testShop.fixture.ts';
import type { TestShop } from './testShop.fixture.ts';
import { sayError } from '../http/sayError.ts';

// A stranger, or a browser that a stranger has sent: refused, told why, and nothing changes.
let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

const typeOf = ({ body }: { body: unknown }) => (body as { type?: string }).type?.replace('urn:wergon:', '');

test.each<[string, string, Record<string, string>, string | undefined, number]>([
  ['get', '/%', {}, undefined, 400],
  ['get', '/api/people/%ff/plan', {}, undefined, 400],
  ['get', '/api/people/a%00b/plan', {}, undefined, 400],
  ['post', '/api/stations/%00/revoke', {}, '', 400],
  ['get', `/api/work/${'x'.repeat(201)}`, {}, undefined, 400],
  ['get', '/api/start', { host: 'evil.example' }, undefined, 403],
  ['get', '/api/start', { host: '127.0.0.1:7400' }, undefined, 200],
  ['get', '/api/start', { host: 'localhost' }, undefined, 200],
  ['get', '/api/start', { host: '[::1]:7400' }, undefined, 200],
  ['post', '/api/sign-in', { 'content-type': 'application/json', 'content-encoding': 'gzip' }, '{}', 400],
  ['post', '/api/sign-in', { 'content-type': 'application/json', 'content-encoding': 'lzma' }, '{}', 415],
  ['post', '/api/sign-in', { 'content-type': 'application/json; charset=utf-99' }, '{}', 415],
  ['post', '/api/sign-in', { 'content-type': 'application/json', origin: 'http://evil.example' }, '{}', 403],
  ['post', '/api/sign-in', { 'content-type': 'application/json', origin: 'null' }, '{}', 403],
  [
    'post',
    '/api/sign-in',
    { 'content-type': 'application/json' },
    '{"userName":"a\\u0000","password":"x"}',
    422,
  ],
  [
    'post',
    '/api/sign-in',
    { 'content-type': 'application/json' },
    '{"userName":"a\\ud800","password":"x"}',
    422,
  ],
])('%s %s with %j and %j: %i', async (method, path, headers, body, status) => {
  const asked = request(shop.app)[method as 'get'](path).set('cookie', shop.desk);
  for (const [name, value] of Object.entries(headers)) asked.set(name, value);
  const answer = await (body === undefined ? asked : asked.send(body));
  expect(answer.status).toBe(status);
  if (status >= 400) expect(answer.headers['content-type']).toContain('application/problem+json');
});

test.each([
  ['/api/shop/customers', { name: 'a\u0000b' }, 'name'],
  ['/api/shop/lists', { list: 'division', name: 'x\ud800' }, 'name'],
  ['/api/shop/notices', { text: '\udfff' }, 'text'],
  ['/api/people', { number: '9', name: 'N\u0000', department: 'Winding' }, 'name'],
  ['/api/shop/closed-days', { day: '9999-12-31', name: 'never' }, 'day'],
  ['/api/shop/closed-days', { day: '0001-01-01', name: 'never' }, 'day'],
])('%s with %j names %s and stores nothing', async (path, body, field) => {
  const answer = await shop.post(path, body);
  expect([answer.status, answer.body]).toMatchObject([422, { errors: [{ field }] }]);
});

test('a request that says nothing may be sent as nothing, as null, or as an empty object', async () => {
  for (const body of ['', 'null', '{}']) {
    const cookie = cookieOf(
      await request(shop.app).post('/api/sign-in').send({ userName: 'sol', password: 'long enough' }),
    );
    const out = request(shop.app)
      .post('/api/sign-out')
      .set('cookie', cookie)
      .set('content-type', 'application/json');
    expect((await (body === '' ? out : out.send(body))).status).toBe(200);
    expect((await shop.get('/api/session', cookie)).status).toBe(401);
  }
});

test('every text of a request has an end', () => {
  const unbounded: string[] = [];
  const look = (schema: unknown, path: string): void => {
    if (typeof schema !== 'object' || schema === null) return;
    const each = schema as Record<string, unknown>;
    const isText = each['type'] === 'string';
    const isBounded = ['maxLength', 'enum', 'const', 'format', 'pattern'].some((key) => key in each);
    if (isText && !isBounded) unbounded.push(path);
    for (const [key, inner] of Object.entries(each)) look(inner, `${path}.${key}`);
  };
  for (const [name, route] of Object.entries(ROUTES) as [string, Route][])
    for (const part of ['body', 'query'] as const) {
      const schema = route[part];
      if (schema) look(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }), `${name}.${part}`);
    }
  // Instants, days, decimals and ids are read with parsers and patterns of their own; each of those is short.
  expect(unbounded.filter((path) => !READ_BY_PARSER.test(path))).toEqual([]);
});
const READ_BY_PARSER =
  /\.(at|from|to|day|due|until|ended|firstDay|lastDay|hiredOn|leftOn|replaces|anchor|technician|target|entry|id|amount|base|value|hoursPerYear|price|billedHours|standardRate|setupHours|fixedRunHours|runHours|runHoursPerPiece|hours|over|overtime|double|grade|seen)(\.|$)/i;

describe('sessions', () => {
  const signIn = (userName: string, more: object = {}) =>
    request(shop.app)
      .post('/api/sign-in')
      .send({ userName, password: 'long enough', ...more });

  test('asking again and again without anybody there keeps no session', async () => {
    const cookie = cookieOf(await signIn('sol'));
    const before = shop.clock.nowMs();
    const poll = () => request(shop.app).get('/api/rail').set('cookie', cookie);
    for (let minute = 10; minute <= 60; minute += 10) {
      shop.clock.set(before + minute * 60_000);
      expect((await poll()).status).toBe(200);
    }
    shop.clock.set(before + 61 * 60_000);
    expect((await poll()).status).toBe(401);
    shop.clock.set(before);
  });

  test('somebody who is there stays signed in', async () => {
    const cookie = cookieOf(await signIn('sol'));
    const before = shop.clock.nowMs();
    for (let minute = 30; minute <= 180; minute += 30) {
      shop.clock.set(before + minute * 60_000);
      expect((await shop.get('/api/rail', cookie)).status).toBe(200);
    }
    shop.clock.set(before);
  });

  test('of one user no more than twenty are open, and those that ran out go', async () => {
    const lea = await shop.addUser({ userName: 'lea', role: 'lead' });
    const before = shop.clock.nowMs();
    for (let i = 1; i <= 25; i += 1) {
      shop.clock.set(before + i * 1000);
      await signIn('lea');
    }
    shop.clock.set(before);
    const rows = () =>
      shop.database.em.fork().execute<{ n: number }[]>('select count(*) as n from desk_session');
    expect((await rows())[0]?.n).toBeLessThanOrEqual(60);
    expect((await shop.get('/api/session', lea)).status).toBe(401);
  });

  test('a user who is switched off is out at once, and comes in no more', async () => {
    const eve = await shop.addUser({ userName: 'eve', role: 'lead' });
    const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
    const id = users.find(({ userName }) => userName === 'eve')?.id ?? '';
    const off = { name: 'Eve', roles: ['lead'], seesRates: false, isOff: true };
    expect((await shop.post(`/api/users/${id}`, off)).status).toBe(200);
    expect((await shop.get('/api/session', eve)).status).toBe(401);
    expect((await signIn('eve')).status).toBe(401);
  });

  test('whoever got a password from somebody else does nothing before they have chosen their own', async () => {
    const given = {
      name: 'Una',
      userName: 'una',
      password: 'given to you',
      roles: ['supervisor'],
      seesRates: false,
    };
    await shop.post('/api/users', given);
    const una = cookieOf(await signIn('una', { password: 'given to you' }));
    const floor = await shop.get('/api/floor', una);
    expect([floor.status, typeOf(floor)]).toEqual([403, 'access.password_due']);
    expect((await shop.get('/api/session', una)).body).toMatchObject({ mustChangePassword: true });
    const change = (password: string, newPassword: string) =>
      shop.post('/api/password', { password, newPassword }, una);
    expect(typeOf(await change('wrong wrong wrong', 'her own password'))).toBe('access.wrong_own_password');
    expect(typeOf(await change('given to you', 'given to you'))).toBe('input.invalid');
    expect((await change('given to you', 'her own password')).status).toBe(200);
    expect((await shop.get('/api/floor', una)).status).toBe(200);
    expect((await signIn('una', { password: 'given to you' })).status).toBe(401);
  });
});

describe('tries at a password', () => {
  const attempt = (userName: string, headers: Record<string, string> = {}) =>
    request(shop.app)
      .post('/api/sign-in')
      .set(headers)
      .send({ userName, password: 'wrong wrong' })
      .then(({ status }) => status);

  test('those that another site has sent, or that are no sign-in at all, take nobody’s tries away', async () => {
    await shop.addUser({ userName: 'kai', role: 'lead' });
    for (let i = 0; i < 30; i += 1) {
      expect(await attempt('kai', { 'sec-fetch-site': 'cross-site' })).toBe(403);
      expect((await request(shop.app).post('/api/sign-in').send({ userName: 'kai' })).status).toBe(422);
    }
    expect(
      (await request(shop.app).post('/api/sign-in').send({ userName: 'kai', password: 'long enough' }))
        .status,
    ).toBe(200);
  });

  test('one user’s are used up by whoever guesses at them, and no other’s', async () => {
    await shop.addUser({ userName: 'ina', role: 'lead' });
    const statuses = [];
    for (let i = 0; i < 22; i += 1) statuses.push(await attempt('nobody of this name'));
    expect([statuses[0], statuses.at(-1)]).toEqual([401, 429]);
    expect(
      (await request(shop.app).post('/api/sign-in').send({ userName: 'ina', password: 'long enough' }))
        .status,
    ).toBe(200);
  });

  test('one’s own password is guessed no more often for dressing each try up as another', async () => {
    const cookie = await shop.addUser({ userName: 'pia', role: 'lead' });
    const statuses = [];
    for (let i = 0; i < 22; i += 1) {
      const body = { password: `wrong wrong ${i}`, newPassword: 'another long one' };
      statuses.push((await shop.post('/api/password', body, `${cookie}; more=${i}`)).status);
    }
    expect([statuses[0], statuses.at(-1)]).toEqual([422, 429]);
  });
});

describe('own time', () => {
  const own = (proof: string, technician = shop.ada) =>
    shop.post('/api/station/own-time', { technician, proof }, shop.station);

  test('is for whoever shows their badge to the server, at this station, for five minutes', async () => {
    expect(typeOf(await own('guessed'))).toBe('access.not_proved');
    const badge = await shop.post(
      '/api/station/proof',
      { technician: shop.ada, code: 'BND9L1B44TL9SJ' },
      shop.station,
    );
    expect(typeOf(badge)).toBe('access.wrong_badge');
    const proof = await shop.prove(shop.ada);
    expect((await own(proof)).status).toBe(200);
    expect(typeOf(await own(proof, shop.bo))).toBe('access.not_proved');
    const { code } = (await shop.post('/api/stations', { name: `Far ${newId()}` })).body as { code: string };
    const far = cookieOf(await request(shop.app).post('/api/station/pair').send({ code }));
    const elsewhere = await shop.post('/api/station/own-time', { technician: shop.ada, proof }, far);
    expect(typeOf(elsewhere)).toBe('access.not_proved');
    const before = shop.clock.nowMs();
    shop.clock.set(before + 5 * 60_000 + 1_000);
    expect(typeOf(await own(proof))).toBe('access.not_proved');
    shop.clock.set(before);
  });

  test('a PIN proves the same, and a wrong one locks its owner out at that station alone', async () => {
    await shop.post(`/api/people/${shop.bo}/pin`, { pin: '4711' });
    const check = (pin: string, station: string) =>
      shop.post('/api/station/pin', { technician: shop.bo, pin }, station);
    const { proof } = (await check('4711', shop.station)).body as { proof: string };
    expect((await own(proof, shop.bo)).status).toBe(200);
    for (let i = 0; i < 5; i += 1) await check('0000', shop.station);
    expect(typeOf(await check('4711', shop.station))).toBe('access.too_many_tries');
    const { code } = (await shop.post('/api/stations', { name: `Near ${newId()}` })).body as { code: string };
    const near = cookieOf(await request(shop.app).post('/api/station/pair').send({ code }));
    expect((await check('4711', near)).status).toBe(200);
  });
});

test('a new name of a department changes nobody’s rights', async () => {
  const department = await shop.listed('department', 'Winding');
  const lead = await shop.addUser({ userName: 'olga', role: 'lead', departments: [department] });
  const may = async () =>
    (
      (await shop.get(`/api/reconcile/week?technician=${shop.ada}&day=2026-03-03`, lead)).body as {
        mayCorrect: boolean;
      }
    ).mayCorrect;
  expect(await may()).toBe(true);
  await shop.post(`/api/shop/lists/${department}`, { name: 'Coils', isOff: false });
  expect(await may()).toBe(true);
});

test('why somebody is away is for who may see absences', async () => {
  const pattern = Array.from({ length: 7 }, () => ({ startMinute: 420, endMinute: 930, breakMinutes: 30 }));
  await shop.post(`/api/people/${shop.bo}/patterns`, { from: '2026-03-02', weeks: [pattern] });
  const body = { from: '2026-03-03', to: '2026-03-03', kind: 'sick', isPaid: true };
  expect((await shop.post(`/api/people/${shop.bo}/absences`, body)).status).toBe(200);
  const technician = await shop.addUser({ userName: 'tom', role: 'technician' });
  const lead = await shop.addUser({ userName: 'lou', role: 'lead' });
  const floor = await shop.get('/api/floor', technician);
  expect(JSON.stringify(floor.body)).not.toContain('sick');
  const week = (cookie: string) =>
    shop.get(`/api/reconcile/week?technician=${shop.bo}&day=2026-03-03`, cookie);
  expect(JSON.stringify((await week(lead)).body)).not.toContain('sick');
  expect(JSON.stringify((await week(shop.desk)).body)).toContain('sick');
});

test('a log says what failed and where, never what somebody typed', () => {
  const lines: string[] = [];
  const log = pino({}, { write: (text: string) => void lines.push(text) });
  const error = Object.assign(new Error(`insert into "technician" values ('4711', 'hash')`), {
    code: 'SQLITE_ERROR',
  });
  log.error(sayError(error), 'request failed');
  expect(lines.join('')).toContain('SQLITE_ERROR');
  expect(lines.join('')).not.toContain('4711');
});
