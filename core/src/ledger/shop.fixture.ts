import fc from 'fast-check';
import { toRate } from '../money/money.ts';
import type { TechnicianId } from '../people/costRate.ts';
import { createZone } from '../time/zone.ts';
import { dated } from '../time/dated.ts';
import { toDay } from '../time/day.ts';
import { toInstant } from '../time/instant.ts';
import { toSeconds } from '../time/seconds.ts';
import { WORK_TYPES } from '../work/workType.ts';
import { DEFAULT_POLICY } from './facts.ts';
import type { AmendSet, Correction, Entry, EntryId, LaborEntry, TargetId } from './entries.ts';
import type { LedgerFacts, Policy, TargetFacts } from './facts.ts';

/** A small shop on paper for the tests of the ledger. */
export const technician = (name: string) => name as TechnicianId;
export const target = (name: string) => name as TargetId;
export const entryId = (name: string) => name as EntryId;

export const TECHNICIANS = ['ada', 'bo'].map(technician);
export const TARGETS = ['a', 'b', 'none', 'meeting', 'errand'].map(target);

const made = createZone('Europe/Helsinki');
if (!made.ok) throw new Error('zone');
export const zone = made.value;

/** Monday 2026-03-23, 00:00 in Helsinki; the clocks there change on the Sunday after it. */
export const MONDAY = zone.startOf(toDay(20_535));
export const HOUR = 3600;
export const clock = (hours: number, minutes = 0, seconds = 0) =>
  toInstant(MONDAY + hours * HOUR + minutes * 60 + seconds);

const task = (estimate: number): TargetFacts => ({
  kind: 'task',
  estimate: dated(toSeconds(estimate)),
  isReleased: dated(true),
});

export const factsWith = (policy: Partial<Policy> = {}): LedgerFacts => ({
  zone,
  policy: dated({ ...DEFAULT_POLICY, ...policy }),
  targets: new Map<TargetId, TargetFacts>([
    [target('a'), task(2 * HOUR)],
    [target('b'), task(HOUR)],
    [target('none'), task(0)],
    [target('meeting'), { kind: 'activity', counts: dated(true) }],
    [target('errand'), { kind: 'activity', counts: dated(false) }],
  ]),
  costRates: new Map([[technician('ada'), [{ from: toDay(20_000), rate: toRate(360_000) }]]]),
});

const anyTargets = fc.uniqueArray(fc.constantFrom(...TARGETS), { minLength: 1, maxLength: 3 });
const anyAt = fc.integer({ min: 0, max: 8 * 24 * 60 }).map((minutes) => toInstant(MONDAY + minutes * 60));
const anyWorkType = fc.constantFrom(...WORK_TYPES);
const anyPerson = fc.constantFrom(...TECHNICIANS);

type Body = Record<string, unknown>;
const bodies: fc.Arbitrary<Body>[] = [
  fc.record({
    type: fc.constantFrom('shift-in', 'shift-out', 'break-start', 'break-end'),
    at: anyAt,
    technician: anyPerson,
  }),
  fc.record({
    type: fc.constant('work-start'),
    at: anyAt,
    technician: anyPerson,
    targets: anyTargets,
    workType: anyWorkType,
    join: fc.boolean(),
  }),
  fc.record(
    {
      type: fc.constant('work-start'),
      at: anyAt,
      technician: anyPerson,
      targets: anyTargets,
      join: fc.boolean(),
      machine: fc.constantFrom('lathe', 'press'),
      chargeRate: fc.constantFrom('bench', 'callout', 'elsewhere'),
      payClass: fc.constantFrom('straight', 'overtime', 'double'),
    },
    { requiredKeys: ['type', 'at', 'technician', 'targets'] },
  ),
  fc.record({ type: fc.constant('work-start'), at: anyAt, technician: anyPerson, targets: anyTargets }),
  fc.record({ type: fc.constant('work-stop'), at: anyAt, technician: anyPerson }),
  fc.record({
    type: fc.constantFrom('work-stop', 'task-done'),
    at: anyAt,
    technician: anyPerson,
    targets: anyTargets,
  }),
  fc.record({
    type: fc.constant('hours'),
    technician: anyPerson,
    targets: anyTargets.map(([first]) => [first]),
    day: fc.integer({ min: 20_535, max: 20_543 }).map(toDay),
    seconds: fc.integer({ min: 1, max: 40_000 }).map(toSeconds),
  }),
];

/** Any journal of labor entries of two people in one week; ids are their places. */
export const anyEntries: fc.Arbitrary<readonly LaborEntry[]> = fc
  .array(fc.oneof(...bodies), { maxLength: 60 })
  .map((entries) => entries.map((entry, i) => ({ ...entry, id: entryId(`e${i}`) }) as LaborEntry));

/** A journal with corrections of its own entries behind it. */
export const anyJournal: fc.Arbitrary<readonly Entry[]> = anyEntries.chain((entries) =>
  entries.length === 0
    ? fc.constant<readonly Entry[]>(entries)
    : fc
        .array(anyCorrectionOf(entries), { maxLength: 12 })
        .map((corrections) => [
          ...entries,
          ...corrections.map((correction, i) => ({ ...correction, id: entryId(`c${i}`) }) as Entry),
        ]),
);

/** Any correction of one of these entries; an amendment sets only what its entry has. */
export const anyCorrectionOf = (entries: readonly LaborEntry[]): fc.Arbitrary<Correction> =>
  fc.constantFrom(...entries).chain((entry) =>
    fc.oneof(
      fc
        .constantFrom('void', 'restore')
        .map((type) => ({ id: entryId('c'), type, target: entry.id }) as Correction),
      anySetFor(entry).map(
        (set) => ({ id: entryId('c'), type: 'amend', target: entry.id, set }) as Correction,
      ),
    ),
  );

const anySetFor = (entry: LaborEntry): fc.Arbitrary<AmendSet> => {
  if (entry.type === 'hours')
    return fc.record({
      seconds: fc.integer({ min: 1, max: 9_000 }).map(toSeconds),
      workType: fc.constantFrom('rework', null),
    }) as fc.Arbitrary<AmendSet>;
  const when = { at: anyAt, technician: anyPerson };
  return (
    entry.type === 'work-start' ? fc.record({ ...when, targets: anyTargets }) : fc.record(when)
  ) as fc.Arbitrary<AmendSet>;
};

/** After everything that any of these journals holds. */
export const THE_END = clock(10 * 24);
