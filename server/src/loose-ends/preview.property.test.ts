import type { z } from 'zod';
import fc from 'fast-check';
import type { EffectJson, LooseEndsJson } from '@wergon/contract/loose-ends';
import type { personDaySchema } from '@wergon/contract/tape';
import type { Problem } from '@wergon/contract/wire';
import type { OrderJson } from '@wergon/contract/compare';
import { at, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// Each run is a new person, of whom nothing is known yet, in one shop; it is 8:40.
let shop: TestShop;
let lea: string;
let runs = 0;
beforeAll(async () => {
  shop = await openTestShop();
  lea = shop.bo;
});
afterAll(() => shop.close());

const DAY = '2026-03-03';
const anyMinute = fc.integer({ min: -240, max: 95 });
const anyScan = fc.record({
  type: fc.constantFrom('shift-in', 'shift-out', 'break-start', 'break-end', 'work-start', 'work-stop'),
  minute: anyMinute,
  task: fc.nat(1),
});
const anyHand = fc.record({
  kind: fc.constantFrom('begin', 'end', 'work', 'split', 'delete', 'hand', 'add'),
  block: fc.nat(10),
  minutes: fc.integer({ min: -60, max: 60 }),
  task: fc.nat(1),
});

type Hand = ReturnType<(typeof anyHand)['generate']>['value'];

const task = (place: number) => (place === 0 ? shop.strip : shop.winding);
async function hire(): Promise<string> {
  const person = { number: `P${(runs += 1)}`, name: `Person ${runs}`, department: 'Winding' };
  const { id } = (await shop.post('/api/people', person)).body as { id: string };
  await shop.post(`/api/people/${id}/rates`, { record: { from: '2026-01-01', per: 'hour', base: '33.33' } });
  return id;
}
const read = async <T>(path: string): Promise<T> => (await shop.get(path)).body as T;
const dayOf = (who: string) =>
  read<z.input<typeof personDaySchema>>(`/api/reconcile/day?technician=${who}&day=${DAY}`);

/** The edit that a hand draws on somebody's day; absent where there is nothing to take hold of. */
function draw({ kind, block: place, minutes, task: other }: Hand, day: z.input<typeof personDaySchema>) {
  const stint = day.stints[place % Math.max(1, day.stints.length)];
  if (!stint) return undefined;
  const moved = (instant: string) => new Date(Date.parse(instant) + minutes * 60_000).toISOString();
  const middle = new Date((Date.parse(stint.from) + Date.parse(stint.to)) / 2).toISOString();
  const block = {
    technician: day.technician,
    from: stint.from,
    to: stint.isOpen ? null : stint.to,
    running: stint.running.map(({ target, workType }) => ({ target, workType })),
  };
  const work = [{ target: task(other), workType: 'rework' }];
  const edits = {
    begin: { block, becomes: [{ ...block, from: moved(block.from) }] },
    end: { block, becomes: [{ ...block, to: moved(stint.to) }] },
    work: { block, becomes: [{ ...block, running: work }] },
    split: {
      block,
      becomes: [
        { ...block, to: middle },
        { ...block, from: middle, running: work },
      ],
    },
    delete: { block, becomes: [] },
    hand: { block, becomes: [{ ...block, technician: lea }] },
    add: { block: null, becomes: [{ ...block, from: at(-300), to: at(-260), running: work }] },
  };
  return edits[kind];
}

/** What other pages say of these people: their tapes, the seconds and cents on the tasks, their loose ends. */
async function see(people: readonly string[]) {
  const lanes: Record<string, string[]> = {};
  for (const who of people)
    lanes[who] = (await dayOf(who)).stints.map(
      ({ from, to, running }) => `${from} ${to} ${running.map(({ title }) => title).join(' and ')}`,
    );
  const { tasks } = await read<OrderJson>(`/api/work/${shop.order}`);
  const sums = Object.fromEntries(
    tasks.map(({ title, lines, comparison }) => [
      `1001 ${title}`,
      {
        comparison,
        seconds: lines.reduce((sum, { seconds }) => sum + seconds, 0),
        cents: lines.reduce((sum, { cost }) => sum + Math.round(Number(cost) * 100), 0),
      },
    ]),
  );
  const { looseEnds } = await read<LooseEndsJson>(`/api/reconcile?from=2026-03-02&to=2026-03-04`);
  return {
    lanes,
    sums,
    looseEnds: looseEnds.filter(({ technician }) => people.includes(technician ?? '')).length,
  };
}

test('what is shown before an edit is confirmed is what other pages say after it, and a refusal is the same', async () => {
  let [done, refused] = [0, 0];
  await fc.assert(
    fc.asyncProperty(fc.array(anyScan, { minLength: 3, maxLength: 8 }), anyHand, async (scans, hand) => {
      const who = await hire();
      await shop.send(
        ...scans.map(({ type, minute, task: place }) =>
          shop.scan(type, minute, who, type === 'work-start' ? [task(place)] : undefined),
        ),
      );
      const edit = draw(hand, await dayOf(who));
      if (!edit) return;
      const people = [...new Set([edit.block, ...edit.becomes].flatMap((each) => each?.technician ?? []))];
      const before = await see(people);
      const preview = await shop.post('/api/reconcile/tape/preview', edit);
      expect(await see(people)).toEqual(before);
      const answer = await shop.post('/api/reconcile/tape', edit);
      expect(answer.status).toBe(preview.status);
      const after = await see(people);
      if (answer.status !== 200) {
        refused += 1;
        expect((answer.body as Problem).type).toBe((preview.body as Problem).type);
        expect(after).toEqual(before);
        return;
      }
      done += 1;
      const effect = preview.body as EffectJson;
      expect(
        effect.lanes.map((lane) => lane.after.map(({ from, to, title }) => `${from} ${to} ${title}`)),
      ).toEqual(people.map((each) => after.lanes[each]));
      for (const [title, sum] of Object.entries(after.sums)) {
        const job = effect.jobs.find((each) => each.title === title);
        const cents = (cost: string | null | undefined) => Math.round(Number(cost ?? 0) * 100);
        expect({
          seconds: (job?.afterSeconds ?? 0) - (job?.beforeSeconds ?? 0),
          cents: cents(job?.afterCost) - cents(job?.beforeCost),
        }).toEqual({
          seconds: sum.seconds - (before.sums[title]?.seconds ?? 0),
          cents: sum.cents - (before.sums[title]?.cents ?? 0),
        });
        if (job)
          expect([job.task?.before, job.task?.after]).toEqual([
            before.sums[title]?.comparison,
            sum.comparison,
          ]);
      }
      expect([effect.looseEndsBefore, effect.looseEndsAfter]).toEqual([before.looseEnds, after.looseEnds]);
    }),
    { numRuns: 60 },
  );
  expect(done).toBeGreaterThan(20);
  expect(refused).toBeGreaterThan(0);
}, 120_000);
