<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { useQueryClient } from '@tanstack/vue-query';
import { onMounted, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { SessionView } from '@wergon/contract/access';
import { FirstRunPage, PasswordDuePage, SignInPage } from '../access/index.ts';
import { forgetWall } from '../floor/index.ts';
import { callRoute, useDesk, useStart } from '../kit/index.ts';
import DeskRail from './DeskRail.vue';
import { DiskWarning } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const queries = useQueryClient();
const router = useRouter();
const { stage, ended, isDemo, open, begin } = useStart();

/** A new shop begins where what is missing stands. */
function openNew(session: SessionView): void {
  open(session);
  void router.push('/shop');
}

async function signOut(): Promise<void> {
  await callRoute('signOut').catch(() => undefined);
  await forgetWall();
  desk.session = null;
  queries.clear();
  stage.value = 'sign-in';
}
// Whoever sees nothing of others begins with their own time instead of the floor.
watch(stage, (now) => {
  const isOwnOnly = desk.may('own.time') && !desk.may('floor.see');
  if (now === 'open' && isOwnOnly && router.currentRoute.value.path === '/floor') void router.replace('/own');
});
onMounted(begin);
</script>

<template>
  <div v-if="stage === 'open'" class="desk">
    <DiskWarning />
    <DeskRail @sign-out="signOut" />
    <RouterView />
  </div>
  <FirstRunPage v-else-if="stage === 'first-run'" @done="openNew" />
  <SignInPage v-else-if="stage === 'sign-in'" :is-demo="isDemo" :ended="ended" @done="open" />
  <PasswordDuePage v-else-if="stage === 'password-due'" is-due @done="begin" @sign-out="signOut" />
  <main v-else class="wait" role="status">
    <template v-if="stage === 'opening'">{{ t('common.opening') }}</template>
    <template v-else>
      <p>{{ t('common.theServerDoesNotAnswer') }}</p>
      <BButton variant="quiet" @click="begin">{{ t('common.tryAgain') }}</BButton>
    </template>
  </main>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: var(--rail-width) minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  height: 100%;
}
.wait {
  padding: 48px;
  font-size: var(--text-2xl);
}
@media (max-width: 760px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto minmax(0, 1fr);
  }
}
</style>
