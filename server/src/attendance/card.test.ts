import type { CardJson, OwnTimeJson } from '@wergon/contract/attendance';
import { cookieOf, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
let ada: string;
let lead: string;
beforeAll(async () => {
  shop = await openTestShop();
  ada = await shop.addUser({ userName: 'ada', role: 'own', technician: shop.ada });
  lead = await shop.addUser({ userName: 'lea', role: 'supervisor' });
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 10, shop.ada, [shop.strip]),
    shop.scan('work-start', 60, shop.ada, [shop.winding]),
    shop.scan('shift-in', 20, shop.bo),
  );
});
afterAll(() => shop.close());
const problem = ({ status, body }: { status: number; body: unknown }) => [
  status,
  (body as { type: string }).type.replace('urn:wergon:', ''),
];

test('a card has each day with in, out, stretches, what was charged and the sums', async () => {
  const { body } = await shop.get(
    `/api/reconcile/card?technician=${shop.ada}&from=2026-03-02&to=2026-03-08`,
    lead,
  );
  const card = body as CardJson;
  expect(card.days.map(({ day }) => day)).toHaveLength(7);
  expect(card).toMatchObject({ name: 'Ada', number: '1', attendedSeconds: 6000, chargedSeconds: 5400 });
  expect(card.days[1]).toMatchObject({
    day: '2026-03-03',
    shifts: [{ isOpen: true, isTorn: false }],
    breaks: [],
    stretches: [
      { titles: ['1001 Strip'], isOpen: false },
      { titles: ['1001 Winding'], isOpen: true },
    ],
    lines: [
      { title: 'Strip', order: '1001', seconds: 3000 },
      { title: 'Winding', order: '1001', seconds: 2400 },
    ],
    attendedSeconds: 6000,
    chargedSeconds: 5400,
  });
});

test.each<[query: string, problem: [number, string]]>([
  ['technician=nobody', [404, 'record.not_found']],
  ['technician=ADA&from=2026-03-02&to=2026-03-01', [422, 'input.invalid']],
  ['technician=ADA&from=2026-01-01&to=2026-12-31', [422, 'input.invalid']],
  ['technician=ADA&from=yesterday', [422, 'input.invalid']],
  ['from=2026-03-02', [422, 'input.invalid']],
])('a card of %s is refused', async (query, told) => {
  expect(problem(await shop.get(`/api/reconcile/card?${query.replace('ADA', shop.ada)}`, lead))).toEqual(
    told,
  );
});

describe('own time at the desk', () => {
  const own = async (as: string, query = '') => shop.get(`/api/own/card${query}`, as);

  test('is that of whom the user is on the floor, and nobody else’s', async () => {
    const { card } = (await own(ada)).body as OwnTimeJson;
    expect(card).toMatchObject({ technician: shop.ada, name: 'Ada', chargedSeconds: 5400 });
    expect((await own(ada, `?technician=${shop.bo}`)).status).toBe(422);
    expect(problem(await own(lead))).toEqual([409, 'access.not_on_floor']);
  });

  test('is all that somebody with it alone sees: no other route, no figure, no word of others in the stream', async () => {
    for (const path of [
      '/api/floor',
      '/api/people/names',
      '/api/work',
      '/api/reconcile',
      '/api/shop',
      '/api/roles',
    ])
      expect([path, (await shop.get(path, ada)).status]).toEqual([path, 403]);
    expect((await shop.get('/api/rail', ada)).body).toEqual({
      peopleIn: null,
      openOrders: null,
      looseEnds: null,
      nearTasks: null,
      periodsOver: null,
      timeOff: null,
    });
  });

  test('is confirmed as it was seen, if the shop asks for that', async () => {
    const set = await shop.post('/api/shop/settings', {
      name: 'Test shop',
      orderNumbers: { prefix: '', digits: 4, first: 1001 },
      labels: { symbology: 'code128', paper: 'a4' },
      pay: { period: 'weekly', anchor: '2026-03-02', approval: 'person-day', isConfirmed: true },
      desk: { signOutMinutes: 60 },
      backup: { hour: null, keep: 14 },
      reconcile: { answeredGapMinutes: 0 },
    });
    expect(set.status).toBe(200);
    await shop.send(shop.scan('shift-out', 90, shop.ada));
    shop.clock.set(shop.clock.nowMs() + 24 * 3_600_000);
    const again = cookieOf(await shop.post('/api/sign-in', { userName: 'ada', password: 'long enough' }, ''));
    const { toConfirm } = (await own(again)).body as OwnTimeJson;
    expect(toConfirm).toMatchObject([{ day: '2026-03-03', attendedSeconds: 5400 }]);
    const days = toConfirm.map(({ day, stamp }) => ({ day, stamp }));
    const stale = { days: days.map((each) => ({ ...each, stamp: 'as it was' })) };
    expect(problem(await shop.post('/api/own/confirm', stale, again))).toEqual([409, 'approve.changed']);
    expect((await shop.post('/api/own/confirm', { days }, again)).status).toBe(200);
    expect(((await own(again)).body as OwnTimeJson).toConfirm).toEqual([]);
    expect(problem(await shop.post('/api/own/confirm', { days }, again))).toEqual([409, 'approve.changed']);
  });
});

