import fc from 'fast-check';
import { RIGHTS_OF_ROLE, ROLES } from '@wergon/contract/access';
import { READS, pathOfRead } from '../app/askRoute.fixture.ts';
import { deriveDue } from '../ledger/dueDerivation.ts';
import { newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// Whoever may not see rates sees nothing that depends on one: no answer to them changes when what somebody is paid does.
let shop: TestShop;
const cookies = new Map<string, string>();
const WITHOUT_RATES = ROLES.filter((role) => !RIGHTS_OF_ROLE[role].includes('rates.see'));
beforeAll(async () => {
  shop = await openTestShop();
  const { grades } = (await shop.get('/api/people')).body as { grades: { id: string }[] };
  for (const [who, grade] of [
    [shop.ada, grades[0]?.id],
    [shop.bo, null],
  ] as const)
    await setRate(who, '36.00', grade ?? null);
  // Whatever is worked is overtime: what that adds depends on rates as well.
  const terms = {
    ...{ weekStart: 1, day: [{ over: '0.1', class: 'overtime' }], week: [], special: [] },
    ...{ multipliers: { overtime: '1.5', double: '2' }, premiumOn: 'worked' },
  };
  await shop.post('/api/pay/overtime', { from: '2026-01-01', group: '', terms, isPastAgreed: true });
  await deriveDue(shop.database, shop.context.facts);
  for (const role of WITHOUT_RATES) cookies.set(role, await shop.addUser({ userName: `the ${role}`, role }));
});
afterAll(() => shop.close());

const gradesOf = new Map<string, string | null>();
async function setRate(technician: string, base: string, grade = gradesOf.get(technician) ?? null) {
  gradesOf.set(technician, grade);
  const record = { from: '2026-01-01', per: 'hour', base, ...(grade === null ? {} : { grade }) };
  const body = { record, replaces: '2026-01-01', isPastAgreed: true };
  const answer = await shop.post(`/api/people/${technician}/rates`, body);
  expect([answer.status, answer.body]).toEqual([200, null]);
}

/** Every answer that a role gets, and what the desk's previews say to it. */
async function seenBy(role: string): Promise<Readonly<Record<string, unknown>>> {
  const cookie = cookies.get(role) ?? '';
  const seen: Record<string, unknown> = {};
  for (const [name] of READS) {
    const { status, body } = await shop.get(pathOfRead(shop, name), cookie);
    seen[name] = [status, body];
  }
  const entered = {
    rows: [
      {
        entry: null,
        technician: shop.ada,
        target: shop.strip,
        workType: 'run',
        day: '2026-03-03',
        seconds: 3600,
      },
    ],
  };
  const edit = {
    block: null,
    becomes: [
      {
        technician: shop.bo,
        from: '2026-03-03T08:31:00+01:00',
        to: '2026-03-03T08:39:00+01:00',
        running: [{ target: shop.strip, workType: 'run' }],
      },
    ],
    reason: 'told',
  };
  seen['tape preview'] = (await shop.post('/api/reconcile/tape/preview', edit, cookie)).body;
  // Written down and taken back, as somebody would who wants to know what an hour of hers costs.
  const answer = await shop.post('/api/reconcile/hours', entered, cookie);
  if (answer.status === 200) {
    seen['with an hour more'] = (await shop.get(`/api/work/${shop.order}`, cookie)).body;
    seen['open work then'] = (await shop.get('/api/work', cookie)).body;
    const { entries } = answer.body as { entries: string[] };
    await shop.post('/api/reconcile/undo', { entries }, cookie);
  }
  return seen;
}

/** What an act of the journal itself moves on, whoever is paid what: numbers, ids and hashes of entries. */
const comparable = (seen: object): unknown =>
  JSON.parse(
    JSON.stringify(seen, (key, value: unknown) =>
      ['seq', 'hash', 'id', 'entry', 'opened', 'closed', 'head', 'next'].includes(key) &&
      typeof value !== 'object'
        ? 'x'
        : value,
    ),
  );

test.each(WITHOUT_RATES)('no answer to a %s changes when a rate does', async (role) => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.record({
          who: fc.boolean(),
          strip: fc.boolean(),
          from: fc.nat(80),
          length: fc.integer({ min: 1, max: 15 }),
        }),
        // In an empty journal there are no changes to be told of until the first look at it has written something down.
        { minLength: 1, maxLength: 3 },
      ),
      fc.integer({ min: 1, max: 9_999 }),
      async (moves, base) => {
        for (const { who, strip, from, length } of moves) {
          const technician = who ? shop.ada : shop.bo;
          await shop.send(
            {
              ...shop.scan('work-start', from, technician, [strip ? shop.strip : shop.winding]),
              id: newId(),
            },
            { ...shop.scan('work-stop', from + length, technician), id: newId() },
          );
        }
        const before = await seenBy(role);
        await setRate(shop.ada, (base / 7).toFixed(2));
        await setRate(shop.bo, (base / 3).toFixed(2));
        const after = await seenBy(role);
        // The trail and the story of the day grow with each hour that is written down and taken back, and the rail's
        // count of loose ends may stand for a while.
        const lasting = ({
          trail: _t,
          story: _s,
          latest: _l,
          rail: _r,
          ...rest
        }: Readonly<Record<string, unknown>>) => rest;
        expect(comparable(lasting(after))).toEqual(comparable(lasting(before)));
      },
    ),
    { numRuns: 3 },
  );
});

test('an hour written down shows its standard cost, whatever its person is paid', async () => {
  const cookie = cookies.get('supervisor') ?? '';
  const cost = async () => {
    const { order } = (await shop.get(`/api/work/${shop.order}`, cookie)).body as {
      order: { comparison: { actualCost: string; costs: string } };
    };
    expect(order.comparison.costs).toBe('standard');
    return Number(order.comparison.actualCost);
  };
  await setRate(shop.ada, '33.52');
  const before = await cost();
  const row = {
    entry: null,
    technician: shop.ada,
    target: shop.strip,
    workType: 'run',
    day: '2026-03-03',
    seconds: 36_000,
  };
  expect((await shop.post('/api/reconcile/hours', { rows: [row] }, cookie)).status).toBe(200);
  expect((await cost()) - before).toBeCloseTo(500, 2);
});
