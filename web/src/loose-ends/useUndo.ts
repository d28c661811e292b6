import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { sayFieldProblem } from '../words/index.ts';
import { CallFailed, callRoute, sayRefusal } from '../kit/index.ts';

/** What was recorded on a page, each act with what takes it back: one act at a time, its refusal in words and by
 *  field, and everything shown asked for anew. The last act can be undone, then the one before it. */
export function useUndo() {
  const queries = useQueryClient();
  const made = ref<{ readonly words: string; readonly entries: string[] }[]>([]);
  const isBusy = ref(false);
  const problem = ref('');
  /** The id of the act that is being sent: it stays until that is known to be recorded. */
  let once: string = crypto.randomUUID();
  /** What was refused of each field, by its path. */
  const errors = ref<Readonly<Record<string, string>>>({});

  function clearProblem(): void {
    problem.value = '';
    errors.value = {};
  }
  /** Runs an act that leaves nothing to undo; whether it was done. */
  async function run(work: () => Promise<unknown>): Promise<boolean> {
    if (isBusy.value) return false;
    isBusy.value = true;
    clearProblem();
    try {
      await work();
      return true;
    } catch (error) {
      const told = error instanceof CallFailed ? error.problem : null;
      errors.value = Object.fromEntries(
        (told?.errors ?? []).map(({ field, message }) => [field, sayFieldProblem(message)]),
      );
      problem.value = sayRefusal(error);
      return false;
    } finally {
      isBusy.value = false;
      await queries.invalidateQueries();
    }
  }
  return {
    made,
    isBusy,
    problem,
    errors,
    clearProblem,
    run,
    make: (words: string, work: (once: string) => Promise<{ readonly entries: string[] }>) =>
      run(async () => {
        const { entries } = await work(once);
        once = crypto.randomUUID();
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
export type Undoable = ReturnType<typeof useUndo>;
