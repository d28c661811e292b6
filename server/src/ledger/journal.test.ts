import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import { ok } from '@wergon/core/result';
import fc from 'fast-check';
import { readSql, writeSql } from '../db/sql.ts';
import { at, line, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { readBatch } from './readBatch.ts';
import { PROJECTIONS, rebuild } from './rebuild.ts';
import { verifyChain } from './verify.ts';

let shop: TestShop;
beforeEach(async () => (shop = await openTestShop()));
afterEach(() => shop.close());

type Results = {
  results: { id: string; result: string; seq?: number; problem?: { errors: { field: string }[] } }[];
};
const resultsOf = async (sent: Promise<{ body: unknown; status: number }>) => {
  const { body, status } = await sent;
  expect(status).toBe(200);
  return (body as Results).results;
};
const words = (results: Results['results']) => results.map(({ result }) => result);
const dump = (of: TestShop) =>
  readSql(of.database, (sql) =>
    PROJECTIONS.map((table) =>
      sql
        .all(`select * from "${table}"`)
        .map((row) => JSON.stringify(row))
        .sort(),
    ),
  );

describe('a batch of entries', () => {
  test('is recorded once, however often it is sent', async () => {
    const start = shop.scan('work-start', 0, shop.ada, [shop.winding]);
    expect(words(await resultsOf(shop.send(start)))).toEqual(['recorded']);
    expect(words(await resultsOf(shop.send(start, start)))).toEqual(['known', 'known']);
  });

  test.each<[field: string, change: Record<string, unknown>, why: string]>([
    ['entry.type', { type: 'work-begin' }, 'an unknown type'],
    ['entry.mood', { mood: 'good' }, 'a field too many'],
    ['entry.targets', { targets: undefined }, 'a field too few'],
    ['entry.at', { at: 'yesterday' }, 'an instant that is none'],
    ['technician', { technician: 'nobody' }, 'an unknown technician'],
    ['targets[0]', { targets: ['nothing'] }, 'an unknown target'],
    [
      'type',
      { type: 'hours', at: undefined, day: '2026-03-03', seconds: 60 },
      'what only the desk may record',
    ],
  ])('refuses %s (%j: %s) and holds up nothing', async (field, change) => {
    const good = () => shop.scan('shift-in', 0, shop.ada);
    const bad = { ...shop.scan('work-start', 0, shop.ada, [shop.winding]), ...change };
    const results = await resultsOf(shop.send(good(), bad, good()));
    expect(words(results)).toEqual(['recorded', 'refused', 'recorded']);
    expect(results[1]?.problem?.errors.map((error) => error.field)).toContain(field);
    const { looseEnds } = (await shop.get('/api/reconcile')).body as LooseEndsJson;
    expect(looseEnds.find(({ kind }) => kind === 'refused-entry')?.refused?.body).toContain(bad.id);
  });

  test('refuses an id that was used for something else', async () => {
    const start = shop.scan('work-start', 0, shop.ada, [shop.winding]);
    await shop.send(start);
    const results = await resultsOf(shop.send({ ...start, targets: [shop.strip] }));
    expect(results[0]).toMatchObject({ result: 'refused', problem: { errors: [{ field: 'id' }] } });
  });

  test('records what should not have happened as a loose end', async () => {
    await shop.post(`/api/work/${shop.order}/state`, { state: 'on-hold' });
    shop.clock.set(shop.clock.nowMs() + 60_000);
    const late = { ...shop.scan('work-start', 101, shop.ada, [shop.winding]) };
    expect(words(await resultsOf(shop.send(late)))).toEqual(['recorded']);
    shop.clock.set(shop.clock.nowMs() + 60_000);
    const { looseEnds } = (await shop.get('/api/reconcile')).body as { looseEnds: { kind: string }[] };
    expect(looseEnds.map(({ kind }) => kind)).toContain('not-released');
  });

  test('of a station two minutes fast loses nothing, and the clock is a loose end', async () => {
    const fast = shop.scan('shift-in', 102, shop.ada);
    expect(words(await resultsOf(shop.send(fast)))).toEqual(['recorded']);
    const { looseEnds } = (await shop.get('/api/reconcile')).body as { looseEnds: { kind: string }[] };
    expect(looseEnds.map(({ kind }) => kind)).toContain('clock');
  });
});

describe('a station takes back', () => {
  const voidOf = (target: string) => ({ id: newId(), type: 'void', target });

  test('its own entry of the last 30 seconds', async () => {
    const start = shop.scan('work-start', 99, shop.ada, [shop.winding]);
    await shop.send(start);
    const sent = { entries: [line(voidOf(start.id), { deviceAt: at(99, 30) })] };
    expect(words(await resultsOf(shop.post('/api/station/entries', sent, shop.station)))).toEqual([
      'recorded',
    ]);
  });

  test('no older one', async () => {
    const start = shop.scan('work-start', 99, shop.ada, [shop.winding]);
    await shop.send(start);
    const sent = { entries: [line(voidOf(start.id), { deviceAt: at(99, 31) })] };
    expect(words(await resultsOf(shop.post('/api/station/entries', sent, shop.station)))).toEqual([
      'refused',
    ]);
  });

  test('nobody else’s', async () => {
    const start = shop.scan('work-start', 99, shop.ada, [shop.winding]);
    await shop.correct(start);
    const sent = { entries: [line(voidOf(start.id), { deviceAt: at(99, 10) })] };
    expect(words(await resultsOf(shop.post('/api/station/entries', sent, shop.station)))).toEqual([
      'refused',
    ]);
  });
});

test('edits from the desk are recorded all or none', async () => {
  const good = shop.scan('work-start', 0, shop.ada, [shop.winding]);
  const bad = shop.scan('work-start', 1, 'nobody', [shop.winding]);
  const refused = await shop.correct(good, bad);
  expect([refused.status, refused.body]).toMatchObject([
    422,
    { errors: [{ field: 'entries[1].technician' }] },
  ]);
  expect(words(await resultsOf(shop.correct(good)))).toEqual(['recorded']);
});

test('what is decided within the transaction is recorded, or its refusal comes back and nothing is', async () => {
  const { journal } = shop.context;
  const author = { kind: 'desk', id: 'sol' } as const;
  const entries = (...given: object[]) =>
    readBatch(given.map((entry) => line(entry as Record<string, unknown>, { source: 'desk' })));
  const hold = { ok: false, code: 'order.no_tasks', params: {} } as const;
  // Three that share one commit: what the second refuses is no matter of the others.
  const [first, refused, last] = await Promise.all([
    journal.appendAll(author, entries(shop.scan('shift-in', 61, shop.ada))),
    journal.appendAll(author, () => hold),
    journal.appendAll(author, (sql) => {
      const seen = sql.all('select 1 from "presence" union all select 1 from "labor_state"').length;
      return ok(seen > 0 ? entries(shop.scan('shift-in', 62, shop.bo)) : []);
    }),
  ]);
  expect(refused).toBe(hold);
  expect(first).toMatchObject({ ok: true, outcomes: [{ result: 'recorded', seq: 1 }] });
  // It saw what was recorded before it in the same commit.
  expect(last).toMatchObject({ ok: true, outcomes: [{ result: 'recorded', seq: 2 }] });
  const looks = { before: () => 'before', after: () => 'after' };
  expect(await journal.tryOut(author, () => hold, looks)).toBe(hold);
  expect((await verifyChain(shop.database)).count).toBe(2);
});

test('the journal refuses to be changed, in the database too', async () => {
  await shop.send(shop.scan('shift-in', 0, shop.ada));
  const tryTo = (statement: string) => writeSql(shop.database, (sql) => sql.run(statement));
  await expect(tryTo(`update "journal" set "body" = '{}'`)).rejects.toThrow('append-only');
  await expect(tryTo('delete from "journal"')).rejects.toThrow('append-only');
});

test('the chain holds, and names the first entry that was tampered with', async () => {
  await shop.send(...[0, 1, 2, 3].map((minute) => shop.scan('shift-in', minute, shop.ada)));
  expect(await verifyChain(shop.database)).toMatchObject({ count: 4, broken: undefined });
  await writeSql(shop.database, (sql) => {
    sql.run('drop trigger "journal_no_update"');
    sql.run(`update "journal" set "body" = replace("body", '07:02', '07:22') where "seq" = 3`);
    sql.run(`update "journal" set "body" = replace("body", '06:02', '06:22') where "seq" = 3`);
  });
  expect(await verifyChain(shop.database)).toMatchObject({
    count: 2,
    broken: 3,
    why: 'its hash does not fit',
  });
});

describe('projections', () => {
  const WORDS = [
    'in',
    'out',
    'pause',
    'resume',
    'strip',
    'wind',
    'both',
    'off',
    'hours',
    'void',
    'amend',
    'desk-done',
  ] as const;
  const anyDay = fc.array(
    fc.record({
      word: fc.constantFrom(...WORDS),
      minute: fc.integer({ min: -4000, max: 95 }),
      isAda: fc.boolean(),
      pick: fc.nat(50),
    }),
    { minLength: 1, maxLength: 25 },
  );

  type Move = { word: (typeof WORDS)[number]; minute: number; isAda: boolean; pick: number };
  /** Entries from the desk, which may record all of them; corrections name entries made before them. */
  function entriesOf(moves: readonly Move[]): object[] {
    const made: { id: string; type: string }[] = [];
    return moves.flatMap(({ word, minute, isAda, pick }): object[] => {
      const who = isAda ? shop.ada : shop.bo;
      const scan = (type: string, targets?: string[]) => {
        const entry = shop.scan(type, minute, who, targets);
        made.push(entry);
        return [entry];
      };
      const earlier = made[pick % Math.max(1, made.length)];
      switch (word) {
        case 'in':
          return scan('shift-in');
        case 'out':
          return scan('shift-out');
        case 'pause':
          return scan('break-start');
        case 'resume':
          return scan('break-end');
        case 'strip':
          return scan('work-start', [shop.strip]);
        case 'wind':
          return scan('work-start', [shop.winding]);
        case 'both':
          return scan('work-start', [shop.winding, shop.strip]);
        case 'off':
          return scan('work-stop');
        case 'desk-done':
          return [{ id: newId(), type: 'task-done', at: at(minute), targets: [shop.strip] }];
        case 'hours':
          return [
            {
              id: newId(),
              type: 'hours',
              technician: who,
              targets: [shop.strip],
              day: '2026-03-02',
              seconds: 600 + pick,
            },
          ];
        case 'void':
          return earlier ? [{ id: newId(), type: 'void', target: earlier.id }] : [];
        case 'amend':
          return earlier
            ? [
                {
                  id: newId(),
                  type: 'amend',
                  target: earlier.id,
                  set: { at: at(minute - 7), technician: who },
                },
              ]
            : [];
      }
    });
  }

  test('updated entry by entry, in any order and with corrections, are what a rebuild gives', async () => {
    await fc.assert(
      fc.asyncProperty(anyDay, async (moves) => {
        const entries = entriesOf(moves as readonly Move[]);
        if (entries.length === 0) return;
        for (const entry of entries) expect((await shop.correct(entry)).status).toBe(200);
        const before = await dump(shop);
        await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
        expect(await dump(shop)).toEqual(before);
      }),
      { numRuns: 25 },
    );
  });

  test('do not depend on how entries are batched or resent', async () => {
    const other = await openTestShop();
    const anySends = fc.array(
      fc.record({ minute: fc.nat(95), isStart: fc.boolean(), isCut: fc.boolean(), again: fc.nat(3) }),
      { minLength: 1, maxLength: 15 },
    );
    const totalsOf = async (of: TestShop) =>
      ((await of.get(`/api/work/${of.order}`)).body as { order: { comparison: object } }).order.comparison;
    await fc.assert(
      fc.asyncProperty(anySends, async (sends) => {
        const make = (of: TestShop) =>
          sends.map(({ minute, isStart }) =>
            of.scan(isStart ? 'work-start' : 'work-stop', minute, of.ada, isStart ? [of.winding] : undefined),
          );
        await shop.send(...make(shop));
        const entries = make(other);
        let from = 0;
        for (const [i, { isCut, again }] of sends.entries()) {
          if (!isCut && i < sends.length - 1) continue;
          await other.send(...entries.slice(Math.max(0, from - again), i + 1));
          from = i + 1;
        }
        expect(await totalsOf(other)).toEqual(await totalsOf(shop));
      }),
      { numRuns: 20 },
    );
    await other.close();
  });
});

describe('an order’s total', () => {
  type Line = { technician: string; workType: string; day: string; seconds: number };
  type Order = {
    order: { comparison: { actualSeconds: number; outsideSeconds: number } };
    tasks: { id: string; lines: Line[] }[];
  };
  type Detail = {
    stints: { seconds: number; opened: { at: string }; closed: { at: string } | null }[];
    hours: { seconds: number }[];
  };

  /** Opens the total down to the single scan and adds up the time between scans. */
  async function addUp() {
    const { order, tasks } = (await shop.get(`/api/work/${shop.order}`)).body as Order;
    let fromScans = 0;
    for (const { id, lines } of tasks)
      for (const { technician, workType, day } of lines) {
        const query = new URLSearchParams({ technician, target: id, workType, day }).toString();
        const detail = (await shop.get(`/api/ledger/line?${query}`)).body as Detail;
        for (const { opened, closed } of detail.stints)
          fromScans += (Date.parse(closed?.at ?? at(100)) - Date.parse(opened.at)) / 1000;
        for (const { seconds } of detail.hours) fromScans += seconds;
      }
    return { fromScans, total: order.comparison.actualSeconds + order.comparison.outsideSeconds };
  }

  test('is what its scans add up to, also after corrections', async () => {
    const start = shop.scan('work-start', 0, shop.ada, [shop.winding]);
    await shop.send(
      start,
      shop.scan('work-start', 30, shop.ada, [shop.strip]),
      shop.scan('work-stop', 50, shop.ada),
    );
    await shop.send(shop.scan('work-start', 60, shop.bo, [shop.strip]));
    expect(await addUp()).toEqual({ fromScans: 5400, total: 5400 });
    await shop.correct({
      id: newId(),
      type: 'amend',
      target: start.id,
      set: { at: at(10) },
      why: 'came later',
    });
    expect(await addUp()).toEqual({ fromScans: 4800, total: 4800 });
    await shop.correct({
      id: newId(),
      type: 'hours',
      technician: shop.bo,
      targets: [shop.strip],
      day: '2026-03-03',
      seconds: 900,
    });
    await shop.correct({ id: newId(), type: 'void', target: start.id });
    expect(await addUp()).toEqual({ fromScans: 4500, total: 4500 });
  });
});
