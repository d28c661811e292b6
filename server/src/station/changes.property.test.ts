import { setImmediate } from 'node:timers/promises';
import fc from 'fast-check';
import { floorChangesSchema, floorSchema, mergeFloor } from '@wergon/contract/floor';
import { directoryChangesSchema, directorySchema, mergeDirectory } from '@wergon/contract/station';
import { readSql } from '../db/index.ts';
import { PROJECTIONS, rebuild } from '../ledger/rebuild.ts';
import { SEVEN, at, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// Whatever happens, what a station or a page knows with what it asks for since is what it would be told as a whole.
let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  // A server that has just begun knows of nothing that came before it.
  await shop.send(shop.scan('shift-in', -60, shop.ada));
});
afterAll(() => shop.close());

const DAY = '2026-03-03';
const directory = async () =>
  directorySchema.parse((await shop.get('/api/station/directory', shop.station)).body);
const floor = async () => floorSchema.parse((await shop.get(`/api/floor?day=${DAY}`)).body);
const directoryChanges = async (after: number) =>
  directoryChangesSchema.parse(
    (await shop.get(`/api/station/directory/changes?after=${after}`, shop.station)).body,
  );
const floorChanges = async (after: number) =>
  floorChangesSchema.parse((await shop.get(`/api/floor/changes?day=${DAY}&after=${after}`)).body);

/** A list as a set of its parts: in which order they come is nobody's business. */
const sorted = (value: object): unknown =>
  Object.fromEntries(
    Object.entries(value).map(([key, part]: [string, unknown]) => [
      key,
      Array.isArray(part) ? part.map((item: unknown) => JSON.stringify(item)).sort() : part,
    ]),
  );

type Step =
  | {
      readonly type: 'shift-in' | 'shift-out' | 'break-start' | 'break-end' | 'work-stop';
      readonly who: number;
    }
  | {
      readonly type: 'work-start' | 'task-done' | 'task-reopen' | 'count';
      readonly who: number;
      readonly what: number;
    }
  | { readonly type: 'void' | 'amend'; readonly which: number }
  | { readonly type: 'answer' | 'late'; readonly who: number }
  | { readonly type: 'hours'; readonly who: number; readonly what: number };

const one = fc.integer({ min: 0, max: 1 });
const steps = fc.array(
  fc.oneof(
    fc.record({
      type: fc.constantFrom('shift-in', 'shift-out', 'break-start', 'break-end', 'work-stop'),
      who: one,
    }),
    fc.record({
      type: fc.constantFrom('work-start', 'work-start', 'task-done', 'task-reopen', 'count'),
      who: one,
      what: one,
    }),
    fc.record({ type: fc.constantFrom('void', 'amend'), which: fc.nat(20) }),
    fc.record({ type: fc.constant('hours'), who: one, what: one }),
    fc.record({ type: fc.constantFrom('answer', 'late'), who: one }),
  ) as fc.Arbitrary<Step>,
  { minLength: 1, maxLength: 8 },
);

/** Six seconds a step: all of it lies before what the clock says. */
let taken = 0;
const now = (before = 0) => at(((taken - before) * 6) / 60);
const made: string[] = [];
async function take(step: Step): Promise<void> {
  const [people, tasks] = [
    [shop.ada, shop.bo],
    [shop.strip, shop.winding],
  ];
  const technician = 'who' in step ? people[step.who] : '';
  const targets = 'what' in step ? [tasks[step.what]] : [];
  taken += 1;
  const id = newId();
  switch (step.type) {
    case 'void':
    case 'amend': {
      const target = made[step.which % Math.max(1, made.length)];
      if (target === undefined) return;
      const set = step.type === 'amend' ? { set: { at: now(3) } } : {};
      await shop.correct({ id, type: step.type, target, ...set });
      return;
    }
    // Made without the server a while ago, and sent only now.
    case 'late':
      await shop.send({ id, type: 'work-stop', at: now(5), technician });
      break;
    case 'answer':
      await shop.send({ id, type: 'request', at: now(), technician, what: 'help', target: null, text: '' });
      await shop.post(`/api/floor/requests/${id}/answer`, { text: 'on my way' });
      return;
    case 'hours':
      await shop.correct({ id, type: 'hours', technician, targets, day: DAY, seconds: 600 });
      return;
    case 'count':
      await shop.send({ id, type: 'count', at: now(), technician, targets, good: 2, scrap: 1 });
      return;
    case 'work-start':
    case 'task-done':
    case 'task-reopen':
      await shop.send({ id, type: step.type, at: now(), technician, targets });
      break;
    default:
      await shop.send({ id, type: step.type, at: now(), technician });
  }
  made.push(id);
}

