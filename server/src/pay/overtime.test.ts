import type { ApprovalsJson } from '@wergon/contract/approval';
import type { DaySplit, OvertimeJson, TriedOvertime } from '@wergon/contract/pay';
import type { TestShop } from '../app/testShop.fixture.ts';
import { fieldsOf, openPayShop, rule, terms } from './payShop.fixture.ts';
import type { PayShop } from './payShop.fixture.ts';

let paid: PayShop;
let shop: TestShop;

beforeEach(async () => {
  paid = await openPayShop();
  shop = paid.shop;
});
afterEach(() => shop.close());

const post: PayShop['post'] = (...call) => paid.post(...call);
const read = <T>(path: string, as = paid.desk()) => paid.read<T>(path, as);
const writeDown: PayShop['writeDown'] = (...call) => paid.writeDown(...call);
const period: PayShop['period'] = (...call) => paid.period(...call);
const split = (who = shop.ada) => read<DaySplit>(`/api/pay/split?technician=${who}&day=2026-03-03`);
const hours = ({ straight, overtime, double }: Record<'straight' | 'overtime' | 'double', number>) =>
  [straight, overtime, double].map((seconds) => seconds / 3600).join(' ');
test('without a rule all is straight; with one a period says what is not, and costs say what that adds', async () => {
  const before = await period();
  expect(hours(before.totals.classes)).toBe('16 0 0');
  expect(before.totals.cost).toBe('576.00');
  expect((await post('/api/pay/overtime', rule)).status).toBe(200);
  const after = await period();
  expect(hours(after.totals.classes)).toBe('14 2 0');
  expect(after.totals.cost).toBe('612.00');
  const [ada] = after.people;
  expect(ada?.split.map(({ day, premium, classes }) => [typeof day, premium, hours(classes)])).toEqual([
    ['string', '36.00', '8 2 0'],
  ]);
});

test.each<[what: string, change: object, field: string]>([
  ['tiers that fall', { day: [...terms.day, { over: '7', class: 'double' }] }, 'terms.day[1].over'],
  [
    'a class that falls',
    {
      day: [
        { over: '8', class: 'double' },
        { over: '9', class: 'overtime' },
      ],
    },
    'terms.day[1].over',
  ],
  ['a day of more than a day', { day: [{ over: '25', class: 'overtime' }] }, 'terms.day[0].over'],
  ['hours that are none', { week: [{ over: 'forty', class: 'overtime' }] }, 'terms.week[0].over'],
  ['a week that begins on no day', { weekStart: 8 }, 'terms.weekStart'],
  [
    'less for overtime than for straight hours',
    { multipliers: { overtime: '0.5', double: '2' } },
    'terms.multipliers.overtime',
  ],
  ['a class that is none', { special: [{ on: 7, class: 'triple' }] }, 'terms.special[0].class'],
])('%s is refused at its field', async (_what, change, field) => {
  const answer = await post('/api/pay/overtime', { ...rule, terms: { ...terms, ...change } });
  expect([answer.status, fieldsOf(answer)]).toEqual([422, [field]]);
  expect((await read<OvertimeJson>('/api/pay/overtime')).rules).toEqual([]);
});

test('a rule that changes days gone by is set once that was seen, another of its date is refused, and it is taken out again', async () => {
  expect((await post('/api/pay/overtime', { ...rule, isPastAgreed: false })).status).toBe(409);
  expect((await post('/api/pay/overtime', rule)).status).toBe(200);
  const again = await post('/api/pay/overtime', rule);
  expect([again.status, fieldsOf(again)]).toEqual([409, ['from']]);
  expect((await post('/api/pay/overtime', { ...rule, from: '2028-01-01' })).status).toBe(422);
  const replaces = { from: '2026-01-01', group: '' };
  const week = { ...terms, day: [], week: [{ over: '4', class: 'double' }] };
  expect(
    (await post('/api/pay/overtime', { ...rule, from: '2026-02-01', terms: week, replaces })).status,
  ).toBe(200);
  expect(hours((await period()).totals.classes)).toBe('8 0 8');
  const gone = { ...rule, terms: null, replaces: { from: '2026-02-01', group: '' } };
  expect((await post('/api/pay/overtime', gone)).status).toBe(200);
  expect((await post('/api/pay/overtime', gone)).status).toBe(404);
  expect(hours((await period()).totals.classes)).toBe('16 0 0');
});

