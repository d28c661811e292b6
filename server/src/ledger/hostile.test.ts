import type { EntryId } from '@wergon/core/ledger';
import type { BoardJson } from '@wergon/contract/floor';
import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import { readSql, writeSql } from '../db/sql.ts';
import { at, line, newId, openTestShop, SEVEN } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { rebuild } from './rebuild.ts';
import { verifyChain } from './verify.ts';

// It is 8:40. What a broken or hostile station sends is refused or recorded, and everything goes on.
let shop: TestShop;
beforeEach(async () => (shop = await openTestShop()));
afterEach(() => shop.close());

type Outcome = { readonly id: string | null; readonly result: string; readonly problem?: Problem };
type Problem = { readonly errors: readonly { readonly field: string; readonly message: string }[] };
const resultsOf = (response: { body: unknown }) => (response.body as { results: Outcome[] }).results;
const send = async (...entries: object[]) => resultsOf(await shop.send(...entries));
const statusOf = async (path: string, cookie?: string) => (await shop.get(path, cookie)).status;

/** Everything that once read what stations had said with the database's JSON functions. */
const READS = [
  '/api/rail',
  '/api/reconcile',
  '/api/floor/requests',
  '/api/story?day=2026-03-03',
  '/api/ledger/trail',
];

const everythingAnswers = async () => {
  for (const path of READS) expect([path, await statusOf(path)]).toEqual([path, 200]);
  expect(await statusOf('/api/station/directory', shop.station)).toBe(200);
  expect((await verifyChain(shop.database)).broken).toBeUndefined();
};

const LONE = '\ud800';
const floorEntry = (more: object) => ({ id: newId(), at: at(90), ...more });

test.each<[object, string, string]>([
  [{ type: 'unread-scan', text: LONE, reason: 'r' }, 'entry.text', 'half a character in what a scan said'],
  [{ type: 'unread-scan', text: 'a\0', reason: 'r' }, 'entry.text', 'NUL'],
  [{ type: 'unread-scan', text: 'a', reason: 'r', [LONE]: 1 }, 'entry', 'half a character as a field’s name'],
  [{ type: 'unread-scan', id: `x${LONE}`, text: 'a', reason: 'r' }, 'entry.id', 'in an id'],
  [
    { type: 'unread-scan', at: '9999-12-31T23:59:59-23:59', text: 'a', reason: 'r' },
    'deviceAt',
    'year 10000',
  ],
  [{ type: 'unread-scan', at: '0000-01-01T00:00:00+23:59', text: 'a', reason: 'r' }, 'deviceAt', 'year −1'],
  [{ type: 'clock-jump', seconds: 9e15 }, 'entry.seconds', 'a clock that jumps over all of history'],
  [{ type: 'unread-scan', at: '2026-03-05T08:00:00Z', text: 'a', reason: 'r' }, 'at', 'two days ahead'],
])(
  '%j is refused at %s and kept on the side, and the rest of its batch is recorded: %s',
  async (bad, field) => {
    const good = shop.scan('shift-in', 60, shop.ada);
    const [refused, recorded] = await send(floorEntry(bad), good);
    expect(refused).toMatchObject({ result: 'refused', problem: { errors: [{ field }] } });
    expect(recorded).toMatchObject({ result: 'recorded' });
    await everythingAnswers();
    const { looseEnds } = (await shop.get('/api/reconcile')).body as LooseEndsJson;
    expect(looseEnds.map(({ kind }) => kind)).toContain('refused-entry');
  },
);

test('a technician who is half a character, and an answer that holds one, are refused like any other', async () => {
  const proposal = {
    type: 'proposal',
    technician: shop.ada,
    about: LONE,
    kind: 'forgotten-stop',
    ended: at(0),
  };
  expect(await send(floorEntry(proposal))).toMatchObject([{ result: 'refused' }]);
  const request = {
    ...floorEntry({ type: 'request', technician: shop.ada, what: 'part', target: null, text: 'x' }),
  };
  expect(await send(request)).toMatchObject([{ result: 'recorded' }]);
  const answer = await shop.post(`/api/floor/requests/${request.id}/answer`, { text: LONE });
  expect([answer.status, answer.body]).toMatchObject([422, { errors: [{ field: 'text' }] }]);
  await everythingAnswers();
});

