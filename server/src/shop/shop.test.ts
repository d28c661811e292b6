import type { OrderJson } from '@wergon/contract/compare';
import type { Checklist, ShopJson } from '@wergon/contract/shop';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());
const read = async () => (await shop.get('/api/shop')).body as ShopJson;

test('a new shop begins with indirect activities, paid and unpaid, and with reasons', async () => {
  const { activities, lists } = await read();
  expect(activities.length).toBeGreaterThan(5);
  expect(activities.find(({ title }) => title === 'Private errand')).toMatchObject({
    counts: false,
    isPaid: false,
  });
  expect(lists['down-reason'].length).toBeGreaterThan(2);
});

test('the people’s departments are a list, and a new name goes everywhere', async () => {
  const { lists } = await read();
  const winding = lists.department.find(({ name }) => name === 'Winding');
  await shop.post(`/api/shop/lists/${winding?.id ?? ''}`, { name: 'Coils', isOff: false });
  const { technicians } = (await shop.get('/api/people')).body as { technicians: { department: string }[] };
  expect(technicians.map(({ department }) => department)).toEqual(['Coils', 'Coils']);
});

test('an activity says what it is for, at the stations too; of two of one name each says whose it is', async () => {
  const fields = { counts: true, isPaid: true, takesWork: null };
  const add = (title: string, division: string, description = '') =>
    shop.post('/api/shop/activities', { ...fields, title, division, description });
  expect((await add('Oven service', 'Motors', 'Heating up and watching')).status).toBe(200);
  expect((await add('Oven service', 'Pumps')).status).toBe(200);
  const { activities, activityBriefs } = (await shop.get('/api/station/directory', shop.station)).body as {
    activities: { id: string; title: string }[];
    activityBriefs: { activity: string; description: string; division: string }[];
  };
  const ovens = activities.filter(({ title }) => title.startsWith('Oven'));
  expect(ovens.map(({ title }) => title).sort()).toEqual(['Oven service, Motors', 'Oven service, Pumps']);
  const motors = ovens.find(({ title }) => title.endsWith('Motors'))?.id;
  expect(activityBriefs.find(({ activity }) => activity === motors)).toMatchObject({
    description: 'Heating up and watching',
    division: 'Motors',
  });
  // At the desk they stand under their own names.
  expect((await read()).activities.filter(({ title }) => title === 'Oven service')).toHaveLength(2);
  expect(await add('Long', '', 'x'.repeat(201))).toMatchObject({ status: 422 });
});

test('that only who is assigned may start is the shop’s choice, off until it is made, and told to stations', async () => {
  const told = async () =>
    (await shop.get('/api/station/directory', shop.station)).body as { isAssignedOnly: boolean };
  const { settings } = await read();
  expect([settings.work.isAssignedOnly, (await told()).isAssignedOnly]).toEqual([false, false]);
  expect(
    (await shop.post('/api/shop/settings', { ...settings, work: { isAssignedOnly: true } })).status,
  ).toBe(200);
  expect([(await read()).settings.work, (await told()).isAssignedOnly]).toEqual([
    {
      isAssignedOnly: true,
      asksWhy: ['scrap'],
      ownPhones: false,
      offers: false,
      writesDown: 'nobody',
      includesTravel: false,
      unusedFields: [],
    },
    true,
  ]);
  // What an older page sends lacks it.
  const { work: _left, ...older } = settings;
  expect((await shop.post('/api/shop/settings', older)).status).toBe(200);
  expect((await told()).isAssignedOnly).toBe(false);
  expect(
    await shop.post('/api/shop/settings', { ...settings, work: { isAssignedOnly: 'yes' } }),
  ).toMatchObject({
    status: 422,
    body: { errors: [{ field: 'work.isAssignedOnly' }] },
  });
});

test('stations are told the reasons of what the shop wants to know the reason of, and no others', async () => {
  const told = async () =>
    (
      (await shop.get('/api/station/directory', shop.station)).body as {
        reasons: { kind: string; names: string[] }[];
      }
    ).reasons;
  for (const [list, name] of [
    ['rework-reason', 'Wrong drawing sent'],
    ['down-reason', 'Copper not here'],
    ['scrap-reason', 'Cracked through'],
  ])
    expect((await shop.post('/api/shop/lists', { list, name })).status).toBe(200);
  const holds = (kind: string, name: string) => ({ kind, names: expect.arrayContaining([name]) as string[] });
  expect(await told()).toEqual([holds('scrap', 'Cracked through')]);
  const { settings } = await read();
  const asking = (asksWhy: unknown) =>
    shop.post('/api/shop/settings', { ...settings, work: { isAssignedOnly: false, asksWhy } });
  expect((await asking(['rework', 'down'])).status).toBe(200);
  expect(await told()).toEqual([holds('rework', 'Wrong drawing sent'), holds('down', 'Copper not here')]);
  expect(await asking(['sleep'])).toMatchObject({
    status: 422,
    body: { errors: [{ field: 'work.asksWhy[0]' }] },
  });
});

test('a customer and a work center that are renamed are renamed in orders', async () => {
  const order = {
    ...shop.newOrder('7001'),
    customer: 'Aker',
    tasks: [{ ...shop.newOrder('x').tasks[0], workCenter: 'Lathe' }],
  };
  const { id } = (await shop.post('/api/work', order)).body as { id: string };
  const { customers, resources } = await read();
  const customer = customers.find(({ name }) => name === 'Aker')?.id ?? '';
  const center = resources.find(({ name }) => name === 'Lathe')?.id ?? '';
  expect((await shop.post(`/api/shop/customers/${customer}`, { name: 'Aker Dairy' })).status).toBe(200);
  expect(
    (await shop.post(`/api/shop/resources/${center}`, { kind: 'work-center', name: 'Big lathe' })).status,
  ).toBe(200);
  const renamed = (await shop.get(`/api/work/${id}`)).body as OrderJson;
  expect([renamed.order.customer, renamed.tasks[0]?.workCenter]).toEqual(['Aker Dairy', 'Big lathe']);
});

