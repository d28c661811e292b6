import request from 'supertest';
import { RIGHTS_OF_ROLE, ROLES } from '@wergon/contract/access';
import type { Role } from '@wergon/contract/access';
import { ROUTES } from '@wergon/contract/routes';
import type { Route } from '@wergon/contract/routes';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
const cookies = new Map<Role, string>();
beforeAll(async () => {
  shop = await openTestShop();
  for (const role of ROLES) {
    cookies.set(role, await shop.addUser({ userName: `a ${role}`, role }));
  }
});
afterAll(() => shop.close());

const routes = Object.entries(ROUTES) as [string, Route][];

describe.each(ROLES)('a %s', (role) => {
  test.each(
    routes.filter(([, { caller }]) => caller !== 'public' && caller !== 'station' && caller !== 'signed-in'),
  )('is let in where their role allows it, and nowhere else: %s', async (_name, { method, path, caller }) => {
    const agent = request(shop.app);
    const asked = agent[method](path.replace(/:\w+/g, 'none')).set('cookie', cookies.get(role) ?? '');
    const { status } = await (method === 'post' ? asked.send({}) : asked);
    const isAllowed = RIGHTS_OF_ROLE[role].includes(caller as never);
    // Whoever is let in is told what is wrong with an empty request, never that they may not.
    expect([status === 403, status === 401]).toEqual([!isAllowed, false]);
  });
});

const costsIn = (body: unknown) => {
  const found: string[] = [];
  JSON.stringify(body, (name, value: unknown) => {
    if (/^(base|burden|costPerHour|perHour)$/i.test(name)) found.push(name);
    return value;
  });
  return found;
};

test.each(ROLES.filter((role) => !RIGHTS_OF_ROLE[role].includes('rates.see')))(
  'no answer to a %s holds what somebody is paid',
  async (role) => {
    const gets = routes.filter(([, route]) => route.method === 'get');
    for (const [, { path }] of gets) {
      const filled = path
        .replace(':order', shop.order)
        .replace(':technician', shop.ada)
        .replace(/:\w+/g, 'none');
      expect([path, costsIn((await shop.get(filled, cookies.get(role))).body)]).toEqual([path, []]);
    }
  },
);

test('only administrators say who may sign in, and one always stays', async () => {
  const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
  const sol = users.find(({ userName }) => userName === 'sol')?.id ?? '';
  const other = users.find(({ userName }) => userName === 'a administrator')?.id ?? '';
  const planner = { name: 'Was one', roles: ['planner'], seesRates: false };
  expect((await shop.post(`/api/users/${other}`, planner)).status).toBe(200);
  expect((await shop.post(`/api/users/${sol}`, { ...planner })).body).toMatchObject({
    type: 'urn:wergon:access.last_administrator',
  });
});

