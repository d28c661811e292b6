import { reactive } from 'vue';
import { callRoute, wordsOf } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** Walks the journal's chain part by part on the server, so that it can be seen and stopped. */
export function useVerify() {
  const state = reactive<{ status: 'idle' | 'running' | 'whole' | 'broken'; words: string }>({
    status: 'idle',
    words: '',
  });
  let isStopped = false;

  async function verify(): Promise<void> {
    isStopped = false;
    Object.assign(state, { status: 'running', words: t('ledger.walkingTheChain') });
    let [after, hash] = [0, ''];
    try {
      while (!isStopped) {
        const part = await callRoute('verifyChain', { body: { after, hash } });
        if (part.broken !== null) {
          const words = t('ledger.theChainBreaksAtEntryTheBefore', { broken: part.broken, n: part.count });
          Object.assign(state, { status: 'broken', words });
          return;
        }
        if (part.count === after) {
          const words = t('ledger.theChainOfEntriesHoldsItsHead', { n: part.count, hash: part.hash });
          Object.assign(state, { status: 'whole', words });
          return;
        }
        [after, hash] = [part.count, part.hash];
        state.words = t('ledger.ofEntriesHold', { n: part.count, total: part.total });
      }
      Object.assign(state, { status: 'idle', words: t('ledger.stoppedAfterEntriesTheyHold', { after }) });
    } catch (error) {
      Object.assign(state, { status: 'idle', words: wordsOf(error) });
    }
  }
  return { state, verify, cancel: () => (isStopped = true) };
}
