/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { REACH_OF_ROLE, RIGHTS, RIGHTS_OF_ROLE, ROLES } from '@wergon/contract/access';
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
  roles: ['supervisor'],
  seesRates: false,
  technician: null,
  departments: null,
  crews: null,
  isOff: false,
  mustChangePassword: false,
  ...more,
});

const NIGHT = { id: 'night', name: 'Night lead', rights: ['floor.see', 'ledger.correct'], reach: 'crew' };
const roles = [
  ...ROLES.map((id) => ({ id, name: null, rights: RIGHTS_OF_ROLE[id], reach: REACH_OF_ROLE[id] })),
  NIGHT,
];

async function open(...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => {
    if (name === 'roles') return { roles };
    if (name === 'users')
      return {
        users: [
          user('u1', 'Sol', { roles: ['administrator'] }),
          user('u2', 'Mik', { mustChangePassword: true, departments: ['d1'], roles: ['lead', 'night'] }),
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
          crew: [{ id: 'c1', name: 'Night' }],
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
    expect(table[i]?.slice(1)).toEqual(roles.map(({ rights }) => (rights.includes(right) ? 'yes' : 'no')));
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
    ['Mik has yet to choose a password', 'mik', 'lead and Night lead', 'does not see them'],
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
  const own = page.findAll<HTMLInputElement>('fieldset input');
  expect(own.map(({ element }) => element.checked)).toEqual([true, false, false]);
  for (const [i, isOn] of boxes.entries()) await own[i]?.setValue(isOn);
  await page.get('form').trigger('submit');
  await flushPromises();
  const [, body] = bodies().find(([name]) => name === 'saveUser') ?? [];
  expect(body).toEqual({
    name: 'Mik',
    roles: ['lead', 'night'],
    seesRates: false,
    technician: null,
    departments: sent,
    crews: null,
    seesOnlyTheirs: false,
    isOff: false,
    password: null,
  });
  expect(page.find('form').exists()).toBe(false);
});

test('that somebody sees no others is asked where there are others, and sent', async () => {
  const { page, press, usersTable } = await open('users.change');
  const sight = () =>
    page.findAll('form label').find((each) => each.text().startsWith('Sees only these people'));
  await press('Change', usersTable?.findAll('tbody tr')[1]?.element as HTMLElement);
  await page.get(`[id="${sight()?.attributes('for') ?? ''}"]`).setValue(true);
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies().find(([name]) => name === 'saveUser')?.[1]).toMatchObject({
    departments: ['d1'],
    seesOnlyTheirs: true,
  });
  // Whoever puts everybody's time right is told of everybody.
  await press('Change', usersTable?.findAll('tbody tr')[0]?.element as HTMLElement);
  expect(sight()).toBeUndefined();
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
      roles: ['supervisor'],
      seesOnlyTheirs: false,
      seesRates: false,
      technician: null,
      departments: null,
      crews: null,
      userName: 'eva',
      password: 'long enough, surely',
    },
  ]);
});

test('a role is copied without what one may not do oneself, changed right by right and kept', async () => {
  const { page, rightsTable, rows } = await open('users.change', 'floor.see', 'own.time');
  await page.get('[aria-label="Copy the role lead"]').trigger('click');
  const boxes = page.findAll<HTMLInputElement>('.rights input');
  const ticked = () => RIGHTS.filter((_, i) => boxes[i]?.element.checked);
  expect([boxes.length, ticked()]).toEqual([RIGHTS.length, ['own.time', 'floor.see']]);
  expect(RIGHTS.filter((_, i) => boxes[i]?.element.disabled === false)).toEqual([
    'own.time',
    'floor.see',
    'users.change',
  ]);
  await boxes[RIGHTS.indexOf('own.time')]?.setValue(false);
  await page.get('form input').setValue('Watcher');
  expect(rows(rightsTable)).toHaveLength(RIGHTS.length);
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies()).toContainEqual(['addRole', { name: 'Watcher', rights: ['floor.see'], reach: 'crew' }]);
});

test('a role of the shop’s own is changed or taken out; one of Wergon’s can only be copied', async () => {
  const { page, press } = await open('users.change', 'floor.see', 'ledger.correct');
  expect(page.find('[aria-label="Change the role lead"]').exists()).toBe(false);
  await page.get('[aria-label="Change the role Night lead"]').trigger('click');
  await press('Take the role out');
  expect(server.calls).toContainEqual({ name: 'removeRole', options: { params: { role: 'night' } } });
});
