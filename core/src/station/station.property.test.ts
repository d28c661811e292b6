import fc from 'fast-check';
import { clock, entryId, target, technician } from '../ledger/shop.fixture.ts';
import type { TechnicianId } from '../people/costRate.ts';
import { ACTIONS, codeOfAction } from '../scan/action.ts';
import { IDLE } from './conversation.ts';
import type { StationInput, StationState, Touch } from './conversation.ts';
import { recordLocally } from './directory.ts';
import type { StationDirectory } from './directory.ts';
import { isFloorEntry } from './floorEntry.ts';
import { DEFAULT_STATION_SETTINGS, IDENTITIES, STATION_KINDS } from './settings.ts';
import { LABELS, directory, withReports } from './shop.fixture.ts';
import { converse } from './station.ts';

/** 500 runs of 200 inputs each: 100,000 inputs. */
const RUNS = 500;
const INPUTS = 200;

const people = ['ada', 'bo', 'lea', 'left'].map(technician);
const TOUCHES: readonly Touch[] = [...ACTIONS, 'indirect', 'lead-crew', 'correction', 'time-off', 'find'];

type Body = StationInput extends infer I
  ? I extends StationInput
    ? Omit<I, 'now' | 'entryId'>
    : never
  : never;
const anyText = fc.oneof(
  { weight: 8, arbitrary: fc.constantFrom(...Object.values(LABELS), ...ACTIONS.map(codeOfAction)) },
  { weight: 1, arbitrary: fc.string({ maxLength: 20 }) },
  {
    weight: 1,
    arbitrary: fc
      .tuple(fc.constantFrom(...Object.values(LABELS)), fc.nat(15))
      .map(([code, at]) => code.slice(0, at) + code),
  },
);
const anyInput: fc.Arbitrary<Body> = fc.oneof(
  {
    weight: 12,
    arbitrary: fc.record({
      type: fc.constant('scan' as const),
      text: anyText,
      source: fc.constantFrom('scan' as const, 'typed' as const, 'camera' as const),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ type: fc.constant('touch' as const), action: fc.constantFrom(...TOUCHES) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ type: fc.constant('choose' as const), option: fc.integer({ min: -1, max: 9 }) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      type: fc.constant('pick' as const),
      target: fc.constantFrom('a', 'b', 'gone').map(target),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ type: fc.constant('name' as const), technician: fc.constantFrom(...people) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      type: fc.constant('answer' as const),
      text: fc.constantFrom('4', '0', '12:30', 'worn', '', '2026'),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      type: fc.constant('pin' as const),
      technician: fc.constantFrom(...people),
      answer: fc.constantFrom('right' as const, 'wrong' as const, 'wait' as const, 'unreachable' as const),
    }),
  },
  { weight: 1, arbitrary: fc.record({ type: fc.constant('calibrated' as const) }) },
  { weight: 1, arbitrary: fc.record({ type: fc.constant('stay' as const) }) },
  { weight: 1, arbitrary: fc.record({ type: fc.constant('tick' as const) }) },
);
const gap = fc.oneof(fc.integer({ min: 0, max: 9_000 }), fc.integer({ min: 0, max: 90_000 }));
const scanOf = (text: string): Body => ({ type: 'scan', text, source: 'scan' });
/** A crew as it comes: its label, badges and a task or an act in any order, close together. */
const crewPhrase: fc.Arbitrary<[Body, number][]> = fc
  .tuple(
    fc.subarray(['ADA', 'BO', 'LEA', 'LEFT'], { minLength: 1 }),
    fc.constantFrom('T1', 'T2', 'PRESS', 'HELD', 'FINISHED', 'MEETING', 'ORDER', 'IN', 'OFF', 'OUT', 'BREAK'),
  )
  .chain(([badges, then]) => fc.shuffledSubarray([...badges, then], { minLength: badges.length + 1 }))
  .map((words) => ['CREW', ...words].map((word) => [scanOf(LABELS[word] ?? word), 700]));
