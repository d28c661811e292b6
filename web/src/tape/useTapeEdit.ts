import { computed, ref } from 'vue';
import type { TapeEditJson } from '@wergon/contract/tape';
import { formatInstant, toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import { callRoute } from '../kit/index.ts';
import type { Undoable } from '../loose-ends/index.ts';
import type { TapeBlock } from './usePersonDay.ts';

/** A stretch as it is being drawn; it goes on where `to` is `null`. */
export type DraftPiece = {
  technician: string;
  from: Instant;
  to: Instant | null;
  running: { target: string; workType: WorkType; title: string; order: string | null }[];
};

type Draft = { block: DraftPiece | null; becomes: DraftPiece[]; reason: string };

/** Whether an edit makes of a block something else than it is. */
export const changes = ({ block, becomes }: TapeEditJson): boolean =>
  JSON.stringify(becomes) !== JSON.stringify(block ? [block] : []);

/** An edit of the tape while it is drawn: what is taken hold of, and what it becomes. */
export function useTapeEdit(acts: Undoable) {
  const draft = ref<Draft | null>(null);

  const write = ({ technician, from, to, running }: DraftPiece) => ({
    technician,
    from: formatInstant(from),
    to: to === null ? null : formatInstant(to),
    running: running.map(({ target, workType }) => ({ target, workType })),
  });
  /** The edit as it is sent; absent while something of it is missing. */
  const body = computed((): TapeEditJson | undefined => {
    const now = draft.value;
    if (!now || now.becomes.some(({ running }) => running.some(({ target }) => target === '')))
      return undefined;
    return {
      block: now.block && write(now.block),
      becomes: now.becomes.map(write),
      reason: now.reason,
    };
  });
  const isChanged = computed(() => body.value !== undefined && changes(body.value));

  function clear(): void {
    draft.value = null;
    acts.clearProblem();
  }

  return {
    draft,
    body,
    isChanged,
    clear,
    take(technician: string, { stint, from, to }: TapeBlock): void {
      clear();
      const piece = (): DraftPiece => ({
        technician,
        from,
        // What the rule has cut ended there, as far as the tape goes.
        to: stint.isOpen && !stint.isTorn ? null : to,
        running: stint.running.map((run) => ({ ...run })),
      });
      draft.value = { block: piece(), becomes: [piece()], reason: '' };
    },
    begin(technician: string, from: Instant, to: Instant | null): void {
      clear();
      const running = [{ target: '', workType: 'run' as const, title: '', order: null }];
      draft.value = { block: null, becomes: [{ technician, from, to, running }], reason: '' };
    },
    split(place: number, now: Instant): void {
      const piece = draft.value?.becomes[place];
      if (!draft.value || !piece) return;
      const end = piece.to ?? now;
      const middle = toInstant(Math.round((piece.from + (end - piece.from) / 2) / 60) * 60);
      const second = {
        ...piece,
        from: middle,
        running: [{ target: '', workType: 'run' as const, title: '', order: null }],
      };
      draft.value.becomes.splice(place, 1, { ...piece, to: middle }, second);
    },
    drop(place: number): void {
      draft.value?.becomes.splice(place, 1);
    },
    confirm: async (words: string) => {
      const [edit, sent] = [body.value, draft.value];
      const isDone = edit && (await acts.make(words, () => callRoute('editTape', { body: edit })));
      // What was begun while this was being stored is another edit, and stays.
      if (isDone && draft.value === sent) clear();
    },
  };
}
export type TapeEditing = ReturnType<typeof useTapeEdit>;
