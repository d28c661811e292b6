import fc from 'fast-check';
import { deriveLedger } from '../ledger/derive.ts';
import { effectiveEntries } from '../ledger/effective.ts';
import type { Entry } from '../ledger/entries.ts';
import { THE_END, anyEntries, clock, entryId, factsWith, technician } from '../ledger/shop.fixture.ts';
import { toDay } from '../time/day.ts';
import { toInstant } from '../time/instant.ts';
import type { Instant } from '../time/instant.ts';
import { planPresence } from './planPresence.ts';
import { ada, journal, say } from '../loose-ends/journal.fixture.ts';
import type { PresenceEdit, PresencePiece, TapeGround, TimedEntry } from './tapeEdit.ts';
import { strandsOf, withChanges } from './timeline.ts';
import { undoOf } from '../loose-ends/undo.ts';

const facts = factsWith();
const groundOf = (entries: readonly Entry[], more: Partial<TapeGround> = {}): TapeGround => ({
  entries: effectiveEntries(entries).filter((entry): entry is TimedEntry => entry.type !== 'hours'),
  states: new Map(),
  facts,
  asOf: clock(20),
  closedUntil: null,
  closedTargets: new Set(),
  ...more,
});
/** An edit as words: `shift 7 15 => 7 16`, `- ` where it goes on, nothing where there is none. */
const edit = (words: string): PresenceEdit => {
  const [kind = '', ...rest] = words.split(' ');
  const [was = '', becomes = ''] = rest
    .join(' ')
    .split('=>')
    .map((part) => part.trim());
  const piece = (text: string): PresencePiece | null => {
    const [from = '', to = ''] = text.split(' ');
    return text === '' ? null : { from: clock(Number(from)), to: to === '-' ? null : clock(Number(to)) };
  };
  return { technician: ada, kind: kind as PresenceEdit['kind'], was: piece(was), becomes: piece(becomes) };
};
const DAY = 'shift-in 7, work-start 7 a, break-start 9, break-end 9.5, work-stop 15, shift-out 15.5';

test.each<[entries: string, edit: string, changes: readonly string[], why: string]>([
  [DAY, 'shift 7 15.5 => 7 16', ['amend e6 16'], 'who left later has their scan moved'],
  [DAY, 'shift 7 15.5 => 6.5 15.5', ['amend e1 6.5'], 'who came earlier too'],
  [DAY, 'shift 7 15.5 => 6.5 16', ['amend e1 6.5', 'amend e6 16'], 'or both'],
  [DAY, 'shift 7 15.5 => 7 -', ['void e6'], 'who has not left yet is in again'],
  [DAY, 'shift 7 15.5 => ', ['void e1', 'void e6'], 'who was never there was not'],
  [DAY, 'break 9 9.5 => 9 9.75', ['amend e4 9.75'], 'a break that was longer'],
  [DAY, 'break 9 9.5 => ', ['void e3', 'void e4'], 'or none at all'],
  [DAY, 'break => 12 12.5', ['break-start 12', 'break-end 12.5'], 'one that was never scanned'],
  [
    'work-start 7 a, work-stop 9',
    'shift => 7 9',
    ['shift-in 7', 'shift-out 9'],
    'a shift that was never scanned',
  ],
  ['shift-in 7', 'shift 7 - => 7 15', ['shift-out 15'], 'a shift end that was forgotten today'],
  [
    'break-start 9, work-start 10 a',
    'break 9 10 => 9 9.5',
    ['break-end 9.5'],
    'a break that ended before work began',
  ],
])('%s: %s is %j: %s', (entries, words, changes) => {
  const planned = planPresence(edit(words), groundOf(journal(entries)));
  expect(planned.ok ? planned.value.map(say) : planned.code).toEqual(changes);
});

test('a shift end that the rule put there, because nobody did, is said', () => {
  const ground = groundOf(journal('shift-in 7, work-start 7 a'), { asOf: clock(30) });
  const planned = planPresence(edit('shift 7 23 => 7 15'), ground);
  expect(planned.ok && planned.value.map(say)).toEqual(['shift-out 15']);
});