describe('a role of the shop’s own', () => {
  const idOf = ({ body }: { body: object }) => (body as { id: string }).id;
  const night = { name: 'Night lead', rights: ['floor.see', 'ledger.correct'], reach: 'crew' };

  test('lets do what its rights say, at once when they are changed, and with other roles what any of them says', async () => {
    const role = idOf(await shop.post('/api/roles', night));
    const ulla = await shop.addUser({ userName: 'ulla', role });
    expect((await shop.get('/api/floor', ulla)).status).toBe(200);
    expect((await shop.get('/api/work', ulla)).status).toBe(403);
    await shop.post(`/api/roles/${role}`, { ...night, rights: ['work.see'] });
    expect((await shop.get('/api/floor', ulla)).status).toBe(403);
    expect((await shop.get('/api/work', ulla)).status).toBe(200);
    const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
    const id = users.find(({ userName }) => userName === 'ulla')?.id ?? '';
    const both = { name: 'Ulla', roles: [role, 'technician'], seesRates: false };
    expect((await shop.post(`/api/users/${id}`, both)).status).toBe(200);
    expect((await shop.get('/api/floor', ulla)).status).toBe(200);
    expect((await shop.get('/api/session', ulla)).body).toMatchObject({
      roles: [
        { id: 'technician', name: null },
        { id: role, name: 'Night lead' },
      ],
      rights: ['own.time', 'floor.see', 'work.see'],
    });
  });

  test('stays while somebody has it, and goes once nobody does', async () => {
    const role = idOf(await shop.post('/api/roles', { ...night, name: 'For a while' }));
    await shop.addUser({ userName: 'nils', role });
    expect((await shop.post(`/api/roles/${role}/remove`, {})).body).toMatchObject({
      type: 'urn:wergon:access.role_in_use',
    });
    const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
    const id = users.find(({ userName }) => userName === 'nils')?.id ?? '';
    await shop.post(`/api/users/${id}`, { name: 'Nils', roles: ['technician'], seesRates: false });
    expect((await shop.post(`/api/roles/${role}/remove`, {})).status).toBe(200);
    expect((await shop.post(`/api/roles/${role}/remove`, {})).status).toBe(404);
  });

  test.each<[what: string, path: string, body: object, problem: string]>([
    ['a name twice', '/api/roles', night, 'record.taken'],
    ['a role of Wergon’s', '/api/roles/lead', { ...night, name: 'Lead' }, 'access.built_in_role'],
    ['one of Wergon’s taken out', '/api/roles/lead/remove', {}, 'access.built_in_role'],
    ['none there is', '/api/roles/none', { ...night, name: 'None' }, 'record.not_found'],
  ])('%s is refused', async (_what, path, body, problem) => {
    expect((await shop.post(path, body)).body).toMatchObject({ type: `urn:wergon:${problem}` });
  });

  test('nobody gives more than they may do, nor changes whoever may do more', async () => {
    const rights = ['users.change', 'floor.see'];
    const role = idOf(await shop.post('/api/roles', { name: 'Keeper of users', rights, reach: 'all' }));
    const eva = await shop.addUser({ userName: 'eva', role });
    const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
    const sol = users.find(({ userName }) => userName === 'sol')?.id ?? '';
    const own = users.find(({ userName }) => userName === 'eva')?.id ?? '';
    const types = [
      await shop.post('/api/roles', { name: 'More', rights: ['rates.see'], reach: 'all' }, eva),
      await shop.post(
        `/api/roles/${role}`,
        { name: 'Keeper', rights: [...rights, 'pay.close'], reach: 'all' },
        eva,
      ),
      await shop.post(`/api/users/${own}`, { name: 'Eva', roles: [role], seesRates: true }, eva),
      await shop.post(`/api/users/${own}`, { name: 'Eva', roles: ['administrator'], seesRates: false }, eva),
      await shop.post(
        `/api/users/${sol}`,
        { name: 'Sol', roles: [role], seesRates: false, password: 'taken over' },
        eva,
      ),
    ].map(({ body }) => (body as { type: string }).type);
    expect(types).toEqual(Array(5).fill('urn:wergon:access.beyond_own'));
    const within = { name: 'A watcher', rights: ['floor.see'], reach: 'all' };
    expect((await shop.post('/api/roles', within, eva)).status).toBe(200);
  });

  test('whoever reaches the time of some people alone gives nobody more: neither all of it, nor any', async () => {
    const rights = ['users.change', 'floor.see', 'ledger.correct'];
    const fields = { name: 'Keeper of a crew', rights, reach: 'crew' };
    const role = idOf(await shop.post('/api/roles', fields));
    const reader = idOf(
      await shop.post('/api/roles', { name: 'Reader', rights: ['floor.see'], reach: 'all' }),
    );
    const far = idOf(await shop.post('/api/roles', { ...fields, name: 'Keeper of all', reach: 'all' }));
    const crewed = await shop.addUser({ userName: 'crewed', role });
    const bound = await shop.addUser({ userName: 'bound', role: far, departments: ['winding'] });
    const free = await shop.addUser({ userName: 'free', role: far });
    const user = { name: 'N', password: 'long enough', roles: [far], seesRates: false };
    for (const [i, as] of [crewed, bound].entries()) {
      const told = [
        await shop.post(`/api/roles/${role}`, { ...fields, reach: 'all' }, as),
        await shop.post('/api/roles', { ...fields, name: `Another ${i}` }, as),
        await shop.post('/api/users', { ...user, userName: `n${i}` }, as),
        await shop.post(`/api/roles/${far}/remove`, {}, as),
      ].map(({ body }) => (body as { type: string }).type);
      expect(told).toEqual(Array(4).fill('urn:wergon:access.beyond_own'));
      const within = { ...user, userName: `w${i}`, roles: [reader] };
      expect((await shop.post('/api/users', within, as)).status).toBe(200);
    }
    expect((await shop.post('/api/users', { ...user, userName: 'n2' }, free)).status).toBe(200);
    const admin = await shop.addUser({ userName: 'adm', role: 'administrator', departments: ['winding'] });
    expect((await shop.post('/api/users', { ...user, userName: 'n3' }, admin)).status).toBe(200);
  });

  test('what is no role is refused at its field', async () => {
    const body = {
      name: 'X',
      userName: 'x',
      password: 'long enough',
      roles: ['lead', 'none'],
      seesRates: false,
    };
    expect((await shop.post('/api/users', body)).body).toMatchObject({
      errors: [{ field: 'roles.1', message: 'is no role' }],
    });
  });
});

test('a new password ends the sessions that the old one opened', async () => {
  const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
  const lead = users.find(({ userName }) => userName === 'a lead')?.id ?? '';
  await shop.post(`/api/users/${lead}`, {
    name: 'lead',
    roles: ['lead'],
    seesRates: false,
    password: 'another one',
  });
  expect((await shop.get('/api/session', cookies.get('lead'))).status).toBe(401);
});
