import { computed, ref } from 'vue';
import type { PresenceEditJson, PresentJson } from '@wergon/contract/tape';
import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { callRoute } from '../kit/index.ts';
import type { Undoable } from '../loose-ends/index.ts';

type Kind = PresenceEditJson['kind'];
type Allocation = { from: Instant; to: Instant | null };
type Draft = {
  technician: string;
  kind: Kind;
  was: Allocation | null;
  becomes: Allocation | null;
  reason: string;
};

/** A shift or a break while it is put right: what it was, and what it becomes. */
export function usePresenceEdit(acts: Undoable) {
  const draft = ref<Draft | null>(null);
  const write = (piece: Allocation | null) =>
    piece && { from: formatInstant(piece.from), to: piece.to === null ? null : formatInstant(piece.to) };
  /** The edit as it is sent; absent while it changes nothing. */
  const body = computed((): PresenceEditJson | undefined => {
    const now = draft.value;
    if (!now) return undefined;
    const [was, becomes] = [write(now.was), write(now.becomes)];
    const { technician, kind, reason } = now;
    return JSON.stringify(was) === JSON.stringify(becomes)
      ? undefined
      : { technician, kind, was, becomes, reason };
  });
  function clear(): void {
    draft.value = null;
    acts.clearProblem();
  }
  return {
    draft,
    body,
    clear,
    take(technician: string, kind: Kind, { from, to, isOpen }: PresentJson): void {
      clear();
      const piece = (): Allocation => ({ from, to: isOpen ? null : to });
      draft.value = { technician, kind, was: piece(), becomes: piece(), reason: '' };
    },
    begin(technician: string, kind: Kind, piece: Allocation): void {
      clear();
      draft.value = { technician, kind, was: null, becomes: piece, reason: '' };
    },
    drop(): void {
      if (draft.value?.was) draft.value.becomes = null;
      else clear();
    },
    confirm: async (words: string) => {
      const [edit, sent] = [body.value, draft.value];
      const isDone = edit && (await acts.make(words, () => callRoute('editPresence', { body: edit })));
      // What was begun while this was being stored is another edit, and stays.
      if (isDone && draft.value === sent) clear();
    },
  };
}
export type PresenceEditing = ReturnType<typeof usePresenceEdit>;
