import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import type { SessionView } from '@wergon/contract/access';
import { CallFailed, callRoute } from './callRoute.ts';
import { listenLive } from './live.ts';
import { useDesk } from './useDesk.ts';

/** How far a page has come: from its first question to the server to somebody who is signed in. */
export type Stage = 'opening' | 'unreachable' | 'first-run' | 'sign-in' | 'open';

/** Signs a page in with the session that the browser has, or says what it needs first. */
export function useStart() {
  const desk = useDesk();
  const queries = useQueryClient();
  const stage = ref<Stage>('opening');
  const isDemo = ref(false);
  let isListening = false;

  function open(session: SessionView): void {
    desk.session = session;
    stage.value = 'open';
    if (!isListening) listenLive(() => void queries.invalidateQueries());
    isListening = true;
  }
  async function begin(): Promise<void> {
    try {
      const start = await callRoute('start');
      isDemo.value = start.isDemo;
      if (start.needsFirstRun) stage.value = 'first-run';
      else open(await callRoute('session'));
    } catch (error) {
      stage.value = error instanceof CallFailed && error.problem ? 'sign-in' : 'unreachable';
    }
  }
  // A session that ended elsewhere leads back to the sign-in, whichever page notices.
  queries.getQueryCache().config.onError = (error) => {
    if (error instanceof CallFailed && error.problem?.status === 401) stage.value = 'sign-in';
  };
  return { stage, isDemo, open, begin };
}
