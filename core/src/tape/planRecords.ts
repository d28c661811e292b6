import type { HoursEntry, TargetId } from '../ledger/index.ts';
import type { Change } from '../loose-ends/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { amendHours } from './hoursChange.ts';
import { planEdits } from './planEdit.ts';
import type { EditErrorCode, TapeEdit, TapeGround, TapePiece } from './tapeEdit.ts';
import { toInstant, toSeconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** What is done to several records at once: they never were, are somebody else's, were other work, or were so many
 *  seconds later (earlier, where it is negative). */
export type RecordsAct =
  | { readonly what: 'out' }
  | { readonly what: 'give'; readonly technician: TechnicianId }
  | { readonly what: 'work'; readonly target: TargetId; readonly workType: WorkType }
  | { readonly what: 'shift'; readonly seconds: number };

/** Stretches of the tape as they were shown, and lengths that were written down. */
export type Records = { readonly blocks: readonly TapePiece[]; readonly hours: readonly HoursEntry[] };

/** The entries and corrections that do one thing to several records, all or none. A length has no place on the tape, and
 *  so is never moved. A refusal's `field` names the
 *  record, or what of the act. Source: docs/reconcile.md. */
export function planRecords(
  { blocks, hours }: Records,
  act: RecordsAct,
  ground: TapeGround,
): Result<readonly Change[], EditErrorCode> {
  const closed = hours.findIndex(({ day }) => ground.closedUntil !== null && day <= ground.closedUntil);
  if (closed >= 0) return fail('edit.closed_day', { field: `hours[${closed}]` });
  if (hours.length > 0 && act.what === 'work' && ground.closedTargets.has(act.target))
    return fail('edit.closed_order', { field: 'act.target' });
  const edits = blocks.map((block): TapeEdit => ({ block, becomes: becomes(block, act) }));
  const planned = edits.length === 0 ? ok([]) : planEdits(edits, ground);
  // Blocks that are so already leave the lengths beside them.
  const isRest = !planned.ok && planned.code === 'edit.nothing';
  if (!planned.ok && !isRest)
    return fail(planned.code, { ...planned.params, field: `blocks[${planned.params['place'] ?? 0}]` });
  const changes = [...(planned.ok ? planned.value : []), ...hours.flatMap((entry) => changeOf(entry, act))];
  return changes.length === 0 ? fail('edit.nothing') : ok(changes);
}

function becomes(block: TapePiece, act: RecordsAct): readonly TapePiece[] {
  switch (act.what) {
    case 'out':
      return [];
    case 'give':
      return [{ ...block, technician: act.technician }];
    case 'work':
      return [{ ...block, running: [{ target: act.target, workType: act.workType }] }];
    case 'shift': {
      const to = block.to === null ? null : toInstant(block.to + act.seconds);
      return [{ ...block, from: toInstant(block.from + act.seconds), to }];
    }
  }
}

function changeOf(entry: HoursEntry, act: RecordsAct): readonly Change[] {
  switch (act.what) {
    case 'out':
      return amendHours(entry, { seconds: toSeconds(0) });
    case 'give':
      return amendHours(entry, { technician: act.technician });
    case 'work':
      return amendHours(entry, { target: act.target, workType: act.workType });
    case 'shift':
      return [];
  }
}
