import fc from 'fast-check';
import { deriveLedger } from '../ledger/derive.ts';
import { ridesAlongOf } from '../ledger/stint.ts';
import { effectiveEntries } from '../ledger/effective.ts';
import type { Entry, HoursEntry } from '../ledger/entries.ts';
import {
  TARGETS,
  TECHNICIANS,
  anyEntries,
  clock,
  entryId,
  factsWith,
  target,
  technician,
} from '../ledger/shop.fixture.ts';
import { ada, journal, say } from '../loose-ends/journal.fixture.ts';
import { undoOf } from '../loose-ends/index.ts';
import type { TapeGround, TapePiece, TimedEntry } from './tapeEdit.ts';
import { joinStretches } from './timeline.ts';
import type { TechnicianId } from '../people/index.ts';
import { toDay, toInstant, toSeconds } from '../time/index.ts';
import { planRecords } from './planRecords.ts';
import type { RecordsAct } from './planRecords.ts';

const facts = factsWith();
const bo = technician('bo');
const groundOf = (entries: readonly Entry[], asOf = clock(20)): TapeGround => ({
  entries: effectiveEntries(entries).filter((entry): entry is TimedEntry => entry.type !== 'hours'),
  states: new Map(),
  facts,
  asOf,
  closedUntil: null,
  closedTargets: new Set(),
});
const hoursOf = (entries: readonly Entry[]) =>
  effectiveEntries(entries).filter((entry): entry is HoursEntry => entry.type === 'hours');
const block = (words: string): TapePiece => {
  const [from = '', to = '', name = ''] = words.split(' ');
  const running = [{ target: target(name), workType: 'run' as const }];
  return { technician: ada, from: clock(Number(from)), to: clock(Number(to)), running };
};
const GIVE: RecordsAct = { what: 'give', technician: bo };
const later = (hours: number): RecordsAct => ({ what: 'shift', seconds: hours * 3600 });
const DAY = 'work-start 8 a, work-start 10 b, work-stop 12, work-start 13 a, work-stop 15';

const LENGTH: HoursEntry = {
  id: entryId('h1'),
  type: 'hours',
  technician: ada,
  targets: [target('a')],
  day: toDay(20_535),
  seconds: toSeconds(60),
};

test.each<[blocks: string, act: RecordsAct, expected: readonly unknown[], why: string]>([
  ['8 10 a, 13 15 a', { what: 'out' }, ['void e1', 'void e4', 'void e5'], 'apart: each with its own ends'],
  ['8 10 a, 10 12 b', { what: 'out' }, ['void e1', 'void e2', 'void e3'], 'one after the other: all of it'],
  ['13 15 a', later(1), ['amend e4 14', 'amend e5 16'], 'one alone is as it always was'],
  [
    '8 10 a, 13 15 a',
    later(-0.5),
    ['amend e1 7.5', 'amend e4 12.5', 'amend e5 14.5', 'work-stop 9.5'],
    'together earlier',
  ],
  ['8 10 a', later(3), ['edit.overlap', 'blocks[0]'], 'onto what stays'],
  ['8 10 a, 13 15 a', later(8), ['edit.future', 'blocks[1]'], 'behind now'],
  ['8 9 a, 13 15 a', GIVE, ['edit.block_changed', 'blocks[0]'], 'one that is another by now'],
])('%s of the day', (blocks, act, expected) => {
  const planned = planRecords(
    { blocks: blocks.split(', ').map(block), hours: [] },
    act,
    groundOf(journal(DAY)),
  );
  const said = planned.ok ? planned.value.map(say).sort() : [planned.code, planned.params['field']];
  expect(said).toEqual(expected);
});

test.each<[act: RecordsAct, set: unknown]>([
  [{ what: 'out' }, 'void'],
  [GIVE, { technician: bo }],
  [
    { what: 'work', target: target('b'), workType: 'rework' },
    { targets: [target('b')], workType: 'rework' },
  ],
  [{ what: 'work', target: target('a'), workType: 'run' }, 'edit.nothing'],
  [later(1), 'edit.nothing'],
])('a length with %j', (act, expected) => {
  const planned = planRecords({ blocks: [], hours: [LENGTH] }, act, groundOf([]));
  if (!planned.ok) return expect(planned.code).toBe(expected);
  const [change] = planned.value;
  return expect(change?.type === 'amend' ? change.set : change?.type).toEqual(expected);
});