const anySession = fc.record({
  inputs: fc
    .array(
      fc.oneof(
        {
          weight: 15,
          arbitrary: fc.tuple(anyInput, gap).map((input): [Body, number][] => [input]),
        },
        { weight: 1, arbitrary: crewPhrase },
      ),
      { minLength: INPUTS, maxLength: INPUTS, size: 'max' },
    )
    .map((phrases) => phrases.flat()),
  kind: fc.constantFrom(...STATION_KINDS),
  identity: fc.constantFrom(...IDENTITIES),
  signsIn: fc.boolean(),
  mayOverride: fc.boolean(),
  isOnline: fc.boolean(),
  hasReports: fc.boolean(),
});

/** Everybody whose badge was meant for what is recorded now: whoever stands on the screen, completes what waited, or
 *  belongs to the crew that is open. */
function meant(before: StationState, after: StationState, input: StationInput, known: StationDirectory) {
  const those = new Set<TechnicianId>();
  for (const { conversation } of [before, after]) {
    if (conversation.step === 'person' || conversation.step === 'asked')
      those.add(conversation.person.technician);
    // A crew that is asked something is one still: the answer does it for all of them.
    const crew = conversation.step === 'asked' ? conversation.crew : conversation;
    if (crew?.step === 'crew')
      for (const { technician: id, isMissing } of crew.members) if (!isMissing) those.add(id);
  }
  const { said } = before;
  if (before.conversation.step === 'idle' && said && 'technician' in said) those.add(said.technician);
  if (input.type === 'name') those.add(input.technician);
  if (input.type === 'scan') {
    const meaning = known.codes.get(input.text.trim().toUpperCase());
    if (meaning?.kind === 'badge' || meaning?.kind === 'person-act') those.add(meaning.technician);
  }
  return those;
}

test('whatever is scanned, touched or typed: it never fails, never charges whose badge was not meant, and clears itself', () => {
  let crewsStarted = 0;
  fc.assert(
    fc.property(anySession, ({ inputs, isOnline, hasReports, ...chosen }) => {
      const settings = { ...DEFAULT_STATION_SETTINGS, ...chosen };
      let known = hasReports ? withReports('a', {}, { when: 'start', kind: 'remark' }) : directory;
      let state = IDLE;
      let now = clock(8) * 1000;
      inputs.forEach(([body, passed], i) => {
        now += passed;
        const input = { ...body, now, entryId: entryId(`e${i}`) } as StationInput;
        const before = converse(state, { type: 'tick', now }, { directory: known, settings, isOnline }).state;
        const step = converse(state, input, { directory: known, settings, isOnline });
        const allowed = meant(before, step.state, input, known);
        for (const effect of step.effects) {
          if (effect.type !== 'append') continue;
          const { entry } = effect;
          if (!isFloorEntry(entry) && 'technician' in entry && entry.technician)
            expect([...allowed]).toContain(entry.technician);
          known = recordLocally(known, entry);
        }
        state = step.state;
        if (state.said?.kind === 'crew-started') crewsStarted += 1;
      });
      const later = converse(
        state,
        { type: 'tick', now: now + 61_000 },
        { directory: known, settings, isOnline },
      );
      expect(later.state.conversation.step).toBe('idle');
      expect(later.state.said).toBeNull();
    }),
    { numRuns: RUNS },
  );
  // Crews are among what was tried, not only possible.
  expect(crewsStarted).toBeGreaterThan(RUNS);
});

test('ids of entries are never made twice', () => {
  fc.assert(
    fc.property(anySession, fc.boolean(), ({ inputs, isOnline, ...chosen }, signsIn) => {
      const settings = { ...DEFAULT_STATION_SETTINGS, ...chosen, signsIn };
      let known = directory;
      let state = IDLE;
      const seen = new Set<string>();
      inputs.forEach(([body], i) => {
        const input = { ...body, now: clock(8) * 1000 + i * 3000, entryId: entryId(`e${i}`) } as StationInput;
        const step = converse(state, input, { directory: known, settings, isOnline });
        for (const effect of step.effects)
          if (effect.type === 'append') {
            expect(seen.has(effect.entry.id)).toBe(false);
            seen.add(effect.entry.id);
            known = recordLocally(known, effect.entry);
          }
        state = step.state;
      });
    }),
    { numRuns: 300 },
  );
});