test.each<[edit: string, code: string, more: Partial<TapeGround>, why: string]>([
  ['shift 7 15 => 7 16', 'edit.block_changed', {}, 'it is another by now'],
  ['shift 7 15.5 => 7 7', 'edit.ends_before_start', {}, 'it would have no length'],
  ['shift 7 15.5 => 7 21', 'edit.future', {}, 'it would end in the future'],
  ['shift => 21 -', 'edit.future', {}, 'it would begin there'],
  ['shift => 15 17', 'edit.presence_overlap', {}, 'they were in already'],
  ['break => 9.25 10', 'edit.presence_overlap', {}, 'a break within a break'],
  ['shift 7 15.5 => -2 15.5', 'edit.shift_too_long', {}, 'longer than a shift can be'],
  ['shift 7 15.5 => 7 15.5', 'edit.nothing', {}, 'as it is'],
  ['shift 7 15.5 => 7 16', 'edit.closed_day', { closedUntil: toDay(20_535) }, 'its day is closed'],
  ['shift => 16 17', 'edit.closed_day', { closedUntil: toDay(20_535) }, 'a new one on a closed day'],
])('%s is refused as %s: %s', (words, code, more) => {
  expect(planPresence(edit(words), groundOf(journal(DAY), more))).toMatchObject({ ok: false, code });
});

test('a break that a start of work ended cannot be drawn over that work', () => {
  const ground = groundOf(journal('break-start 9, work-start 10 a'));
  expect(planPresence(edit('break 9 10 => 9 11'), ground)).toMatchObject({ code: 'edit.work_is_there' });
});

/** Whatever the journal, and whatever a hand does to one of the shifts and breaks in it. */
const anyHand = fc.record({
  place: fc.nat(20),
  kind: fc.constantFrom('shift' as const, 'break' as const),
  act: fc.constantFrom('begin', 'end', 'both', 'take', 'add', 'on'),
  minutes: fc.integer({ min: -180, max: 180 }),
});
const draw = (
  { place, kind, act, minutes }: ReturnType<(typeof anyHand)['generate']>['value'],
  ground: TapeGround,
): PresenceEdit => {
  const timeline = strandsOf(ada, ground.entries, ground);
  const all = kind === 'shift' ? timeline.shifts : timeline.breaks;
  const found = all[place % Math.max(1, all.length)];
  const moved = (at: Instant | null) => (at === null ? null : toInstant(at + minutes * 60));
  if (!found || act === 'add') {
    const from = toInstant((found?.to ?? clock(8)) + Math.abs(minutes) * 60);
    return { technician: ada, kind, was: null, becomes: { from, to: toInstant(from + 1800) } };
  }
  const was: PresencePiece = { from: found.from, to: found.open ? null : found.to };
  const becomes = {
    begin: { ...was, from: moved(was.from) as Instant },
    end: { ...was, to: moved(was.to) },
    both: { from: moved(was.from) as Instant, to: moved(was.to) },
    on: { ...was, to: null },
    take: null,
  }[act];
  return { technician: ada, kind, was, becomes };
};

test('whatever is done to a shift or a break, the others stay, nobody else is touched, and undoing gives what there was', () => {
  let made = 0;
  fc.assert(
    fc.property(anyEntries, anyHand, (entries, hand) => {
      const ground = groundOf(entries, { asOf: THE_END });
      const wish = draw(hand, ground);
      const planned = planPresence(wish, ground);
      if (!planned.ok) return;
      made += 1;
      expect(planned.value.length).toBeLessThanOrEqual(2);
      const bo = technician('bo');
      const [before, after] = [ground.entries, withChanges(ground.entries, planned.value)];
      expect(strandsOf(bo, after, ground)).toEqual(strandsOf(bo, before, ground));
      const kinds = (list: readonly TimedEntry[]) => {
        const { shifts, breaks } = strandsOf(ada, list, ground);
        return (wish.kind === 'shift' ? shifts : breaks).map(({ from, to, open }) => [
          from,
          open ? null : to,
        ]);
      };
      const others = kinds(before).filter(([from]) => from !== wish.was?.from);
      const wanted = [...others, ...(wish.becomes ? [[wish.becomes.from, wish.becomes.to]] : [])];
      const byFrom = (a: readonly (number | null)[], b: readonly (number | null)[]) =>
        (a[0] ?? 0) - (b[0] ?? 0);
      expect(kinds(after).sort(byFrom)).toEqual(wanted.sort(byFrom));
      const done = planned.value.map((change, i) => ({ ...change, id: entryId(`p${i}`) }) as Entry);
      const all = [...entries, ...done];
      const undo = undoOf(done, (id) => effectiveEntries(entries).find((each) => each.id === id));
      const undone = [...all, ...undo.map((change, i) => ({ ...change, id: entryId(`u${i}`) }) as Entry)];
      expect(deriveLedger(undone, facts, THE_END)).toEqual(deriveLedger(entries, facts, THE_END));
    }),
    { numRuns: 800 },
  );
  expect(made).toBeGreaterThan(100);
});