test.each<[more: Partial<TapeGround>, act: RecordsAct, code: string, field: string]>([
  [{ closedUntil: toDay(20_535) }, { what: 'out' }, 'edit.closed_day', 'hours[0]'],
  [
    { closedTargets: new Set([target('b')]) },
    { what: 'work', target: target('b'), workType: 'run' },
    'edit.closed_order',
    'act.target',
  ],
])('a length under %j is refused as a stretch is', (more, act, code, field) => {
  const planned = planRecords({ blocks: [], hours: [LENGTH] }, act, { ...groundOf([]), ...more });
  expect(planned.ok ? [] : [planned.code, planned.params['field']]).toEqual([code, field]);
});

test('several records: their time goes where it is said to, nobody else is touched, and undoing gives the ledger back', () => {
  const anyAct = fc.oneof(
    fc.constant<RecordsAct>({ what: 'out' }),
    fc.constantFrom(...TECHNICIANS).map((who): RecordsAct => ({ what: 'give', technician: who })),
    fc
      .constantFrom(...TARGETS)
      .map((each): RecordsAct => ({ what: 'work', target: each, workType: 'rework' })),
    fc
      .integer({ min: -90, max: 90 })
      .map((minutes): RecordsAct => ({ what: 'shift', seconds: minutes * 60 })),
  );
  let made = 0;
  fc.assert(
    fc.property(
      anyEntries,
      fc.array(fc.nat(40), { minLength: 1, maxLength: 5 }),
      anyAct,
      (entries, places, act) => {
        const asOf = clock(7 * 24);
        const before = deriveLedger(entries, facts, asOf);
        const picked = [
          ...new Set(places.map((place) => before.stints[place % Math.max(1, before.stints.length)])),
        ];
        const blocks = picked.flatMap((stint): TapePiece[] =>
          stint ? [{ ...stint, to: stint.open && !stint.capped ? null : stint.to }] : [],
        );
        const hours = act.what === 'give' ? [] : hoursOf(entries).slice(0, 1);
        const planned = planRecords({ blocks, hours }, act, groundOf(entries, asOf));
        if (!planned.ok) return;
        made += 1;
        const added = planned.value.map((change, i) => ({ ...change, id: entryId(`x${i}`) }) as Entry);
        const after = deriveLedger([...entries, ...added], facts, asOf);
        const partOf = (who: TechnicianId) => {
          const stays = before.stints.filter((stint) => stint.technician === who && !picked.includes(stint));
          const comes = blocks
            .flatMap((each) => movedBy(each, act))
            .filter((each) => each.technician === who)
            .map(({ from, to, running }) => ({ from, to: to ?? asOf, running }));
          return joinStretches([...stays, ...comes]);
        };
        for (const who of TECHNICIANS)
          expect(joinStretches(after.stints.filter((stint) => stint.technician === who))).toEqual(
            partOf(who),
          );
        expect([after.shifts, after.breaks].map((spans) => spans.length)).toEqual(
          [before.shifts, before.breaks].map((spans) => spans.length),
        );
        const undo = undoOf(added, (id) => effectiveEntries(entries).find((entry) => entry.id === id));
        const undone = undo.map((change, i) => ({ ...change, id: entryId(`y${i}`) }) as Entry);
        expect(deriveLedger([...entries, ...added, ...undone], facts, asOf)).toEqual(before);
      },
    ),
    { numRuns: 600 },
  );
  expect(made).toBeGreaterThan(50);
});

/** What a block is to become, said once more and more plainly. */
function movedBy(block: TapePiece, act: RecordsAct): TapePiece[] {
  if (act.what === 'out') return [];
  if (act.what === 'give') return [{ ...block, technician: act.technician }];
  if (act.what === 'work') {
    // The machine and the class of pay stay where they were one for all of the block; a rate is that of its own order.
    const own = block.running.find(({ target: each }) => each === act.target);
    const alike = new Set(block.running.map(({ machine, payClass }) => `${machine ?? ''} ${payClass ?? ''}`));
    const { chargeRate: _ofItsOrder, ...forAll } = ridesAlongOf(block.running[0] ?? {});
    const stays = own ? ridesAlongOf(own) : alike.size === 1 ? forAll : {};
    const work = { target: act.target, workType: act.workType, ...stays };
    return [{ ...block, running: [work] }];
  }
  const moved = (at: number) => toInstant(at + act.seconds);
  return [{ ...block, from: moved(block.from), to: block.to === null ? null : moved(block.to) }];
}
