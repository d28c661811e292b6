import type { ApprovalsJson } from '@wergon/contract/approval';
import type { PayPeriodJson } from '@wergon/contract/pay';
import type { Problem } from '@wergon/contract/wire';
import { SEVEN, at, cookieOf, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { rebuild } from '../ledger/rebuild.ts';
import { readSql } from '../db/sql.ts';

const DAY = 24 * 60;
// Weekly periods from Monday on. Ada worked on Tuesday from 7:00 to 15:00; it is Monday after that week.
let shop: TestShop;
let desk: string;
const post = (path: string, body: object, cookie = desk) => shop.post(path, body, cookie);
const signIn = async (userName: string) =>
  cookieOf(await shop.post('/api/sign-in', { userName, password: 'long enough' }, ''));
const settings = (approval: string, isConfirmed = false) => ({
  name: 'Test shop',
  orderNumbers: { prefix: '', digits: 4, first: 1001 },
  labels: { symbology: 'code128', paper: 'a4' },
  pay: { period: 'weekly', anchor: '2026-03-02', approval, isConfirmed },
  desk: { signOutMinutes: 60 },
  backup: { hour: null, keep: 14 },
  reconcile: { answeredGapMinutes: 0 },
});
const stint = (from: number, to: number, who = shop.ada) => [
  shop.scan('shift-in', from, who),
  shop.scan('work-start', from, who, [shop.strip]),
  shop.scan('shift-out', to, who),
];
beforeEach(async () => {
  shop = await openTestShop();
  await shop.post('/api/shop/settings', settings('person-day'));
  shop.clock.set((SEVEN + 9 * 3600) * 1000);
  await shop.send(...stint(0, 8 * 60));
  shop.clock.set((SEVEN + 6 * 86_400) * 1000);
  desk = await signIn('sol');
});
afterEach(() => shop.close());

const approvals = async (cookie = desk) =>
  (await shop.get('/api/reconcile/approvals?from=2026-03-02&to=2026-03-08', cookie)).body as ApprovalsJson;
const ownDays = async () =>
  (await approvals()).people.find(({ technician }) => technician === shop.ada)?.days ?? [];
const approve = async (cookie = desk) => {
  const days = (await ownDays()).map(({ day, stamp }) => ({ technician: shop.ada, day, stamp }));
  return post('/api/reconcile/approve', { days }, cookie);
};
const period = async (firstDay = '2026-03-02') =>
  (await shop.get(`/api/pay/period?firstDay=${firstDay}`, desk)).body as PayPeriodJson;
const close = async (firstDay = '2026-03-02') =>
  post('/api/pay/close', { firstDay, stamp: (await period(firstDay)).stamp });
const problem = (answer: { readonly status: number; readonly body: unknown }) => [
  answer.status,
  (answer.body as Problem).type.replace('urn:wergon:', ''),
];

test('time is approved as it was seen; what changes after that shows as changed', async () => {
  expect(await ownDays()).toMatchObject([{ day: '2026-03-03', state: 'open', chargedSeconds: 8 * 3600 }]);
  expect((await approve()).status).toBe(200);
  expect(await ownDays()).toMatchObject([{ state: 'approved', by: 'Sol' }]);
  await shop.send(...stint(9 * 60, 10 * 60));
  expect(await ownDays()).toMatchObject([{ state: 'changed' }]);
  await approve();
  expect(await ownDays()).toMatchObject([{ state: 'approved' }]);
  await post('/api/reconcile/unapprove', { days: [{ technician: shop.ada, day: '2026-03-03' }] });
  expect(await ownDays()).toMatchObject([{ state: 'open' }]);
});

test('what was approved is taken back once, however often it is said; a day that was never approved leaves nothing', async () => {
  await approve();
  const own = { technician: shop.ada, day: '2026-03-03' };
  const takeBack = (...days: object[]) => post('/api/reconcile/unapprove', { days });
  const decisions = async () =>
    ((await shop.get('/api/ledger/trail?type=unapprove', desk)).body as { entries: object[] }).entries.length;
  const answers = [
    await takeBack(own, own),
    await takeBack(own),
    await takeBack({ ...own, day: '2026-03-01' }),
  ];
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
  expect(await decisions()).toBe(1);
  expect(await ownDays()).toMatchObject([{ state: 'open' }]);
});

test('a technician confirms their own days at a station, if the shop wants that, as they saw them', async () => {
  const proof = await shop.prove(shop.ada);
  const waiting = async () =>
    (
      (await shop.post('/api/station/own-time', { technician: shop.ada, proof }, shop.station)).body as {
        toConfirm: { day: string; stamp: string }[];
      }
    ).toConfirm.map(({ day, stamp }) => ({ day, stamp }));
  const confirm = (days: object[]) =>
    shop.post('/api/station/own-time/confirm', { technician: shop.ada, proof, days }, shop.station);
  expect(await waiting()).toEqual([]);
  await post('/api/shop/settings', settings('person-day', true));
  const days = await waiting();
  expect(days).toMatchObject([{ day: '2026-03-03' }]);
  expect((await confirm(days)).status).toBe(200);
  expect(await ownDays()).toMatchObject([{ isConfirmed: true, state: 'open' }]);
  expect(await waiting()).toEqual([]);
  await shop.send(...stint(9 * 60, 10 * 60));
  expect(await ownDays()).toMatchObject([{ isConfirmed: false }]);
  expect(problem(await confirm(days))).toEqual([409, 'approve.changed']);
});

test('an order, and the list of orders, say how much of their labor nobody has approved', async () => {
  const unapproved = async () =>
    ((await shop.get(`/api/work/${shop.order}/unapproved`, desk)).body as { seconds: number }).seconds;
  const listed = async () => (await shop.get('/api/unapproved', desk)).body as object;
  expect(await unapproved()).toBe(8 * 3600);
  expect(await listed()).toMatchObject({ orders: [{ order: shop.order, seconds: 8 * 3600 }] });
  await approve();
  expect(await unapproved()).toBe(0);
  expect(await listed()).toMatchObject({ orders: [] });
});

test('a rate that changes the cost takes the approval with it', async () => {
  await approve();
  await post(`/api/people/${shop.ada}/rates`, {
    record: { from: '2026-03-03', per: 'hour', base: '40.00' },
    isPastAgreed: true,
  });
  expect(await ownDays()).toMatchObject([{ state: 'changed' }]);
});

test('what has changed since it was shown is not approved', async () => {
  const days = (await ownDays()).map(({ day, stamp }) => ({ technician: shop.ada, day, stamp }));
  await shop.send(...stint(9 * 60, 10 * 60));
  expect(problem(await post('/api/reconcile/approve', { days }))).toEqual([409, 'approve.changed']);
});

test('nobody approves their own time, and a lead only that of their people', async () => {
  await post('/api/shop/lists', { list: 'department', name: 'Balancing' });
  const [winding, balancing] = [
    await shop.listed('department', 'Winding'),
    await shop.listed('department', 'Balancing'),
  ];
  await shop.addUser({ userName: 'lea', role: 'lead', technician: shop.ada, departments: [winding] });
  await shop.addUser({ userName: 'lou', role: 'lead', departments: [balancing] });
  await shop.addUser({ userName: 'lin', role: 'lead', departments: [winding] });
  expect(problem(await approve(await signIn('lea')))).toEqual([403, 'approve.own']);
  expect(problem(await approve(await signIn('lou')))).toEqual([403, 'reconcile.other_people']);
  expect((await approve(await signIn('lin'))).status).toBe(200);
});

test('a lead puts right only the time of their people', async () => {
  await shop.addUser({ userName: 'lou', role: 'lead', departments: ['another department'] });
  const row = { entry: null, technician: shop.ada, target: shop.strip, workType: 'run', seconds: 60 };
  const body = { rows: [{ ...row, day: '2026-03-03' }] };
  const lou = await signIn('lou');
  const others = [403, 'reconcile.other_people'];
  const of = async (path: string, cookie: string) =>
    (
      (await shop.get(`${path}?technician=${shop.ada}&day=2026-03-03`, cookie)).body as {
        mayCorrect: boolean;
      }
    ).mayCorrect;
  // Pages say beforehand who may write.
  for (const path of ['/api/reconcile/day', '/api/reconcile/week'])
    expect([await of(path, lou), await of(path, desk)]).toEqual([false, true]);
  expect(problem(await post('/api/reconcile/hours', body, lou))).toEqual(others);
  const [first] = await readSql(shop.database, (sql) =>
    sql.all<{ id: string }>(`select "id" from "journal" where "type" = 'work-start'`),
  );
  const entries = [
    { type: 'work-stop', at: at(60), technician: shop.ada },
    { type: 'void', target: first?.id },
  ].map((entry) => ({
    source: 'desk',
    via: [],
    action: newId(),
    deviceAt: at(0),
    clockOffset: 0,
    entry: { id: newId(), ...entry },
  }));
  for (const entry of entries)
    expect(problem(await post('/api/ledger/entries', { entries: [entry] }, lou))).toEqual(others);
});

test('a period says what is not approved, closes as it was seen, and keeps its lines', async () => {
  expect((await period()).totals).toMatchObject({ chargedSeconds: 8 * 3600, unapprovedSeconds: 8 * 3600 });
  await approve();
  expect((await period()).totals).toMatchObject({ unapprovedSeconds: 0, cost: '288.00' });
  expect((await close()).status).toBe(200);
  const closed = await period();
  expect(closed).toMatchObject({ state: 'closed', closedBy: 'Sol', refusal: 'closed' });
  expect(closed.head).toMatch(/^[0-9a-f]{64}$/);
  expect(problem(await close())).toEqual([409, 'pay.closed']);
});

test.each(['after', 'before'])(
  'what is scanned while a period closes is in it or an adjustment, never both or neither (sent %s it)',
  async (order) => {
    await post('/api/shop/settings', settings('none'));
    const { stamp } = await period();
    const closing = () => post('/api/pay/close', { firstDay: '2026-03-02', stamp });
    // Late by an hour of Tuesday.
    const late = () => shop.send(...stint(9 * 60, 10 * 60));
    const [done] =
      order === 'after'
        ? await Promise.all([closing(), late()])
        : (await Promise.all([late(), closing()])).toReversed();
    // Seen before the hour came, it closes without it, or says that it has changed.
    const isClosed = done?.status === 200;
    const own = (await period()).totals.chargedSeconds;
    const adjusted = isClosed ? (await period('2026-03-09')).totals.adjustedSeconds : 0;
    expect([
      isClosed || problem(done as Parameters<typeof problem>[0])[1] === 'approve.changed',
      own + adjusted,
    ]).toEqual([true, 9 * 3600]);
  },
);

test('a scan that arrives late is an adjustment of the first open period once it is approved, and for ever', async () => {
  await approve();
  await close();
  await shop.send(...stint(9 * 60, 10 * 60));
  expect((await period()).totals.chargedSeconds).toBe(8 * 3600);
  expect((await period('2026-03-09')).adjustments).toEqual([]);
  await approve();
  const adjusted = [
    { name: 'Ada', shiftDay: '2026-03-03', title: '1001 Strip', seconds: 3600, cost: '36.00' },
  ];
  expect((await period('2026-03-09')).adjustments).toMatchObject(adjusted);
  expect((await period()).totals.chargedSeconds).toBe(8 * 3600);
  shop.clock.set((SEVEN + 13 * 86_400) * 1000);
  desk = await signIn('sol');
  await close('2026-03-09');
  expect((await period('2026-03-09')).adjustments).toMatchObject(adjusted);
  expect((await period('2026-03-16')).adjustments).toEqual([]);
});

test('what nobody had approved is left out of a closed period and comes with the next', async () => {
  await close();
  expect((await period()).totals).toMatchObject({ chargedSeconds: 0, unapprovedSeconds: 0 });
  await approve();
  expect((await period('2026-03-09')).totals).toMatchObject({ adjustedSeconds: 8 * 3600 });
});

test('without approval all time goes to pay', async () => {
  await post('/api/shop/settings', settings('none'));
  await close();
  expect((await period()).totals).toMatchObject({ chargedSeconds: 8 * 3600, unapprovedSeconds: 0 });
});

test('periods close in order, when they are over, and only as they were seen', async () => {
  expect(problem(await close('2026-03-09'))).toEqual([409, 'pay.not_over']);
  shop.clock.set((SEVEN + 13 * 86_400) * 1000);
  desk = await signIn('sol');
  expect(problem(await close('2026-03-09'))).toEqual([409, 'pay.earlier_open']);
  expect(problem(await post('/api/pay/close', { firstDay: '2026-03-02', stamp: 'other' }))).toEqual([
    409,
    'approve.changed',
  ]);
  expect(problem(await post('/api/pay/close', { firstDay: '2026-03-03', stamp: '' }))).toEqual([
    404,
    'pay.no_such_period',
  ]);
});

test('the last closed period is reopened with a reason, and a rebuild gives the same decisions', async () => {
  await approve();
  await close();
  const dump = () =>
    readSql(shop.database, (sql) =>
      ['approval', 'pay_period', 'closed_line'].map((table) => sql.all(`select * from "${table}"`)),
    );
  const before = await dump();
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await dump()).toEqual(before);
  expect((await post('/api/pay/reopen', { firstDay: '2026-03-02', reason: '' })).status).toBe(422);
  expect(
    (await post('/api/pay/reopen', { firstDay: '2026-03-02', reason: 'a slip was missing' })).status,
  ).toBe(200);
  expect(await period()).toMatchObject({ state: 'over', refusal: null });
});