test('what a station sent before halves of characters were refused does no harm any more', async () => {
  const id = newId() as EntryId;
  await shop.context.journal.append({ kind: 'station', id: shop.stationId }, [
    {
      kind: 'floor',
      id,
      body: { id, type: 'unread-scan', at: at(90), text: LONE, reason: 'r' },
      entry: {
        id,
        type: 'unread-scan',
        at: (SEVEN + 90 * 60) as never,
        text: LONE,
        reason: 'r',
      } as never,
      sent: { source: 'scan', via: [], action: id, deviceAt: SEVEN, clockOffset: 0 },
    },
  ]);
  await everythingAnswers();
});

describe('what cannot be corrected', () => {
  test.each(['void', 'restore', 'amend'])(
    '%s of what was said on the floor is refused, the rest goes on',
    async (type) => {
      const [unread, scan] = [
        floorEntry({ type: 'unread-scan', text: 'x', reason: 'r' }),
        shop.scan('shift-in', 60, shop.ada),
      ];
      await send(unread);
      const poison = {
        id: newId(),
        type,
        target: unread.id,
        ...(type === 'amend' ? { set: { at: at(3) } } : {}),
      };
      const outcomes = await send(poison, scan);
      expect(outcomes).toMatchObject([
        { result: 'refused', problem: { errors: [{ field: 'target' }] } },
        { result: 'recorded' },
      ]);
      const desk = await shop.correct({ ...poison, id: newId() });
      expect([desk.status, desk.body]).toMatchObject([422, { errors: [{ field: 'entries[0].target' }] }]);
    },
  );

  test('a station voids no labor of another station', async () => {
    const scan = shop.scan('shift-in', 99, shop.ada);
    await shop.correct(scan);
    expect(await send({ id: newId(), type: 'void', target: scan.id })).toMatchObject([{ result: 'refused' }]);
  });
});

describe('an entry that throws', () => {
  /** An incoming entry of no time at all: what a future slip of ours would look like to the projections. */
  const broken = (id: EntryId) => ({
    kind: 'labor' as const,
    id,
    body: { id, type: 'shift-in', at: at(61), technician: shop.bo },
    entry: { id, type: 'shift-in', at: NaN, technician: shop.bo } as never,
    sent: { source: 'scan', via: [], action: id, deviceAt: SEVEN, clockOffset: 0 },
  });

  test('stops neither its batch nor others of the same commit, and is set aside', async () => {
    const author = { kind: 'station', id: shop.stationId } as const;
    const { readBatch } = await import('./readBatch.ts');
    const batch = (...entries: object[]) =>
      readBatch(entries.map((entry) => line(entry as Record<string, unknown>)));
    const id = newId() as EntryId;
    const sends = [
      shop.context.journal.append(author, batch(shop.scan('shift-in', 60, shop.ada))),
      shop.context.journal.append(author, [
        ...batch(shop.scan('work-start', 62, shop.ada, [shop.strip])),
        broken(id),
      ]),
      shop.context.journal.append(author, batch(shop.scan('shift-in', 63, shop.bo))),
    ];
    const answers = await Promise.all(sends);
    expect(answers.map(({ outcomes }) => outcomes.map(({ result }) => result))).toEqual([
      ['recorded'],
      ['recorded', 'refused'],
      ['recorded'],
    ]);
    expect((await verifyChain(shop.database)).count).toBe(3);
    const { looseEnds } = (await shop.get('/api/reconcile')).body as LooseEndsJson;
    expect(looseEnds.find(({ kind }) => kind === 'refused-entry')?.refused?.errors[0]?.message).toMatch(
      /set aside/,
    );
    await everythingAnswers();
  });
});

