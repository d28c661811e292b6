import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { wordsOf } from '../desk/callRoute.ts';

/** Runs one act of a form: one at a time, with its refusal in words, and everything shown asked for anew. */
export function useAct() {
  const queries = useQueryClient();
  const problem = ref('');
  const isBusy = ref(false);
  async function act<T>(work: () => Promise<T>): Promise<T | undefined> {
    if (isBusy.value) return undefined;
    isBusy.value = true;
    problem.value = '';
    try {
      const result = await work();
      await queries.invalidateQueries();
      return result;
    } catch (error) {
      problem.value = wordsOf(error);
      return undefined;
    } finally {
      isBusy.value = false;
    }
  }
  return { act, problem, isBusy };
}
