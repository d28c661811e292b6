import type { FieldProblem } from '../wire/index.ts';
import type { EntryErrorCode } from '@wergon/core/ledger';
import type { Params } from '@wergon/core/result';

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