describe('a time that has not come', () => {
  const stateOf = async () => {
    const { technicians } = (await shop.get('/api/station/directory', shop.station)).body as BoardJson;
    return technicians.find(({ id }) => id === shop.ada)?.state;
  };

  test.each([
    [5, 'a few hours'],
    [23, 'most of a day'],
  ])(
    '%i hours ahead it is recorded, raises a loose end, and hides nothing of what the person does now: %s',
    async (hours) => {
      expect(await send(shop.scan('shift-in', hours * 60, shop.ada))).toMatchObject([{ result: 'recorded' }]);
      expect(await stateOf()).toMatchObject({ shift: null });
      await send(shop.scan('shift-in', 90, shop.ada), shop.scan('work-start', 95, shop.ada, [shop.strip]));
      expect(await stateOf()).toMatchObject({
        shift: { since: at(90).replace('+00:00', 'Z') },
        doing: { status: 'work' },
      });
      const { order } = (await shop.get(`/api/work/${shop.order}`)).body as {
        order: { comparison: { actualSeconds: number } };
      };
      expect(order.comparison.actualSeconds).toBe(5 * 60);
      const { looseEnds } = (await shop.get('/api/reconcile')).body as LooseEndsJson;
      expect(looseEnds.map(({ kind }) => kind)).toContain('clock');
    },
  );

  test.each([
    ['2026-03-04T00:20:00+01:00', '2026-03-04', 'after midnight in the shop, before it in UTC'],
    ['2026-03-04T23:20:00+01:00', '2026-03-04', 'before midnight in both'],
  ])('what a clock said at %s is a loose end of the shop’s %s: %s', async (now, day) => {
    shop.clock.set(Date.parse(now));
    const ahead = new Date(Date.parse(now) + 5 * 3_600_000).toISOString();
    await send({ id: newId(), type: 'shift-in', at: ahead, technician: shop.ada });
    const rows = await readSql(shop.database, (sql) =>
      sql.all('select "settled_day" as "day" from "loose_end" where "kind" = ?', ['clock']),
    );
    expect(rows).toEqual([{ day: Date.parse(`${day}T00:00:00Z`) / 86_400_000 }]);
  });

  test('once it has come the entry counts, and a rebuild gives the same before and after', async () => {
    await send(shop.scan('work-start', 200, shop.ada, [shop.winding]));
    const rows = () =>
      readSql(shop.database, (sql) => [
        sql.all('select * from "effective_entry" order by "seq"'),
        sql.all('select * from "waiting_entry"'),
        sql.all('select * from "labor_state"'),
      ]);
    const again = async () => {
      const before = await rows();
      await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
      expect(await rows()).toEqual(before);
      return before;
    };
    expect((await again()).map(({ length }) => length)).toEqual([0, 1, 0]);
    shop.clock.set((SEVEN + 199.5 * 60) * 1000);
    await shop.context.journal.takeInDue();
    expect((await again()).map(({ length }) => length)).toEqual([1, 0, 1]);
  });

  test('taken back, it never counts', async () => {
    const ahead = shop.scan('work-start', 200, shop.ada, [shop.winding]);
    await send(ahead);
    expect(
      (await shop.correct({ id: newId(), type: 'void', target: ahead.id, by: 'Sol', why: 'clock' })).status,
    ).toBe(200);
    shop.clock.set((SEVEN + 300 * 60) * 1000);
    await shop.context.journal.takeInDue();
    expect(await readSql(shop.database, (sql) => sql.all('select 1 from "effective_entry"'))).toEqual([]);
  });
});

test('a rate that changes between the look at it and the recording is the one that counts', async () => {
  await send(shop.scan('work-start', 10, shop.ada, [shop.strip]));
  const { facts } = shop.context;
  const { get } = facts;
  const bases = ['36.00', '37.00', '38.00', '39.00'];
  // Whoever asks for facts is given those that were true until just now.
  const outdated = async () => {
    const before = await get();
    const [was, becomes] = bases;
    if (was === undefined || becomes === undefined) return before;
    bases.shift();
    await writeSql(shop.database, (sql) =>
      sql.run('update "cost_rate" set "record" = replace("record", ?, ?)', [was, becomes]),
    );
    facts.forget('shop');
    return before;
  };
  Object.assign(facts, { get: outdated });
  await send(shop.scan('work-stop', 70, shop.ada));
  Object.assign(facts, { get });
  const costs = () => readSql(shop.database, (sql) => sql.all('select "cost" from "labor_line"'));
  const recorded = await costs();
  expect(recorded).toHaveLength(1);
  await rebuild(shop.database, await facts.get(), shop.clock.now());
  expect(recorded).toEqual(await costs());
});

test('what is refused is kept once, and of one station not for ever', async () => {
  const bad = (n: number) => floorEntry({ type: 'unread-scan', text: LONE, reason: String(n) });
  const same = bad(0);
  await send(same);
  await send(same);
  const count = () => readSql(shop.database, (sql) => sql.all('select * from "refused_entry"').length);
  expect(await count()).toBe(1);
  await send(...Array.from({ length: 499 }, (_, n) => bad(n + 1)));
  await send(...Array.from({ length: 50 }, (_, n) => bad(n + 1000)));
  expect(await count()).toBe(500);
});
