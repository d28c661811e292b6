<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { callRoute, sayDateText, useDesk, useAct } from '../kit/index.ts';
import { currentLocale, t } from '../words/index.ts';

/** So often it is looked how a backup is doing that is being made. */
const LOOK_MS = 2_000;
/** A backup older than this is no comfort. */
const OLD_MS = 3 * 86_400_000;

const desk = useDesk();
const query = useQuery({
  queryKey: ['backups'],
  queryFn: () => callRoute('backups'),
  refetchInterval: ({ state }) => (state.data?.isRunning ? LOOK_MS : false),
});
const { act, problem, isBusy } = useAct();
const status = computed(() => query.data.value);
/** Backups are made by the computer's own clock, also in a demo. */
const sayTime = (at: string) => {
  const time = new Date(at);
  const minutes = String(time.getMinutes()).padStart(2, '0');
  return `${sayDateText(at.slice(0, 10))} ${at.slice(0, 4)}, ${time.getHours()}:${minutes}`;
};
const isOld = computed(() => !status.value?.last || Date.now() - Date.parse(status.value.last.at) > OLD_MS);
const megabytes = (bytes: number) => (bytes / 1_000_000).toFixed(1);

async function backUp(): Promise<void> {
  await act(() => callRoute('makeBackup'));
  await query.refetch();
}
</script>

<template>
  <section v-if="status" class="backups">
    <h2>{{ t('common.backups') }}</h2>
    <p v-if="status.folder === null" class="quiet">{{ t('catalog.thisServerMakesNoBackupsSomething') }}</p>
    <template v-else>
      <p :class="{ attention: isOld && status.isScheduled }">
        <template v-if="status.last">
          {{ t('catalog.lastGoodBackup') }} <b>{{ sayTime(status.last.at) }}</b>,
          {{
            t('catalog.entriesMbOpenedAndChecked', {
              entries: status.last.entries.toLocaleString(currentLocale()),
              megabytes: megabytes(status.last.bytes),
            })
          }}
        </template>
        <template v-else>{{ t('catalog.noBackupHasBeenMadeYet') }}</template>
      </p>
      <p v-if="status.failed" class="attention" role="alert">
        {{ t('catalog.theLastTryFailed', { time: sayTime(status.failed.at), why: status.failed.why }) }}
      </p>
      <p class="quiet">
        {{ t('catalog.theyAreKeptIn') }} <span class="mono">{{ status.folder }}</span>.
        <template v-if="!status.isScheduled">{{ t('catalog.theDemoMakesNoneByItself') }}</template>
        <RouterLink v-else to="/shop/settings">{{ t('catalog.whenAndHowMany') }}</RouterLink>
      </p>
      <BButton
        v-if="desk.may('shop.change')"
        variant="outline-secondary"
        :disabled="isBusy || status.isRunning"
        @click="backUp"
        >{{ status.isRunning ? t('catalog.backingUp') : t('catalog.backUpNow') }}</BButton
      >
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    </template>
  </section>
</template>

<style scoped>
.backups {
  margin-top: 28px;
  padding-top: 4px;
  border-top: 1px solid var(--line);
}
p {
  margin: 0 0 6px;
}
</style>
