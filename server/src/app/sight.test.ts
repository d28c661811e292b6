import { OF_NOTHING, READS, pathOfRead } from './askRoute.fixture.ts';
import { at, newId, openTestShop } from './testShop.fixture.ts';
import type { TestShop } from './testShop.fixture.ts';

let shop: TestShop;
let lea: string;
let cy: string;
/** Somebody of another department who has done whatever a technician does, and a user who sees the first department alone. */
beforeAll(async () => {
  shop = await openTestShop();
  const added = await shop.post('/api/people', { number: '3', name: 'Cy Hidden', department: 'Testing' });
  cy = (added.body as { id: string }).id;
  await shop.post(`/api/people/${cy}/rates`, {
    record: { from: '2026-01-01', per: 'hour', base: '91.00' },
  });
  await shop.send(
    shop.scan('shift-in', 0, cy),
    shop.scan('work-start', 0, cy, [shop.winding]),
    { ...shop.scan('note', 10, cy, [shop.winding]), text: 'cracked' },
    { ...shop.scan('count', 20, cy, [shop.winding]), good: 1, scrap: 0 },
    shop.scan('work-stop', 60, cy),
    shop.scan('work-start', 0, shop.ada, [shop.winding]),
    shop.scan('work-stop', 30, shop.ada),
    shop.scan('work-start', 80, cy, [shop.strip]),
    shop.scan('work-start', 90, shop.ada, [shop.strip]),
    { ...shop.scan('request', 95, cy), what: 'part', target: shop.strip, text: 'bearing' },
  );
  await shop.correct({
    id: 'written-cy',
    type: 'hours',
    technician: cy,
    targets: [shop.strip],
    day: '2026-03-03',
    seconds: 600,
  });
  lea = await shop.addUser({
    userName: 'lea',
    role: 'administrator',
    departments: [await shop.listed('department', 'Winding')],
    seesOnlyTheirs: true,
  });
});
afterAll(() => shop.close());

/** What belongs to the work, or to who may sign in, and not to what somebody does: who can be given a task. */
const NAMES_ALL = ['preparation'];

const ask = (name: string, as: string) => shop.get(pathOfRead(shop, name), as);
const namesCy = (text: string): boolean => text.includes('Cy Hidden') || text.includes(cy);

test.each(READS.map(([name]) => name).filter((name) => !NAMES_ALL.includes(name)))(
  'no answer of %s names somebody who is not hers to see',
  async (name) => {
    const { text } = await ask(name, lea);
    expect(namesCy(text)).toBe(false);
  },
);

test.each(READS.map(([name]) => name).filter((name) => !OF_NOTHING.includes(name)))(
  '%s is asked so that it answers whoever may do everything',
  async (name) => {
    const { status } = await ask(name, shop.desk);
    expect([name, status]).toEqual([name, 200]);
  },
);

/** Where everybody else is told of them: what is left out for her is there. */
test.each([
  'floor',
  'latest',
  'requests',
  'names',
  'people',
  'work',
  'order',
  'story',
  'accounted',
  'approvals',
  'looseEnds',
  'jobWeek',
  'trail',
  'payPeriod',
  'exportPeople',
  'checklist',
  'report',
  'comparedPeople',
  'cut',
])('%s names them to whoever sees everybody', async (name) => {
  expect(namesCy((await ask(name, shop.desk)).text)).toBe(true);
});

test.each<[what: string, path: string]>([
  ['day', '/api/reconcile/day?technician=CY&day=2026-03-03'],
  ['week', '/api/reconcile/week?technician=CY&day=2026-03-03'],
  ['rates', '/api/people/CY/rates'],
  ['plan', '/api/people/CY/plan'],
  ['earned hours', '/api/compare/people?technician=CY&from=2026-03-02&to=2026-03-08'],
])('the %s of somebody who is not hers to see is refused', async (_what, path) => {
  expect((await shop.get(path.replace('CY', cy), lea)).status).toBe(403);
  expect((await shop.get(path.replace('CY', shop.ada), lea)).status).not.toBe(403);
});

