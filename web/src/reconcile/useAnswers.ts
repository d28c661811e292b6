import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import type { Acceptance, ChosenAnswer } from '@wergon/contract/reconcile';
import { callRoute, wordsOf } from '../desk/callRoute.ts';

/** Answers given on this page, each with what takes it back; the last can be undone, then the one before it. */
export function useAnswers() {
  const queries = useQueryClient();
  const made = ref<{ readonly words: string; readonly entries: string[] }[]>([]);
  const isBusy = ref(false);
  const problem = ref('');

  async function run(work: () => Promise<void>): Promise<void> {
    if (isBusy.value) return;
    isBusy.value = true;
    problem.value = '';
    try {
      await work();
    } catch (error) {
      problem.value = wordsOf(error);
    } finally {
      isBusy.value = false;
      await queries.invalidateQueries();
    }
  }

  return {
    made,
    isBusy,
    problem,
    answer: (answers: ChosenAnswer[], words: string) =>
      run(async () => {
        const { entries } = await callRoute('answerLooseEnd', { body: { answers } });
        made.value = [...made.value, { words, entries }];
      }),
    accept: (acceptance: Acceptance) =>
      run(async () => {
        await callRoute('acceptLooseEnd', { body: acceptance });
      }),
    withdraw: (id: string) =>
      run(async () => {
        await callRoute('withdrawAcceptance', { body: { id } });
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
