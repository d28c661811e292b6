import { useQueryClient } from '@tanstack/vue-query';
import { useThrottleFn } from '@vueuse/core';
import { ref } from 'vue';
import type { SessionView } from '@wergon/contract/access';
import { CallFailed, callRoute, forgetAnswers } from './callRoute.ts';
import { joinHeard, listenLive } from './live.ts';
import type { Heard } from './live.ts';
import { isQuick, isTouched } from './touches.ts';
import { untouchedMs, watchPresence } from './presence.ts';
import { useDesk } from './useDesk.ts';

/** How far a page has come: from its first question to the server to somebody who is signed in. */
export type Stage = 'opening' | 'unreachable' | 'first-run' | 'sign-in' | 'password-due' | 'open';
/** Why somebody who was signed in is so no longer. */
export type Ended = 'idle' | 'elsewhere' | null;

const LOOK_MS = 5_000;
const SLOW_MS = 1_000;

/** Signs a page in with the session that the browser has, or says what it needs first. */
export function useStart() {
  const desk = useDesk();
  const queries = useQueryClient();
  const stage = ref<Stage>('opening');
  const ended = ref<Ended>(null);
  const isDemo = ref(false);
  let listening: ReturnType<typeof listenLive> | undefined;

  function open(session: SessionView): void {
    desk.session = session;
    ended.value = null;
    stage.value = session.mustChangePassword ? 'password-due' : 'open';
    if (listening) {
      // Whatever was missed while nobody was signed in is asked for anew, and the stream is opened at once.
      listening.openAgain();
      void queries.invalidateQueries();
    } else listening = listenLive(hear);
  }
  let unasked: Heard | undefined;
  // What costs the server more is asked for at most so often, however much goes on.
  const askSlow = useThrottleFn(
    () => {
      const heard = unasked;
      unasked = undefined;
      if (heard !== undefined)
        void queries.invalidateQueries({
          predicate: ({ queryKey }) => !isQuick(queryKey) && isTouched(heard, queryKey),
        });
    },
    SLOW_MS,
    true,
  );
  function hear(heard: Heard): void {
    unasked = joinHeard(unasked, heard);
    void queries.invalidateQueries({ predicate: ({ queryKey }) => isQuick(queryKey) });
    void askSlow();
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
  function end(why: Ended): void {
    if (stage.value !== 'open' && stage.value !== 'password-due') return;
    ended.value = why;
    stage.value = 'sign-in';
    // What the last one saw is none of the next one's business.
    queries.clear();
    forgetAnswers();
  }
  // A session that ended elsewhere leads back to the sign-in, whichever page notices.
  queries.getQueryCache().config.onError = (error) => {
    if (error instanceof CallFailed && error.problem?.status === 401) end(ended.value ?? 'elsewhere');
  };

  /** A desk that nobody touches signs itself out at the time that the shop has set. */
  async function signOutIfIdle(): Promise<void> {
    const minutes = desk.session?.signOutMinutes ?? null;
    if (stage.value !== 'open' || minutes === null || untouchedMs() < minutes * 60_000) return;
    end('idle');
    await callRoute('signOut').catch(() => undefined);
  }
  watchPresence();
  setInterval(() => void signOutIfIdle(), LOOK_MS);
  return { stage, ended, isDemo, open, begin };
}
