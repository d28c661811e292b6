<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { callRoute, sayDateText, useDesk, useAct } from '../kit/index.ts';

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
    <h2>Backups</h2>
    <p v-if="status.folder === null" class="quiet">This server makes no backups: something else must.</p>
    <template v-else>
      <p :class="{ attention: isOld && status.isScheduled }">
        <template v-if="status.last">
          Last good backup: <b>{{ sayTime(status.last.at) }}</b>,
          {{ status.last.entries.toLocaleString('en') }} entries, {{ megabytes(status.last.bytes) }} MB,
          opened and checked.
        </template>
        <template v-else>No backup has been made yet.</template>
      </p>
      <p v-if="status.failed" class="attention" role="alert">
        The last try, {{ sayTime(status.failed.at) }}, failed: {{ status.failed.why }}
      </p>
      <p class="quiet">
        They are kept in <span class="mono">{{ status.folder }}</span>.
        <template v-if="!status.isScheduled">The demo makes none by itself.</template>
        <RouterLink v-else to="/shop/settings">When and how many</RouterLink>
      </p>
      <BButton
        v-if="desk.may('shop.change')"
        variant="outline-secondary"
        :disabled="isBusy || status.isRunning"
        @click="backUp"
        >{{ status.isRunning ? 'Backing up…' : 'Back up now' }}</BButton
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
