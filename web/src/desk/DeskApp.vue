<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { SessionView } from '@wergon/contract/access';
import FirstRunPage from '../access/FirstRunPage.vue';
import SignInPage from '../access/SignInPage.vue';
import { CallFailed, callRoute } from './callRoute.ts';
import DeskRail from './DeskRail.vue';
import { listenLive } from './live.ts';
import { useDesk } from './useDesk.ts';

const desk = useDesk();
const queries = useQueryClient();
const router = useRouter();
const stage = ref<'opening' | 'unreachable' | 'first-run' | 'sign-in' | 'open'>('opening');
const isDemo = ref(false);
let isListening = false;

function open(session: SessionView): void {
  desk.session = session;
  stage.value = 'open';
  if (!isListening) listenLive(() => void queries.invalidateQueries());
  isListening = true;
}

/** A new shop begins where what is missing stands. */
function openNew(session: SessionView): void {
  open(session);
  void router.push('/shop');
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

async function signOut(): Promise<void> {
  await callRoute('signOut').catch(() => undefined);
  desk.session = null;
  queries.clear();
  stage.value = 'sign-in';
}

// A session that ended elsewhere leads back to the sign-in, whichever page notices.
queries.getQueryCache().config.onError = (error) => {
  if (error instanceof CallFailed && error.problem?.status === 401) stage.value = 'sign-in';
};
onMounted(begin);
</script>

<template>
  <RouterView v-if="stage === 'open' && $route.meta['isWall']" />
  <div v-else-if="stage === 'open'" class="desk">
    <DeskRail @sign-out="signOut" />
    <RouterView />
  </div>
  <FirstRunPage v-else-if="stage === 'first-run'" @done="openNew" />
  <SignInPage v-else-if="stage === 'sign-in'" :is-demo="isDemo" @done="open" />
  <main v-else class="wait" role="status">
    <template v-if="stage === 'opening'">Opening…</template>
    <template v-else>
      <p>The server does not answer.</p>
      <button type="button" class="btn btn-quiet" @click="begin">Try again</button>
    </template>
  </main>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: var(--rail-width) minmax(0, 1fr);
  height: 100%;
}
.wait {
  padding: 48px;
  font-size: 20px;
}
@media (max-width: 760px) {
  .desk {
    grid-template-columns: 1fr;
    grid-template-rows: auto minmax(0, 1fr);
  }
}
</style>
