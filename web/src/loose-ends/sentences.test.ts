import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { day, instant, technicianId } from '@wergon/contract/wire';
import { LOOSE_END_KINDS } from '@wergon/core/ledger';
import { ANSWER_REASONS } from '@wergon/core/loose-ends';
import type { LooseEndJson } from './alike.ts';
import { sayAlike, sayAnswer, sayKinds, sayLooseEnd } from './sentences.ts';

const words = {
  clock: (at: Instant | null) => (at === null ? '' : formatInstant(at).slice(11, 16)),
  hours: (seconds: number) => `${seconds / 3600} h`,
};
const end = (more: Partial<LooseEndJson>): LooseEndJson => ({
  kind: 'gap',
  day: day.parse('2026-03-03'),
  technician: technicianId.parse('ada'),
  name: 'Ada',
  target: '1001 Strip',
  targetId: null,
  from: instant.parse('2026-03-03T07:00:00Z'),
  to: instant.parse('2026-03-03T09:00:00Z'),
  seconds: 7200,
  about: null,
  stations: [],
  times: 1,
  refused: null,
  mayDecide: true,
  isOutsidePlan: false,
  answers: [],
  proposed: null,
  ...more,
});

test.each(LOOSE_END_KINDS)('%s is one sentence that says what to do', (kind) => {
  const said = sayLooseEnd(end({ kind }), words);
  expect(said).toMatch(/^[a-z].*: [a-z].*[.?]$/);
  expect(said).not.toMatch(/undefined|null|NaN|!/);
});

test('what the technician said at the station stands behind the sentence', () => {
  const said = sayLooseEnd(
    end({ kind: 'forgotten-stop', proposed: instant.parse('2026-03-03T15:30:00Z') }),
    words,
  );
  expect(said).toBe(
    'started at 07:00 and never stopped; it was cut off automatically: when did it really end? Said at the station: it ended at 15:30.',
  );
});

test.each(ANSWER_REASONS)(
  'the answer “%s” has words of its own, with its instant where it has one',
  (reason) => {
    const plain = sayAnswer({ reason, at: null }, words);
    expect(plain.length).toBeGreaterThan(5);
    expect(sayAnswer({ reason, at: instant.parse('2026-03-03T15:30:00Z') }, words)).toBe(`${plain} 15:30`);
    expect(sayAlike([end({ answers: [{ reason, at: instant.parse('2026-03-03T15:30:00Z') }] })])).toBe(plain);
  },
);

test('no two answers are said alike', () => {
  const said = ANSWER_REASONS.map((reason) => sayAnswer({ reason, at: null }, words));
  expect(new Set(said).size).toBe(ANSWER_REASONS.length);
});

test.each<[more: Partial<LooseEndJson>, said: string]>([
  [
    { kind: 'unknown-code', about: '4006381', times: 3 },
    'scanned 4006381 3 times, last at 09:00, an unknown code: find out what was scanned.',
  ],
  [
    { kind: 'unknown-code', about: 'T7K2P', times: 1 },
    'scanned T7K2P at 09:00, an unknown code: find out what was scanned.',
  ],
  [
    { kind: 'badge-hop', stations: ['Gate', 'Test'], seconds: 40 },
    'had a badge read at Gate and Test within 40 s at 07:00: find out who had it.',
  ],
])('%j is told as “%s”', (more, said) => expect(sayLooseEnd(end(more), words)).toBe(said));

test('several of a kind are called by what they are', () => {
  const said = LOOSE_END_KINDS.map((kind) => sayKinds([end({ kind })]));
  for (const words of said) expect(words).toMatch(/^[a-z][a-z -]+$/);
  expect(new Set(said).size).toBe(LOOSE_END_KINDS.length);
  const overBreak = end({ answers: [{ reason: 'was-break', at: null }] });
  expect(sayKinds([overBreak, overBreak])).toBe('gaps over a break');
  expect(sayKinds([])).toBe('');
});
