import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { wordsOf } from './callRoute.ts';

/** Runs one act of a form: one at a time, with its refusal in words, and everything shown asked for anew. */
export function useAct() {
  const queries = useQueryClient();
  const problem = ref('');
  const isBusy = ref(false);
  /** The id of what is being sent: it stays until that is known to be recorded, so that sent again it is so once. */
  let once: string = crypto.randomUUID();
  async function act<T>(work: (once: string) => Promise<T>): Promise<T | undefined> {
    if (isBusy.value) return undefined;
    isBusy.value = true;
    problem.value = '';
    try {
      const result = await work(once);
      once = crypto.randomUUID();
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