test('tried, a rule says whom it would have paid otherwise and which jobs would have borne it, and changes nothing', async () => {
  const { isPastAgreed: _agreed, ...change } = rule;
  const asked = { ...change, firstDay: '2026-03-02', lastDay: '2026-03-08', after: null };
  const tried = (await post('/api/pay/overtime/try', asked)).body as TriedOvertime;
  expect(tried.people.map(({ name, premium, classes }) => [name, hours(classes.after), premium])).toEqual([
    ['Ada', '8 2 0', { before: '0.00', after: '36.00' }],
  ]);
  expect(tried.orders.map(({ number, premium }) => [number, premium])).toEqual([
    ['1001', { before: '0.00', after: '36.00' }],
  ]);
  expect([tried.done, tried.of, tried.next]).toEqual([2, 2, null]);
  expect(hours((await period()).totals.classes)).toBe('16 0 0');
  const rights = ['shop.see', 'shop.change', 'pay.see'];
  const made = await post('/api/roles', { name: 'Clerk', rights, reach: 'all' });
  const clerk = await shop.addUser({ userName: 'cleo', role: (made.body as { id: string }).id });
  const blind = (await post('/api/pay/overtime/try', asked, clerk)).body as TriedOvertime;
  expect([blind.people[0]?.premium, blind.orders, blind.overhead]).toEqual([null, [], null]);
});

test('a group has rules of its own, for whoever is in it', async () => {
  await post('/api/pay/overtime', { ...rule, group: 'night crew' });
  expect(hours((await period()).totals.classes)).toBe('16 0 0');
  const join = { from: '2026-03-02', group: 'night crew', isPastAgreed: false };
  expect((await post(`/api/people/${shop.ada}/pay-groups`, join)).status).toBe(409);
  await post(`/api/people/${shop.ada}/pay-groups`, { ...join, isPastAgreed: true });
  expect(hours((await period()).totals.classes)).toBe('14 2 0');
  const { groups } = await read<OvertimeJson>('/api/pay/overtime');
  expect(groups).toEqual([{ name: 'night crew', people: 1 }]);
  await post(`/api/people/${shop.ada}/pay-groups`, { ...join, group: null, isPastAgreed: true });
  expect(hours((await period()).totals.classes)).toBe('16 0 0');
});

describe('a split', () => {
  beforeEach(() => post('/api/pay/overtime', rule));
  const seconds = (straight: number, overtime: number, double: number) => ({
    ...{ straight: straight * 3600, overtime: overtime * 3600, double: double * 3600 },
  });
  const decide = async (classes: object | null, as = paid.desk()) =>
    post(
      '/api/pay/split',
      {
        days: [{ technician: shop.ada, day: '2026-03-03', stamp: (await split()).stamp, classes }],
        reason: 'agreed',
      },
      as,
    );
  const reset = () => post('/api/pay/split/reset', { days: [{ technician: shop.ada, day: '2026-03-03' }] });

  test('is decided, stands beside what the rule says, costs what it says, and is taken back', async () => {
    const tried = await post('/api/pay/split/try', {
      ...{ technician: shop.ada, day: '2026-03-03' },
      ...seconds(6, 0, 4),
    });
    expect(tried.body).toEqual({ premium: { before: '36.00', after: '144.00' } });
    expect((await decide(seconds(6, 0, 4))).status).toBe(200);
    const told = await split();
    expect([told.split, hours(told.now), hours(told.byRule), told.premium]).toEqual([
      ...['decided', '6 0 4', '8 2 0'],
      { now: '144.00', byRule: '36.00' },
    ]);
    expect(told.decided).toMatchObject({ by: 'Sol', reason: 'agreed' });
    expect(told.orders.map(({ number, premium }) => [number, premium])).toEqual([['1001', '144.00']]);
    expect((await period()).totals.cost).toBe('720.00');
    expect((await reset()).status).toBe(200);
    expect((await reset()).status).toBe(200);
    expect((await split()).split).toBe('none');
    expect((await period()).totals.cost).toBe('612.00');
  });

  test('of a day that is named twice is refused, whatever each says', async () => {
    const { stamp } = await split();
    const day = { technician: shop.ada, day: '2026-03-03', stamp };
    const days = [
      { ...day, classes: null },
      { ...day, classes: seconds(0, 0, 10) },
    ];
    const answer = await post('/api/pay/split', { days, reason: 'both' });
    expect([answer.status, fieldsOf(answer)]).toEqual([422, ['days[1].day']]);
    expect((await split()).split).toBe('none');
  });

  test('that does not add up is refused at its day, and changes nothing', async () => {
    const answer = await decide(seconds(6, 0, 3));
    expect([answer.status, fieldsOf(answer)]).toEqual([422, ['days[0].classes']]);
    expect((await split()).split).toBe('none');
  });

  test('taken as the rule has it stays when the rule changes, and holds no longer when the day has other time', async () => {
    await decide(null);
    await post('/api/pay/overtime', { ...rule, terms: null, replaces: { from: rule.from, group: '' } });
    await post('/api/pay/overtime', { ...rule, terms: { ...terms, day: [{ over: '9', class: 'double' }] } });
    expect(hours((await split()).now)).toBe('8 2 0');
    await writeDown(shop.ada, 1);
    const told = await split();
    expect([told.split, hours(told.now)]).toEqual(['changed', '9 0 2']);
    const ends = await read<{ looseEnds: { kind: string }[] }>('/api/reconcile');
    expect(JSON.stringify(ends)).toContain('split-changed');
  });

  test('is nobody’s to decide of their own time, in a closed period, or of what was seen otherwise', async () => {
    const own = await shop.addUser({ userName: 'ada', role: 'supervisor', technician: shop.ada });
    expect((await decide(null, own)).status).toBe(403);
    const { stamp } = await split();
    await writeDown(shop.ada, 1);
    const days = [{ technician: shop.ada, day: '2026-03-03', stamp, classes: null }];
    expect((await post('/api/pay/split', { days, reason: 'late' })).status).toBe(409);
    await post('/api/pay/close', { firstDay: '2026-03-02', stamp: (await period()).stamp });
    expect((await decide(null)).body).toMatchObject({ type: 'urn:wergon:approve.closed' });
    expect((await split()).refusal).toBe('closed');
  });

  test('without a rule there is nothing to decide', async () => {
    await post('/api/pay/overtime', { ...rule, terms: null, replaces: { from: rule.from, group: '' } });
    expect((await split()).refusal).toBe('no-rule');
    expect((await decide(null)).body).toMatchObject({ type: 'urn:wergon:pay.no_rule' });
  });
});

