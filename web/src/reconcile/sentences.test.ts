import { LOOSE_END_KINDS } from '@wergon/core/ledger';
import { ANSWER_REASONS } from '@wergon/core/reconcile';
import type { LooseEndJson } from './alike.ts';
import { sayAlike, sayAnswer, sayHint, sayLooseEnd } from './sentences.ts';

const words = {
  clock: (instant: string | null) => (instant ?? '').slice(11, 16),
  hours: (seconds: number) => `${seconds / 3600} h`,
};
const end = (more: Partial<LooseEndJson>): LooseEndJson => ({
  kind: 'gap',
  day: '2026-03-03',
  technician: 'ada',
  name: 'Ada',
  target: '1001 Strip',
  targetId: null,
  from: '2026-03-03T07:00:00Z',
  to: '2026-03-03T09:00:00Z',
  seconds: 7200,
  isOutsidePlan: false,
  answers: [],
  proposed: null,
  ...more,
});

test.each(LOOSE_END_KINDS)('%s is one sentence that says what to do', (kind) => {
  const said = sayLooseEnd(end({ kind }), words);
  expect(said).toMatch(/^[a-z].*: [a-z].*\.$/);
  expect(said).not.toMatch(/undefined|null|NaN|!/);
});

test('what the technician said at the station stands behind the sentence', () => {
  const said = sayLooseEnd(end({ kind: 'forgotten-stop', proposed: '2026-03-03T15:30:00Z' }), words);
  expect(said).toBe(
    'started at 07:00 and never stopped; the rule cut it: say when it really ended. Said at the station: it ended at 15:30.',
  );
});

test.each(ANSWER_REASONS)(
  'the answer “%s” has words of its own, with its instant where it has one',
  (reason) => {
    const plain = sayAnswer({ reason, at: null }, words);
    expect(plain.length).toBeGreaterThan(5);
    expect(sayAnswer({ reason, at: '2026-03-03T15:30:00Z' }, words)).toBe(`${plain} 15:30`);
    expect(sayAlike([end({ answers: [{ reason, at: '2026-03-03T15:30:00Z' }] })])).toBe(plain);
  },
);

test('no two answers are said alike', () => {
  const said = ANSWER_REASONS.map((reason) => sayAnswer({ reason, at: null }, words));
  expect(new Set(said).size).toBe(ANSWER_REASONS.length);
});

test.each<[hint: Parameters<typeof sayHint>[0], said: string]>([
  [
    { kind: 'badge-hop', at: '', names: ['Ada'], stations: ['Gate', 'Test'], count: 40 },
    'The badge of Ada was at Gate and Test within 40 s: see who had it.',
  ],
  [
    { kind: 'badge-pair', at: '', names: ['Ada', 'Bo'], stations: [], count: 7 },
    'The badges of Ada and Bo are always read together, 7 times: see whether one hand holds both.',
  ],
])('%j is told as “%s”', (hint, said) => expect(sayHint(hint)).toBe(said));
