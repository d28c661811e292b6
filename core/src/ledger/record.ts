import { fail, ok } from '../result/index.ts';
import type { Params, Result } from '../result/index.ts';
import { isCorrection, targetsOf, technicianOf } from './entries.ts';
import { checkAmendment } from './fields.ts';
import type { AmendSet, Entry, EntryId, EntryType, TargetId } from './entries.ts';
import type { TechnicianId } from '../people/index.ts';

/** Why an entry cannot be recorded. A shipped code is never used for anything else. */
export const ENTRY_ERROR_CODES = [
  'entry.id_taken',
  'entry.unknown_technician',
  'entry.unknown_target',
  'entry.corrects_unknown',
  'entry.corrects_correction',
  'entry.field_unknown',
  'entry.field_required',
  'entry.target_count',
] as const;
export type EntryErrorCode = (typeof ENTRY_ERROR_CODES)[number];

/** What must be known of the shop and of the journal so far to judge a new entry. */
export type Recorded = {
  readonly hasTechnician: (id: TechnicianId) => boolean;
  readonly hasTarget: (id: TargetId) => boolean;
  /** The type of an entry recorded before; absent when there is none of that id. */
  readonly findType: (id: EntryId) => Entry['type'] | undefined;
};

/** Whether an entry can be recorded: everything it names exists. Whether it should have happened is not asked here;
 *  that becomes a loose end. Params name the `field` at fault. Source: docs/ledger.md, section 3. */
export function checkEntry(entry: Entry, recorded: Recorded): Result<undefined, EntryErrorCode> {
  if (!isCorrection(entry)) {
    const technician = technicianOf(entry);
    return checkNames(recorded, 'technician' in entry ? technician : undefined, targetsOf(entry), '');
  }
  const type = recorded.findType(entry.target);
  if (type === undefined) return fail('entry.corrects_unknown', { field: 'target', id: entry.target });
  if (type === 'void' || type === 'restore' || type === 'amend')
    return fail('entry.corrects_correction', { field: 'target', id: entry.target });
  return entry.type === 'amend' ? checkSet(type, entry.set, recorded) : ok(undefined);
}

function checkSet(type: EntryType, set: AmendSet, recorded: Recorded): Result<undefined, EntryErrorCode> {
  const fits = checkAmendment(type, set);
  return fits.ok ? checkNames(recorded, set.technician, set.targets, 'set.') : fits;
}

function checkNames(
  recorded: Recorded,
  technician: TechnicianId | null | undefined,
  targets: readonly TargetId[] | null | undefined,
  prefix: string,
): Result<undefined, EntryErrorCode> {
  const refuse = (code: EntryErrorCode, params: Params) => fail(code, params);
  if (technician != null && !recorded.hasTechnician(technician))
    return refuse('entry.unknown_technician', { field: `${prefix}technician`, id: technician });
  const unknown = (targets ?? []).findIndex((target) => !recorded.hasTarget(target));
  if (unknown >= 0)
    return refuse('entry.unknown_target', {
      field: `${prefix}targets[${unknown}]`,
      id: targets?.[unknown] ?? '',
    });
  return ok(undefined);
}

/** JSON in one fixed form (RFC 8785): keys sorted by code unit, numbers and strings as JSON.stringify writes them. */
export const canonicalJson = (value: unknown): string =>
  JSON.stringify(value, (_key, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  );

/** Whether two recorded bodies are the same entry: the same JSON, key order aside. */
export const isSameContent = (a: unknown, b: unknown): boolean => canonicalJson(a) === canonicalJson(b);