describe('a closed day', () => {
  const piece = (from: number, to: number) => ({
    technician: shop.ada,
    from: at(from),
    to: at(to),
    running: [{ target: shop.strip, workType: 'run' }],
  });
  const line = (entry: Record<string, unknown>) => ({
    entries: [
      {
        source: 'desk',
        via: [],
        action: newId(),
        deviceAt: at(0),
        clockOffset: 0,
        entry: { id: newId(), ...entry },
      },
    ],
  });
  const start = async () =>
    (
      await readSql(shop.database, (sql) =>
        sql.all<{ id: string }>(`select "id" from "effective_entry" where "type" = 'work-start'`),
      )
    )[0]?.id;
  const writes: readonly [why: string, path: string, body: () => Promise<object> | object][] = [
    ['an edge drawn', '/api/reconcile/tape', () => ({ block: piece(0, 480), becomes: [piece(0, 400)] })],
    ['a stretch added', '/api/reconcile/tape', () => ({ block: null, becomes: [piece(500, 520)] })],
    ['a preview of one', '/api/reconcile/tape/preview', () => ({ block: piece(0, 480), becomes: [] })],
    [
      'a shift moved',
      '/api/reconcile/presence',
      () => ({
        technician: shop.ada,
        kind: 'shift',
        was: { from: at(0), to: at(480) },
        becomes: { from: at(0), to: at(500) },
      }),
    ],
    [
      'a break added',
      '/api/reconcile/presence',
      () => ({ technician: shop.ada, kind: 'break', was: null, becomes: { from: at(60), to: at(90) } }),
    ],
    [
      'hours written down',
      '/api/reconcile/hours',
      () => ({
        rows: [
          {
            entry: null,
            technician: shop.ada,
            target: shop.strip,
            workType: 'run',
            day: '2026-03-03',
            seconds: 60,
          },
        ],
      }),
    ],
    [
      'an entry of the desk',
      '/api/ledger/entries',
      () => line({ type: 'work-stop', at: at(400), technician: shop.ada }),
    ],
    [
      'hours of the desk',
      '/api/ledger/entries',
      () =>
        line({ type: 'hours', day: '2026-03-03', seconds: 60, technician: shop.ada, targets: [shop.strip] }),
    ],
    ['a void', '/api/ledger/entries', async () => line({ type: 'void', target: await start() })],
    [
      'an amendment',
      '/api/ledger/entries',
      async () => line({ type: 'amend', target: await start(), set: { at: at(7 * DAY) } }),
    ],
  ];

  test.each(writes)('takes nothing from the desk: %s', async (_why, path, body) => {
    await approve();
    await close();
    const { status, body: told } = await post(path, await body());
    expect(status).toBeGreaterThanOrEqual(409);
    expect(JSON.stringify(told)).toMatch(/closed pay period|closed_day/);
    expect((await period()).totals.chargedSeconds).toBe(8 * 3600);
    expect(await ownDays()).toMatchObject([{ chargedSeconds: 8 * 3600 }]);
  });

  test('an undo of what was done before is refused too', async () => {
    const { entries } = (
      await post('/api/reconcile/tape', { block: piece(0, 480), becomes: [piece(0, 400)] })
    ).body as { entries: string[] };
    await approve();
    await close();
    expect((await post('/api/reconcile/undo', { entries })).status).toBe(422);
  });
});
