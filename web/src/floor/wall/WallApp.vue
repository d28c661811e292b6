<script setup lang="ts">
import { onMounted, shallowRef } from 'vue';
import { SignInPage } from '../../access/index.ts';
import { clockOffsetMs, useStart } from '../../kit/index.ts';
import { DiskWarning } from '../../kit/parts/index.ts';
import WallPage from './WallPage.vue';
import { findWall } from './wallStore.ts';
import type { KeptWall } from './wallStore.ts';
import { t } from '../../words/index.ts';

/** The wall is a page of its own, so that it opens without the network and shows what it knew last. */
const RETRY_MS = 10_000;

const { stage, ended, isDemo, open, begin } = useStart();
const kept = shallowRef<KeptWall>();

async function start(): Promise<void> {
  await begin();
  if (stage.value !== 'unreachable') return;
  kept.value = await findWall();
  if (kept.value) {
    clockOffsetMs.value = kept.value.clockOffsetMs;
    open(kept.value.session);
    // Nobody stands here to try again.
  } else setTimeout(() => void start(), RETRY_MS);
}
onMounted(start);
</script>

<template>
  <DiskWarning v-if="stage === 'open'" />
  <WallPage v-if="stage === 'open'" :kept="kept?.floor" />
  <SignInPage v-else-if="stage === 'sign-in'" is-wall :is-demo="isDemo" :ended="ended" @done="open" />
  <main v-else class="wait" role="status">
    <template v-if="stage === 'first-run'">{{ t('floor.thisShopIsNotSetUpYetOpenIts') }}</template>
    <template v-else-if="stage === 'password-due'">{{ t('floor.chooseAPasswordOfYourOwnAtThe') }}</template>
    <template v-else>{{
      stage === 'opening' ? t('common.opening') : t('common.theServerDoesNotAnswer')
    }}</template>
  </main>
</template>

<style scoped>
.wait {
  padding: 48px;
  font-size: var(--text-4xl);
}
</style>
