import { reactive } from 'vue';
import { callRoute, wordsOf } from '../kit/index.ts';

/** Walks the journal's chain part by part on the server, so that it can be seen and stopped. */
export function useVerify() {
  const state = reactive<{ status: 'idle' | 'running' | 'whole' | 'broken'; words: string }>({
    status: 'idle',
    words: '',
  });
  let isStopped = false;

  async function verify(): Promise<void> {
    isStopped = false;
    Object.assign(state, { status: 'running', words: 'Walking the chain…' });
    let [after, hash] = [0, ''];
    try {
      while (!isStopped) {
        const part = await callRoute('verifyChain', { body: { after, hash } });
        if (part.broken !== null) {
          const words = `The chain breaks at entry ${part.broken}; the ${part.count} before it hold.`;
          Object.assign(state, { status: 'broken', words });
          return;
        }
        if (part.count === after) {
          const words = `The chain of ${part.count} entries holds. Its head: ${part.hash}`;
          Object.assign(state, { status: 'whole', words });
          return;
        }
        [after, hash] = [part.count, part.hash];
        state.words = `${part.count} of ${part.total} entries hold…`;
      }
      Object.assign(state, { status: 'idle', words: `Stopped after ${after} entries; they hold.` });
    } catch (error) {
      Object.assign(state, { status: 'idle', words: wordsOf(error) });
    }
  }
  return { state, verify, cancel: () => (isStopped = true) };
}
