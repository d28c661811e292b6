import { useMutation } from '@tanstack/vue-query';
import { computed } from 'vue';
import { wordsOf } from './callRoute.ts';

/** Runs one act of a page: one at a time, with its refusal in words. */
export function useAct() {
  /** The id of what is being sent: it stays until that is known to be recorded, so that sent again it is so once. */
  let once: string = crypto.randomUUID();
  const mutation = useMutation({
    // A desk without the server is told so; nothing is sent later, unseen.
    networkMode: 'always',
    mutationFn: (work: (once: string) => Promise<unknown>) => work(once),
    onSuccess: () => {
      once = crypto.randomUUID();
    },
  });
  async function act<T>(work: (once: string) => Promise<T>): Promise<T | undefined> {
    if (mutation.isPending.value) return undefined;
    let answer: T | undefined;
    await mutation.mutateAsync(async (id) => (answer = await work(id))).catch(() => undefined);
    return answer;
  }
  return {
    act,
    problem: computed(() => (mutation.error.value ? wordsOf(mutation.error.value) : '')),
    isBusy: mutation.isPending,
  };
}
