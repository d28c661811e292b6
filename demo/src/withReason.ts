import { targetId } from './ids.ts';
import { REASONS } from './sampleLists.ts';

/** Why work stood still or was done again, as the stations ask. */
export function withReason<E extends { readonly id: string; readonly type: string }>(entry: E): E {
  if (entry.type !== 'work-start') return entry;
  const { workType, targets } = entry as { workType?: string; targets?: readonly string[] };
  const list =
    workType === 'rework'
      ? 'rework-reason'
      : targets?.includes(targetId('waiting'))
        ? 'down-reason'
        : undefined;
  if (list === undefined) return entry;
  const reasons = REASONS[list];
  return { ...entry, reason: reasons[entry.id.charCodeAt(entry.id.length - 1) % reasons.length] };
}
