import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { ENTRY_FIELDS } from '@wergon/core/ledger';
import { FLOOR_ENTRY_TYPES } from '@wergon/core/station';
import { sayChange, sayEntryType } from './entryWords.ts';

const DECISIONS = ['accept', 'withdraw', 'approve', 'unapprove', 'confirm', 'close', 'reopen'];

test.each([...Object.keys(ENTRY_FIELDS), ...FLOOR_ENTRY_TYPES, 'answer', ...DECISIONS])(
  'an entry of type %s is told in the shop’s words',
  (type) => expect(sayEntryType(type)).toMatch(/^[a-z][a-z ]+$/),
);

const clock = (at: Instant) => formatInstant(at).slice(11, 16);
test.each<[field: string, before: string, after: string, said: string, why: string]>([
  ['at', '2026-03-02T07:00:00Z', '2026-03-02T07:30:00Z', 'time 07:00 became 07:30', 'a time by the clock'],
  ['workType', 'run', 'rework', 'kind of work run became rework', 'a kind of work'],
  ['workType', 'rework', '', 'kind of work rework became none', 'what was taken out'],
  ['seconds', '60', '120', 'length 0:01:00 became 0:02:00', 'a length'],
  ['technician', 't1', 't2', 'another person', 'ids are nobody’s words'],
  ['targets', '["a"]', '["b"]', 'another work', 'of targets neither'],
  ['chargeRate', '', 'x', 'chargeRate none became x', 'a field without words by its name'],
])('%s from “%s” to “%s” is said as “%s”: %s', (field, before, after, said) =>
  expect(sayChange({ field, before, after }, clock)).toBe(said),
);
