import { isCorrection, undoOfAmend } from '../ledger/index.ts';
import type { Entry, EntryId, LaborEntry } from '../ledger/index.ts';
import type { Change } from './likelyAnswers.ts';

/** What takes a group of changes back: an added entry is voided, an amendment amended to the values before it, a void
 *  restored; the last change first. `findBefore` gives an entry as it counted before the group.
 *  Source: docs/ledger.md, section 3. */
export const undoOf = (
  made: readonly Entry[],
  findBefore: (id: EntryId) => LaborEntry | undefined,
): readonly Change[] =>
  [...made].reverse().flatMap((entry): Change[] => {
    if (!isCorrection(entry)) return [{ type: 'void', target: entry.id }];
    const { target } = entry;
    if (entry.type !== 'amend') return [{ type: entry.type === 'void' ? 'restore' : 'void', target }];
    const before = findBefore(target);
    return before ? [{ type: 'amend', target, set: undoOfAmend(before, entry.set) }] : [];
  });
