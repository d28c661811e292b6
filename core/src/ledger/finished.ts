import type { TechnicianId } from '../people/index.ts';
import { inForceAt } from '../time/index.ts';
import type { Instant } from '../time/index.ts';
import { targetsOf } from './entries.ts';
import { inOrderOfTime } from './effective.ts';
import type { LaborEntry, TargetId, TaskStateEntry, WorkStartEntry } from './entries.ts';
import type { LedgerFacts } from './facts.ts';
import type { LooseEnd } from './looseEnd.ts';
import type { Stint } from './stint.ts';

/** Entries that say something of a task's being finished, or that would be wrong if it is. */
export type TaskEntry = TaskStateEntry | WorkStartEntry;

/** Whether an entry belongs to the story of its tasks. */
export const isTaskEntry = (entry: LaborEntry): entry is TaskEntry =>
  entry.type === 'task-done' || entry.type === 'task-reopen' || entry.type === 'work-start';

/** Which tasks are finished after these entries, and which labor started on one that was. Wants the entries in the
 *  order of recording; an activity is never finished. Source: docs/ledger.md, sections 3 and 8. */
export function deriveFinished(
  entries: readonly TaskEntry[],
  facts: LedgerFacts,
): { readonly finished: ReadonlyMap<TargetId, Instant>; readonly looseEnds: LooseEnd[] } {
  const finished = new Map<TargetId, Instant>();
  const looseEnds: LooseEnd[] = [];
  for (const entry of inOrderOfTime(entries)) {
    for (const target of targetsOf(entry)) {
      if (facts.targets.get(target)?.kind !== 'task') continue;
      if (entry.type === 'task-done') finished.set(target, entry.at);
      else if (entry.type === 'task-reopen') finished.delete(target);
      else if (finished.has(target)) looseEnds.push(startedAfterDone(entry, entry.technician, target));
    }
  }
  return { finished, looseEnds };
}

const startedAfterDone = (entry: WorkStartEntry, technician: TechnicianId, target: TargetId): LooseEnd => ({
  kind: 'after-done',
  technician,
  target,
  entries: [entry.id],
  from: entry.at,
});

/** Labor on tasks whose order was not released when the stint began. Source: docs/ledger.md, section 8. */
export function findNotReleased(stints: readonly Stint[], facts: LedgerFacts): LooseEnd[] {
  const looseEnds: LooseEnd[] = [];
  for (const { technician, from, to, running, opened } of stints)
    for (const { target } of running) {
      const known = facts.targets.get(target);
      if (known?.kind === 'task' && !inForceAt(known.isReleased, from))
        looseEnds.push({ kind: 'not-released', technician, target, entries: [opened], from, to });
    }
  return looseEnds;
}
