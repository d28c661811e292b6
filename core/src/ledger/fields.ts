import { fail, keysOf, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import type { AmendSet, EntryType } from './entries.ts';

type Field = keyof AmendSet;
type Fields = {
  readonly required: readonly Field[];
  readonly optional: readonly Field[];
  readonly targets: readonly [least: number, most: number];
};

const ANY_NUMBER = Infinity;
const work = ['workType', 'join', 'reason', 'machine', 'chargeRate', 'override', 'payClass'] as const;
const shift: Fields = { required: ['at', 'technician'], optional: [], targets: [0, 0] };
const taskState: Fields = { required: ['at', 'targets'], optional: ['technician'], targets: [1, ANY_NUMBER] };

/** Which fields each type of entry has, and how many targets. Source: docs/ledger.md, section 3. */
export const ENTRY_FIELDS: Readonly<Record<EntryType, Fields>> = {
  'shift-in': shift,
  'shift-out': shift,
  'break-start': shift,
  'break-end': shift,
  'work-start': { required: ['at', 'technician', 'targets'], optional: work, targets: [1, ANY_NUMBER] },
  'work-stop': { required: ['at', 'technician'], optional: ['targets'], targets: [1, ANY_NUMBER] },
  'task-done': taskState,
  'task-reopen': taskState,
  hours: {
    required: ['technician', 'targets', 'day', 'seconds'],
    optional: ['workType', 'machine', 'chargeRate', 'payClass'],
    targets: [1, 1],
  },
  count: {
    required: ['at', 'technician', 'targets', 'good', 'scrap'],
    optional: ['reason'],
    targets: [1, 1],
  },
  note: { required: ['at', 'text'], optional: ['technician', 'targets'], targets: [0, 1] },
};

export type FieldProblem = 'entry.field_unknown' | 'entry.field_required' | 'entry.target_count';

/** Whether an amendment fits the type of the entry it amends: only fields that type has, none of the required ones
 *  made absent, and as many targets as the type allows. */
export function checkAmendment(type: EntryType, set: AmendSet): Result<undefined, FieldProblem> {
  const { required, optional, targets } = ENTRY_FIELDS[type];
  for (const name of keysOf<Field>(set)) {
    const value: unknown = set[name];
    const field = `set.${name}`;
    if (!required.includes(name) && !optional.includes(name))
      return fail('entry.field_unknown', { field, type });
    if (value === null && required.includes(name)) return fail('entry.field_required', { field, type });
    if (name === 'targets' && Array.isArray(value)) {
      const [least, most] = targets;
      if (value.length < least || value.length > most) return fail('entry.target_count', { field, type });
    }
  }
  return ok(undefined);
}
