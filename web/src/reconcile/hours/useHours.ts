import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import type { EnterHours } from '@wergon/contract/reconcile';
import { CallFailed, callRoute, wordsOf } from '../../desk/callRoute.ts';

type Row = EnterHours['rows'][number];

/** Lengths of time written down on a page: sent at once, with what takes them back and what the server refused. */
export function useHours() {
  const queries = useQueryClient();
  const isBusy = ref(false);
  const problem = ref('');
  /** What was refused of each field, by its path. */
  const errors = ref<Readonly<Record<string, string>>>({});
  const made = ref<{ readonly words: string; readonly entries: string[] }[]>([]);

  async function run(work: () => Promise<void>): Promise<boolean> {
    if (isBusy.value) return false;
    isBusy.value = true;
    problem.value = '';
    errors.value = {};
    try {
      await work();
      return true;
    } catch (error) {
      const told = error instanceof CallFailed ? error.problem : null;
      errors.value = Object.fromEntries((told?.errors ?? []).map(({ field, message }) => [field, message]));
      problem.value = told
        ? [told.title, ...(told.errors ?? []).map(({ message }) => message)].join(': ')
        : wordsOf(error);
      return false;
    } finally {
      isBusy.value = false;
      await queries.invalidateQueries();
    }
  }
  return {
    isBusy,
    problem,
    errors,
    made,
    enter: (rows: readonly Row[], words: string, drafts: string[] = []) =>
      run(async () => {
        const { entries } = await callRoute('enterHours', { body: { rows: [...rows], drafts, reason: '' } });
        made.value = [...made.value, { words, entries }];
      }),
    undo: () =>
      run(async () => {
        const last = made.value.at(-1);
        if (!last) return;
        await callRoute('undoAnswer', { body: { entries: last.entries } });
        made.value = made.value.slice(0, -1);
      }),
  };
}
