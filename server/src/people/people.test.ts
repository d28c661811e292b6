import { badgeKey, cardKey } from '@wergon/contract/station';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

type Badge = { id: string; code: string | null; isBound: boolean; revokedAt: string | null };
type Person = {
  id: string;
  name: string;
  hasPin: boolean;
  badges: Badge[];
  leftOn: string | null;
  crew: string;
};
const person = async (id: string, cookie?: string): Promise<Person> => {
  const { technicians } = (await shop.get('/api/people', cookie)).body as { technicians: Person[] };
  const found = technicians.find((each) => each.id === id);
  if (!found) throw new Error('nobody');
  return found;
};
const directory = async () =>
  (await shop.get('/api/station/directory', shop.station)).body as {
    cardKey: string;
    codes: { kind: string; code: string; technician?: string }[];
    technicians: { id: string; hasLeft: boolean }[];
  };
const FIELDS = { number: '1', name: 'Ada', department: 'Winding' };

describe('badges', () => {
  const bind = (text: string, who = shop.ada) => shop.post(`/api/people/${who}/badges/bind`, { text });

  test('a card is bound as it was read, and opens the station as its owner', async () => {
    expect((await bind('0a 12 b2 1f')).body).toMatchObject({ code: '0A12B21F' });
    const { codes, cardKey: key } = await directory();
    expect(codes.filter(({ code }) => code === cardKey(key, '0A12B21F'))).toMatchObject([
      { kind: 'badge', technician: shop.ada },
    ]);
  });

  test.each([
    ['123', 'is too short to be a card'],
    ['7'.repeat(65), 'is too long to be a card'],
  ])('%s is refused in words: %s', async (text, message) =>
    expect((await bind(text)).body).toMatchObject({ errors: [{ field: 'text', message }] }),
  );

  test('somebody else’s card is refused by their name, even in another case', async () => {
    await bind('04A3B21F', shop.bo);
    expect((await bind('04a3b21f')).body).toMatchObject({
      status: 409,
      errors: [{ message: 'is Bo’s badge' }],
    });
  });

  test('a code of our own labels is refused', async () => {
    const own = (await person(shop.bo)).badges[0]?.code ?? '';
    expect((await bind(own)).body).toMatchObject({ errors: [{ message: /own labels/ }] });
  });

  test('a lost card is worth nothing at the station, and can be taken into use again by its owner alone', async () => {
    const { id } = (await bind('99A3B21F')).body as { id: string };
    await shop.post(`/api/badges/${id}/revoke`, {});
    expect((await directory()).codes.some(({ code }) => code === '99A3B21F')).toBe(false);
    expect((await bind('99A3B21F', shop.bo)).status).toBe(409);
    expect((await bind('99A3B21F')).status).toBe(200);
  });

  test('a label of one’s own does one thing, and goes with the badge that it stands for', async () => {
    const [badge] = (await person(shop.ada)).badges;
    const label = async (action: string) =>
      (await shop.post(`/api/people/${shop.ada}/label`, { action })).body as { code: string };
    const codes = [await label('shift-out'), await label('off-task')].map(({ code }) => badgeKey(code));
    const known = (await directory()).codes.filter(({ kind }) => kind === 'person-act');
    expect(known).toMatchObject([
      { code: codes[0], technician: shop.ada, action: 'shift-out' },
      { code: codes[1], technician: shop.ada, action: 'off-task' },
    ]);
    expect(badgeKey((await label('off-task')).code)).toBe(codes[1]);
    expect(await shop.post(`/api/people/${shop.ada}/label`, { action: 'join' })).toMatchObject({
      status: 422,
    });
    await shop.post(`/api/badges/${badge?.id ?? ''}/revoke`, {});
    expect((await directory()).codes.some(({ kind }) => kind === 'person-act')).toBe(false);
  });
});

describe('a PIN', () => {
  const check = (pin: string) => shop.post('/api/station/pin', { technician: shop.ada, pin }, shop.station);
  beforeAll(() => shop.post(`/api/people/${shop.ada}/pin`, { pin: '4711' }));

  test('is told right from wrong, and never told back', async () => {
    expect([(await check('4711')).status, (await check('4712')).status]).toEqual([200, 422]);
    const told = JSON.stringify((await shop.get('/api/people')).body);
    expect(told).not.toMatch(/argon2|pinHash/);
    expect((await person(shop.ada)).hasPin).toBe(true);
  });

  test('is not listened to after five wrong ones, and is again a quarter of an hour later', async () => {
    for (let i = 0; i < 5; i += 1) await check('0000');
    expect((await check('4711')).status).toBe(429);
    shop.clock.set(shop.clock.nowMs() + 15 * 60_000 + 1000);
    expect((await check('4711')).status).toBe(200);
  });

  test.each(['123', '123456789', 'abcd'])('%s is refused at the field', async (pin) =>
    expect((await shop.post(`/api/people/${shop.ada}/pin`, { pin })).body).toMatchObject({
      errors: [{ field: 'pin' }],
    }),
  );
});

test('who has left disappears from the station and stays in the list', async () => {
  await shop.post(`/api/people/${shop.ada}`, { ...FIELDS, leftOn: '2026-03-02' });
  expect((await directory()).technicians.find(({ id }) => id === shop.ada)?.hasLeft).toBe(true);
  expect((await person(shop.ada)).leftOn).toBe('2026-03-02');
});

