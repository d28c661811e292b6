/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { RIGHTS, RIGHTS_OF_ROLE, ROLES } from '@wergon/contract/access';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import UsersPage from './UsersPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const user = (id: string, name: string, more: object = {}) => ({
  id,
  name,
  userName: name.toLowerCase(),
  role: 'supervisor',
  seesRates: false,
  technician: null,
  departments: null,
  isOff: false,
  mustChangePassword: false,
  ...more,
});

async function open(...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => {
    if (name === 'users')
      return {
        users: [
          user('u1', 'Sol', { role: 'administrator' }),
          user('u2', 'Mik', { mustChangePassword: true, departments: ['d1'] }),
          user('u3', 'Ole', { isOff: true, seesRates: true }),
        ],
      };
    if (name === 'shop')
      return {
        lists: {
          department: [
            { id: 'd1', name: 'Winding' },
            { id: 'd2', name: 'Test' },
          ],
        },
      };
    return name === 'names' ? { people: [] } : null;
  };
  const { page, press } = await openPage(UsersPage);
  const [rightsTable, usersTable] = page.findAll('table');
  const rows = (table: typeof rightsTable) =>
    (table?.findAll('tbody tr') ?? []).map((row) => row.findAll('th, td').map((cell) => cell.text()));
  return { page, press, rightsTable, usersTable, rows };
}

test('the table of rights says of each right who has it', async () => {
  const { rightsTable, rows } = await open();
  const table = rows(rightsTable);
  expect(table).toHaveLength(RIGHTS.length);
  RIGHTS.forEach((right, i) => {
    expect(table[i]?.slice(1)).toEqual(
      ROLES.map((role) => (RIGHTS_OF_ROLE[role].includes(right) ? 'yes' : 'no')),
    );
  });
});

test('who may not change users sees none of them', async () => {
  const { page } = await open('shop.see');
  expect(page.findAll('table')).toHaveLength(1);
  expect(server.calls.map(({ name }) => name)).not.toContain('users');
});

test('each user stands with what holds of them', async () => {
  const { usersTable, rows } = await open('users.change');
  expect(rows(usersTable).map((row) => row.slice(0, 4))).toEqual([
    ['Sol', 'sol', 'administrator', 'sees them'],
    ['Mik has yet to choose a password', 'mik', 'supervisor', 'does not see them'],
    ['Ole switched off', 'ole', 'supervisor', 'sees them'],
  ]);
});

test.each<[boxes: boolean[], sent: string[] | null, why: string]>([
  [[true, false], ['d1'], 'as it was'],
  [[true, true], ['d1', 'd2'], 'both'],
  [[false, false], null, 'none chosen is everybody’s'],
])('departments %j are sent as %j: %s', async (boxes, sent) => {
  const { page, press, usersTable } = await open('users.change');
  const second = usersTable?.findAll('tbody tr')[1];
  await press('Change', second?.element as HTMLElement);
  const own = page.findAll<HTMLInputElement>('.departments input');
  expect(own.map(({ element }) => element.checked)).toEqual([true, false]);
  for (const [i, box] of own.entries()) await box.setValue(boxes[i]);
  await page.get('form').trigger('submit');
  await flushPromises();
  const [, body] = bodies().find(([name]) => name === 'saveUser') ?? [];
  expect(body).toMatchObject({ name: 'Mik', departments: sent, password: null });
  expect(page.find('form').exists()).toBe(false);
});

test('a new user is sent with a password, and without rates unless they are ticked', async () => {
  const { page, press } = await open('users.change');
  await press('Add user');
  const [name, userName, password] = page.findAll('form input');
  await name?.setValue('Eva');
  await userName?.setValue('eva');
  await password?.setValue('long enough, surely');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies()).toContainEqual([
    'addUser',
    {
      name: 'Eva',
      role: 'supervisor',
      seesRates: false,
      technician: null,
      departments: null,
      userName: 'eva',
      password: 'long enough, surely',
    },
  ]);
});