test('a job comes to the same for her, with the others as one line', async () => {
  type Order = {
    order: { comparison: { actualSeconds: number }; peopleOn: string[] };
    tasks: { lines: { technician: string | null; name: string; seconds: number }[] }[];
  };
  const read = async (as: string) => (await shop.get(`/api/work/${shop.order}`, as)).body as Order;
  const [all, hers] = [await read(shop.desk), await read(lea)];
  expect(hers.order.comparison.actualSeconds).toBe(all.order.comparison.actualSeconds);
  expect(all.order.peopleOn.sort()).toEqual(['Ada', 'Cy Hidden']);
  expect(hers.order.peopleOn).toEqual(['Ada']);
  const secondsOf = ({ tasks }: Order) =>
    tasks.flatMap(({ lines }) => lines).reduce((sum, { seconds }) => sum + seconds, 0);
  expect(secondsOf(hers)).toBe(secondsOf(all));
  expect(new Set(hers.tasks.flatMap(({ lines }) => lines.map(({ technician }) => technician)))).toEqual(
    new Set([shop.ada, null]),
  );
});

test('she closes no pay period, brings in no people, and shows nobody more than she sees', async () => {
  const { body } = await shop.get('/api/pay/period?firstDay=2026-03-02', lea);
  expect(body).toMatchObject({ canReopen: false });
  for (const [path, sent] of [
    ['/api/pay/close', { firstDay: '2026-03-02', stamp: 'x' }],
    ['/api/exchange/people', { step: 'check', import: 'x' }],
    ['/api/users', { name: 'N', userName: 'n', password: 'long enough', roles: ['lead'], seesRates: false }],
  ] as const)
    expect([path, (await shop.post(path, sent, lea)).status]).toEqual([path, 403]);
});

const DAY = '2026-03-03';
const block = { from: at(0), to: at(60), running: [] as object[] };
const becomes = (technician: string) => ({ technician, from: at(0), to: at(30), running: [on()] });
const on = () => ({ target: shop.winding, workType: 'run' });
const end = (technician: string) => ({
  kind: 'gap',
  technician,
  target: null,
  from: at(60),
  day: DAY,
  about: null,
});
const seqNow = async () =>
  ((await shop.get('/api/ledger/trail', shop.desk)).body as { entries: { seq: number }[] }).entries[0]?.seq;

/** What she sends about somebody of another department, however deep their id stands in it. */
test.each<[what: string, path: string, body: (who: string) => object]>([
  ['an edit looked at', '/api/reconcile/tape/preview', (who) => ({ block: null, becomes: [becomes(who)] })],
  ['an edit', '/api/reconcile/tape', (who) => ({ block: null, becomes: [becomes(who)] })],
  [
    'time given from one to the other',
    '/api/reconcile/tape',
    (who) => ({ block: { ...block, technician: who, running: [on()] }, becomes: [becomes(shop.ada)] }),
  ],
  [
    'hours of a week',
    '/api/reconcile/hours',
    (who) => ({
      rows: [{ entry: null, technician: who, target: shop.winding, workType: 'run', day: DAY, seconds: 60 }],
    }),
  ],
  ['an approval', '/api/reconcile/approve', (who) => ({ days: [{ technician: who, day: DAY, stamp: 'x' }] })],
  [
    'an acceptance',
    '/api/reconcile/accept',
    (who) => ({ ends: [end(who)], reason: 'fine', seen: { from: DAY, to: DAY } }),
  ],
  [
    'a note',
    '/api/reconcile/notes',
    (who) => ({ technician: who, day: DAY, target: null, text: 'x', once: newId() }),
  ],
  [
    'a cost',
    '/api/ledger/costs',
    (who) => ({
      technician: who,
      target: shop.winding,
      workType: 'run',
      day: DAY,
      seconds: 3600,
      amount: '1.00',
      reason: 'x',
    }),
  ],
  ['a rate', '/api/people/CY/rates', () => ({ record: { from: '2026-02-01', per: 'hour', base: '1.00' } })],
  ['a PIN', '/api/people/CY/pin', () => ({ pin: '1234' })],
  ['a badge', '/api/people/CY/badges', () => ({})],
  ['their fields', '/api/people/CY', () => ({ number: '3', name: 'Mine', department: 'Winding' })],
  [
    'an entry',
    '/api/ledger/entries',
    (who) => ({
      entries: [
        {
          source: 'desk',
          via: [],
          action: newId(),
          deviceAt: at(0),
          clockOffset: 0,
          entry: { id: newId(), type: 'shift-in', at: at(0), technician: who },
        },
      ],
    }),
  ],
])(
  '%s of somebody who is not hers to see is refused, tells nothing and records nothing',
  async (_what, path, body) => {
    const before = await seqNow();
    const { status, text } = await shop.post(path.replace('CY', cy), body(cy), lea);
    expect([status >= 400 && status < 500, status === 422, status === 404]).toEqual([true, false, false]);
    expect(namesCy(text)).toBe(false);
    expect(await seqNow()).toBe(before);
  },
);