test.each<[string, object, string, string]>([
  ['/api/shop/lists', { list: 'division', name: '' }, 'name', 'no name'],
  ['/api/shop/lists', { list: 'colour', name: 'x' }, 'list', 'no such list'],
  ['/api/shop/resources', { kind: 'machine', name: 'Oven' }, 'workCenter', 'a machine that stands nowhere'],
  [
    '/api/shop/customers',
    { name: 'x', charge: { isBillable: true, per: 'hour', amount: '-1' } },
    'charge.amount',
    'a negative charge',
  ],
  ['/api/shop/closed-days', { day: '2026-02-30', name: 'x' }, 'day', 'a day that does not exist'],
  [
    '/api/shop/settings',
    {
      name: 'x',
      orderNumbers: { prefix: '', digits: 0, first: 1 },
      labels: { symbology: 'code128', paper: 'a4' },
      pay: { period: 'weekly', anchor: '2026-01-05', approval: 'none', isConfirmed: false },
      desk: { signOutMinutes: 60 },
      backup: { hour: null, keep: 14 },
      reconcile: { answeredGapMinutes: 0 },
    },
    'orderNumbers.digits',
    'no digits',
  ],
  [
    '/api/shop/settings',
    {
      name: 'x',
      orderNumbers: { prefix: '', digits: 4, first: 1 },
      labels: { symbology: 'code128', paper: 'a4' },
      pay: { period: 'weekly', anchor: '2026-02-30', approval: 'none', isConfirmed: false },
      desk: { signOutMinutes: 60 },
      backup: { hour: null, keep: 14 },
      reconcile: { answeredGapMinutes: 0 },
    },
    'pay.anchor',
    'an anchor that is no day',
  ],
])('%s with %j names %s: %s', async (path, body, field) =>
  expect((await shop.post(path, body)).body).toMatchObject({ status: 422, errors: [{ field }] }),
);

test('two of one name are refused in every list', async () => {
  for (const [path, body] of [
    ['/api/shop/lists', { list: 'division', name: 'North' }],
    ['/api/shop/resources', { kind: 'work-center', name: 'Bench' }],
    ['/api/shop/customers', { name: 'Sund Fish' }],
    ['/api/shop/activities', { title: 'Errand', counts: true }],
  ] as const) {
    expect([path, (await shop.post(path, body)).status]).toEqual([path, 200]);
    expect([path, (await shop.post(path, body)).status]).toEqual([path, 409]);
  }
});

test('an activity that is switched off is not heard at stations any more', async () => {
  const { activities } = await read();
  const { id = '', title = '', code } = activities[0] ?? {};
  const heard = async () =>
    (
      (await shop.get('/api/station/directory', shop.station)).body as { codes: { code: string }[] }
    ).codes.some((each) => each.code === code);
  expect(await heard()).toBe(true);
  await shop.post(`/api/shop/activities/${id}`, { title, counts: true, isOff: true });
  expect(await heard()).toBe(false);
});

test('the next order number follows the scheme', async () => {
  const { settings } = await read();
  await shop.post('/api/shop/settings', {
    ...settings,
    orderNumbers: { prefix: 'W', digits: 5, first: 300 },
  });
  expect((await shop.get('/api/preparation')).body).toMatchObject({ nextNumber: 'W00300' });
});

test('the checklist names what is missing until it is there', async () => {
  const list = async () => (await shop.get('/api/shop/checklist')).body as Checklist;
  const named = async (kind: string) => (await list()).items.find((item) => item.kind === kind)?.names;
  const { id } = (await shop.post('/api/people', { number: '9', name: 'Cy', department: '' })).body as {
    id: string;
  };
  expect(await named('no-rate')).toEqual(['Cy']);
  expect(await named('station-untested')).toEqual(['Winding 1']);
  await shop.post(`/api/people/${id}/rates`, { record: { from: '2026-03-01', per: 'hour', base: '20' } });
  await shop.send(shop.scan('shift-in', 90, shop.ada));
  expect(await named('no-rate')).toBeUndefined();
  expect(await named('station-untested')).toBeUndefined();
  expect((await list()).hasScans).toBe(true);
});

test('what a calibration taught is told to the station whose scanner it is', async () => {
  const scanner = { endKey: null, prefix: ']C1', suffix: '', meant: { À: '0' } };
  expect((await shop.post('/api/station/scanner', scanner, shop.station)).status).toBe(200);
  expect((await shop.get('/api/station/directory', shop.station)).body).toMatchObject({ scanner });
});

test('which fields the shop does without is told to whoever signs in', async () => {
  const { settings } = await read();
  const work = { ...settings.work, unusedFields: ['division', 'parts'] };
  expect((await shop.post('/api/shop/settings', { ...settings, work })).status).toBe(200);
  expect((await shop.get('/api/session')).body).toMatchObject({ unusedFields: ['division', 'parts'] });
  const odd = { ...settings.work, unusedFields: ['number'] };
  expect((await shop.post('/api/shop/settings', { ...settings, work: odd })).status).toBe(422);
});