test('closed, a period keeps its classes; what becomes overtime later is an adjustment of the next, by class', async () => {
  await post('/api/pay/close', { firstDay: '2026-03-02', stamp: (await period()).stamp });
  await post('/api/pay/overtime', rule);
  expect(hours((await period()).totals.classes)).toBe('16 0 0');
  const next = await period('2026-03-09');
  expect(next.classAdjustments.map(({ name, classes }) => [name, hours(classes)])).toEqual([
    ['Ada', '-2 2 0'],
  ]);
  expect(next.adjustments.map(({ seconds, cost }) => [seconds, cost])).toEqual([[0, '36.00']]);
});

test('paid leave and paid closed days stand beside what was worked, and closing keeps them', async () => {
  await post('/api/shop/closed-days', { day: '2026-03-05', name: 'Founding day', isPaid: true });
  await post(`/api/people/${shop.ada}/patterns`, {
    from: '2026-01-05',
    weeks: [
      [1, 2, 3, 4, 5, 6, 7].map((day) =>
        day < 6 ? { startMinute: 420, endMinute: 930, breakMinutes: 0 } : null,
      ),
    ],
  });
  const leave = { from: '2026-03-04', to: '2026-03-05', kind: 'holiday', isPaid: true };
  expect((await post(`/api/people/${shop.ada}/absences`, leave)).status).toBe(200);
  const away = async () => (await period()).people.map(({ name, away: own }) => [name, own]);
  const kept = await away();
  expect(kept[0]).toEqual([
    'Ada',
    [
      { kind: 'holiday', seconds: 8.5 * 3600 },
      { kind: 'closed', seconds: 8.5 * 3600 },
    ],
  ]);
  await post('/api/pay/close', { firstDay: '2026-03-02', stamp: (await period()).stamp });
  const late = await post(`/api/people/${shop.ada}/absences`, {
    ...leave,
    from: '2026-03-06',
    to: '2026-03-06',
  });
  expect([late.status, fieldsOf(late)]).toEqual([409, ['from']]);
  const shut = await post('/api/shop/closed-days', { day: '2026-03-06', name: 'Late', isPaid: true });
  expect([shut.status, fieldsOf(shut)]).toEqual([409, ['day']]);
  expect(await away()).toEqual(kept);
});

test('whoever approves sees which days are not all straight', async () => {
  await post('/api/pay/overtime', rule);
  const { people } = await read<ApprovalsJson>('/api/reconcile/approvals?from=2026-03-02&to=2026-03-08');
  expect(people.map(({ name, days }) => [name, days[0]?.overtimeSeconds])).toEqual([
    ['Ada', 7200],
    ['Bo', 0],
  ]);
});

test('what overtime adds is a cause of its own of why a job differs, for whoever may see rates', async () => {
  await post('/api/pay/overtime', rule);
  const why = JSON.stringify(await read(`/api/work/${shop.order}/why`));
  expect(why).toMatch(/"cause":"premium"[^}]*"36\.00"/);
  const planner = await shop.addUser({ userName: 'paul', role: 'planner', seesRates: false });
  expect(JSON.stringify(await read(`/api/work/${shop.order}/why`, planner))).not.toContain('premium');
});