test(`what is known with what has changed since is the whole`, async () => {
  await fc.assert(
    fc.asyncProperty(steps, async (all) => {
      const [known, day] = [await directory(), await floor()];
      for (const step of all) await take(step);
      const [changes, dayChanges] = [await directoryChanges(known.seq), await floorChanges(day.seq)];
      if (!changes || !dayChanges) throw new Error('changes of a moment ago are not known');
      expect(sorted(mergeDirectory(known, changes))).toEqual(sorted(await directory()));
      expect(sorted(mergeFloor(day, dayChanges))).toEqual(sorted(await floor()));
    }),
    { numRuns: 25 },
  );
});

/** Lets the server get on by so many turns. */
const letGo = async (turns: number) => {
  for (let i = 0; i < turns; i += 1) await setImmediate();
};

test(`asked for while somebody scans, nothing is passed over`, async () => {
  let [known, day] = [await directory(), await floor()];
  const look = async () => {
    const [changes, dayChanges] = await Promise.all([directoryChanges(known.seq), floorChanges(day.seq)]);
    known = changes ? mergeDirectory(known, changes) : await directory();
    day = dayChanges ? mergeFloor(day, dayChanges) : await floor();
  };
  const around = fc.record({ steps, scansAfter: fc.nat(12), asksAfter: fc.nat(12) });
  await fc.assert(
    fc.asyncProperty(around, async ({ steps: [step], scansAfter, asksAfter }) => {
      if (!step) return;
      await Promise.all([letGo(scansAfter).then(() => take(step)), letGo(asksAfter).then(look)]);
      await look();
      expect(sorted(known)).toEqual(sorted(await directory()));
      expect(sorted(day)).toEqual(sorted(await floor()));
    }),
    { numRuns: 40 },
  );
});

test('whatever came, in whatever order, what is kept is what is derived anew', async () => {
  const rows = () =>
    readSql(shop.database, (sql) =>
      PROJECTIONS.map((table) =>
        sql
          .all(`select * from "${table}"`)
          .map((row) => JSON.stringify(row))
          .sort(),
      ),
    );
  const live = await rows();
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await rows()).toEqual(live);
});

test('what only now became due is not passed over by whoever asks after one more scan', async () => {
  // Made on a device whose clock runs ahead: it waits for its time.
  const ahead = { id: newId(), type: 'shift-in', at: at(110), technician: shop.bo };
  await shop.send(ahead);
  const [known, day] = [await directory(), await floor()];
  shop.clock.set((SEVEN + 111 * 60) * 1000);
  await shop.context.journal.takeInDue();
  await shop.send(shop.scan('work-stop', 110.5, shop.ada));
  const [changes, dayChanges] = [await directoryChanges(known.seq), await floorChanges(day.seq)];
  const [whole, wholeDay] = [await directory(), await floor()];
  expect(sorted(changes ? mergeDirectory(known, changes) : whole)).toEqual(sorted(whole));
  expect(sorted(dayChanges ? mergeFloor(day, dayChanges) : wholeDay)).toEqual(sorted(wholeDay));
});

test('after what is not known any more the whole is asked for', async () => {
  expect([await directoryChanges(999_999), await floorChanges(999_999)]).toEqual([null, null]);
});
