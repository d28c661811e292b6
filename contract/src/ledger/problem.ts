import type { z } from 'zod';
import type { EntryErrorCode } from '@wergon/core/ledger';
import type { Params } from '@wergon/core/result';

/** One thing that is wrong with an input, and where. */
export type FieldProblem = { readonly field: string; readonly message: string };

/** Writes a path as people read it: `events[3].targets[0]`. */
export const formatPath = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : `${text}${text && '.'}${String(key)}`),
    '',
  );

/** What Zod found, one line a problem; unknown fields are named themselves, not their parent. */
export function fieldProblemsOf(error: z.ZodError): FieldProblem[] {
  return error.issues.flatMap((issue) =>
    issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => ({ field: formatPath([...issue.path, key]), message: 'unknown field' }))
      : [{ field: formatPath(issue.path), message: issue.message }],
  );
}

const ENTRY_WORDS: Record<EntryErrorCode, string> = {
  'entry.id_taken': 'this id was recorded before with other content',
  'entry.unknown_technician': 'no such technician',
  'entry.unknown_target': 'no such task or activity',
  'entry.corrects_unknown': 'no such entry recorded before',
  'entry.corrects_correction': 'a correction cannot be corrected',
  'entry.field_unknown': 'entries of this type have no such field',
  'entry.field_required': 'entries of this type need this field',
  'entry.target_count': 'not a number of targets that entries of this type can have',
};

/** Words for a refused entry, with the field at fault. */
export const entryProblem = (code: EntryErrorCode, params: Params): FieldProblem => ({
  field: String(params['field'] ?? 'id'),
  message: ENTRY_WORDS[code],
});
