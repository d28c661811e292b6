import { targetsOf } from '../ledger/index.ts';
import type { LaborEntry, Running, TargetId } from '../ledger/index.ts';
import type { Change } from '../loose-ends/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { planEdits } from './planEdit.ts';
import type { EditErrorCode, TapeEdit, TapeGround } from './tapeEdit.ts';
import { strandsOf } from './timeline.ts';

/** Puts all that `entries` say of one task onto another: work that was written down at a station before anybody knew which
 *  task it was. Who ran what when stays as it is, to the second; lengths, pieces, notes and the word that it is finished go
 *  along. `entries` are all that name the task; the ground covers their days and people. Source: docs/reconcile.md. */
export function planTie(
  from: TargetId,
  to: TargetId,
  entries: readonly LaborEntry[],
  ground: TapeGround,
): Result<readonly Change[], EditErrorCode> {
  if (ground.closedTargets.has(to)) return fail('edit.closed_order');
  const people = new Set(entries.flatMap(({ technician }) => technician ?? []));
  const edits = [...people].flatMap((technician) =>
    strandsOf(technician, ground.entries, ground)
      .stints.filter(({ running }) => running.some(({ target }) => target === from))
      .map((stint): TapeEdit => {
        const block = { ...stint, to: stint.open && !stint.capped ? null : stint.to };
        return { block, becomes: [{ ...block, running: tied(stint.running, from, to) }] };
      }),
  );
  const planned = edits.length === 0 ? ok([]) : planEdits(edits, ground);
  if (!planned.ok) return planned;
  const changes = [...planned.value, ...entries.flatMap((entry) => sayElsewhere(entry, from, to))];
  return changes.length === 0 ? fail('edit.nothing') : ok(changes);
}

/** Work with one task in the place of another; where both ran they are one. */
const tied = (running: readonly Running[], from: TargetId, to: TargetId): readonly Running[] =>
  running.flatMap((run) => {
    if (run.target !== from) return [run];
    return running.some(({ target }) => target === to) ? [] : [{ ...run, target: to }];
  });

/** What is said of a task beside who ran it. */
function sayElsewhere(entry: LaborEntry, from: TargetId, to: TargetId): Change[] {
  if (entry.type === 'work-start' || entry.type === 'work-stop') return [];
  const named = targetsOf(entry);
  if (!named.includes(from)) return [];
  // Whoever finished it stopped it so: that stays, and its task is told to be finished as well.
  if (entry.type === 'task-done' || entry.type === 'task-reopen')
    return [{ type: entry.type, at: entry.at, targets: [to] }];
  const targets = [...new Set(named.map((each) => (each === from ? to : each)))];
  return [{ type: 'amend', target: entry.id, set: { targets } }];
}