test('a card says what was planned, what somebody was away for, on jobs and beside them, and the balance', async () => {
  const own = await openTestShop();
  try {
    const daily = { startMinute: 420, endMinute: 930, breakMinutes: 30 };
    const weeks = [Array.from({ length: 7 }, (_day, i) => (i < 5 ? daily : null))];
    await own.post(`/api/people/${own.ada}/patterns`, { from: '2026-03-02', weeks });
    const away = (from: string, more: object) =>
      own.post(`/api/people/${own.ada}/absences`, {
        ...{ from, to: from, kind: 'holiday', isPaid: true },
        ...more,
      });
    await away('2026-03-04', {});
    await away('2026-03-05', { hours: '3', isPaid: false });
    await own.post('/api/shop/closed-days', { day: '2026-03-06', name: 'Founding day', isPaid: true });
    await own.send(
      own.scan('shift-in', 0, own.ada),
      own.scan('work-start', 0, own.ada, [own.strip]),
      own.scan('shift-out', 90, own.ada),
    );
    own.clock.set((own.clock.now() + 5 * 86_400) * 1000);
    const path = `/api/reconcile/card?technician=${own.ada}&from=2026-03-02&to=2026-03-08`;
    const card = (await own.get(path, await own.freshDesk())).body as CardJson;
    const hours = (seconds: number) => seconds / 3600;
    expect(
      card.days.map(({ plannedSeconds, balanceSeconds, away: left }) => [
        hours(plannedSeconds),
        hours(balanceSeconds),
        left.map(({ kind, seconds, isPaid }) => `${kind} ${hours(seconds)} ${isPaid}`).join(', '),
      ]),
    ).toEqual([
      [8, -8, ''],
      [8, -6.5, ''],
      [0, 0, 'holiday 8 true'],
      // What they are away for a part of the day is not planned; the rest of it is.
      [5, -5, 'holiday 3 false'],
      [0, 0, 'closed 8 true'],
      [0, 0, ''],
      [0, 0, ''],
    ]);
    // A lead sees that they were away, and not why.
    const asLead = await own.addUser({ userName: 'lea', role: 'lead' });
    const seen = (await own.get(path, asLead)).body as CardJson;
    expect(seen.days.flatMap(({ away: left }) => left.map(({ kind }) => kind))).toEqual([
      'away',
      'away',
      'closed',
    ]);
    expect(card).toMatchObject({
      ...{
        jobSeconds: 5400,
        awaySeconds: 19 * 3600,
        plannedSeconds: 21 * 3600,
        balanceSeconds: -19.5 * 3600,
      },
    });
  } finally {
    await own.close();
  }
});