test.each<[body: object, field: string, why: string]>([
  [{ ...FIELDS, number: '2' }, 'number', 'another’s number'],
  [{ ...FIELDS, grade: 'none' }, 'grade', 'no such grade'],
  [{ ...FIELDS, hiredOn: '2026-02-01', leftOn: '2026-01-01' }, 'leftOn', 'left before they came'],
  [{ ...FIELDS, billedHours: '25' }, 'billedHours', 'more than a day'],
])('%o is refused at %s: %s, and changes nothing', async (body, field) => {
  expect((await shop.post(`/api/people/${shop.ada}`, body)).body).toMatchObject({ errors: [{ field }] });
  expect((await person(shop.ada)).name).toBe('Ada');
});

describe('the plan', () => {
  const week = Array.from({ length: 7 }, (_each, i) =>
    i < 5 ? { startMinute: 420, endMinute: 930, breakMinutes: 30 } : null,
  );
  type Plan = {
    days: {
      day: string;
      kind: string;
      plannedSeconds: number;
      plan: { startMinute: number } | null;
      why: string;
    }[];
    absences: unknown[];
  };
  const plan = async () => (await shop.get(`/api/people/${shop.ada}/plan`)).body as Plan;
  const on = async (day: string) => (await plan()).days.find((each) => each.day === day);

  test('follows the pattern, closed days and absences', async () => {
    await shop.post(`/api/people/${shop.ada}/patterns`, { from: '2026-03-02', weeks: [week] });
    await shop.post('/api/shop/closed-days', { day: '2026-03-05', name: 'Stocktaking' });
    await shop.post(`/api/people/${shop.ada}/absences`, {
      from: '2026-03-06',
      to: '2026-03-06',
      kind: 'holiday',
      isPaid: true,
    });
    expect(await on('2026-03-04')).toMatchObject({
      kind: 'work',
      plannedSeconds: 28_800,
      plan: { startMinute: 420, endMinute: 930 },
    });
    expect(await on('2026-03-05')).toMatchObject({
      kind: 'closed',
      plannedSeconds: 0,
      why: 'Stocktaking',
      plan: null,
    });
    expect(await on('2026-03-06')).toMatchObject({ kind: 'absent', why: 'holiday' });
    expect(await on('2026-03-07')).toMatchObject({ kind: 'free' });
    await shop.post(`/api/people/${shop.ada}/absences/remove`, { from: '2026-03-06', to: '2026-03-06' });
    expect(await on('2026-03-06')).toMatchObject({ kind: 'work' });
  });

  test.each([
    [{ from: '2026-03-02', weeks: [] }, 'weeks'],
    [{ from: '2026-03-02', weeks: [[null]] }, 'weeks[0]'],
    [
      {
        from: '2026-03-02',
        weeks: [[{ startMinute: 420, endMinute: 430, breakMinutes: 10 }, ...week.slice(1)]],
      },
      'weeks[0][0]',
    ],
  ])('%j is refused at %s', async (body, field) =>
    expect((await shop.post(`/api/people/${shop.ada}/patterns`, body)).body).toMatchObject({
      errors: [{ field }],
    }),
  );
});

describe('cost rates', () => {
  const rates = (path = '') => `/api/people/${shop.ada}/rates${path}`;
  const record = (from: string, base: string) => ({ record: { from, per: 'hour', base, burden: [] } });
  const cost = async () =>
    ((await shop.get(`/api/work/${shop.order}`)).body as { order: { comparison: { actualCost: string } } })
      .order.comparison.actualCost;
  beforeAll(() =>
    shop.send(shop.scan('work-start', 0, shop.ada, [shop.winding]), shop.scan('work-stop', 60, shop.ada)),
  );

  test('each shows line by line how its hour comes about, under the shop’s own names', async () => {
    await shop.post(rates(), {
      record: {
        from: '2026-04-01',
        per: 'year',
        base: '68000',
        hoursPerYear: '1950',
        burden: [
          { name: 'Pension', kind: 'percent', value: '12.4' },
          { name: 'Canteen', kind: 'perYear', value: '900' },
        ],
      },
    });
    const { records } = (await shop.get(rates())).body as { records: object[] };
    expect(records[0]).toMatchObject({
      lines: [
        { name: 'Base', perHour: '34.8718' },
        { name: 'Pension', amount: '12.4 %', perHour: '4.3241' },
        { name: 'Canteen', amount: '900 a year', perHour: '0.4615' },
      ],
      costPerHour: '39.6574',
    });
  });

  test('a rate of the past is stored only after its effect was seen, and alters cost, not hours', async () => {
    const body = record('2026-02-01', '50.00');
    expect((await shop.post(rates(), body)).body).toMatchObject({ type: 'urn:wergon:rate.changes_past' });
    expect(await cost()).toBe('36.00');
    expect((await shop.post(rates('/effect'), body)).body).toMatchObject({
      isPast: true,
      orders: [{ number: '1001', isOpen: true, seconds: 3600, before: '36.00', after: '50.00' }],
    });
    expect((await shop.post(rates(), { ...body, isPastAgreed: true })).status).toBe(200);
    expect(await cost()).toBe('50.00');
  });

  test('a later rate changes nothing before its day and asks nothing', async () => {
    expect((await shop.post(rates(), record('2026-03-04', '90.00'))).status).toBe(200);
    expect(await cost()).toBe('50.00');
  });

  test('two rates of one date are refused; one takes the other’s place only when it says so', async () => {
    expect((await shop.post(rates(), record('2026-02-01', '40.00'))).body).toMatchObject({
      status: 409,
      errors: [{ field: 'record.from' }],
    });
    const replaced = { ...record('2026-02-01', '40.00'), replaces: '2026-02-01', isPastAgreed: true };
    expect((await shop.post(rates(), replaced)).status).toBe(200);
    expect(await cost()).toBe('40.00');
  });
});
