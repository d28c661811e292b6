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
  const planner = { name: 'Was one', role: 'planner', seesRates: false };
  expect((await shop.post(`/api/users/${other}`, planner)).status).toBe(200);
  expect((await shop.post(`/api/users/${sol}`, { ...planner })).body).toMatchObject({
    type: 'urn:wergon:access.last_administrator',
  });
});

test('a new password ends the sessions that the old one opened', async () => {
  const { users } = (await shop.get('/api/users')).body as { users: { id: string; userName: string }[] };
  const lead = users.find(({ userName }) => userName === 'a lead')?.id ?? '';
  await shop.post(`/api/users/${lead}`, {
    name: 'lead',
    role: 'lead',
    seesRates: false,
    password: 'another one',
  });
  expect((await shop.get('/api/session', cookies.get('lead'))).status).toBe(401);
});
