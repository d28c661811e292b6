<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { WrittenJson } from '@wergon/contract/tape';
import { callRoute, sayClock, sayDay, useDesk } from '../kit/index.ts';
import { DeskFrame, MatchNote, QueryState, ReconcileTabs } from '../kit/parts/index.ts';
import { UndoBar, useUndo } from '../loose-ends/index.ts';
import TieForm from './TieForm.vue';
import { sayList, t } from '../words/index.ts';

/** Work that was written down at stations because no task was there for it, until it is tied to one or kept. */
const desk = useDesk();
const query = useQuery({ queryKey: ['written'], queryFn: () => callRoute('written') });
const acts = useUndo();
const opened = ref<string | null>(null);
const search = ref('');
const all = computed(() => query.data.value?.written ?? []);
const found = computed(() => {
  const words = search.value.trim().toLowerCase();
  return all.value.filter((each) =>
    `${each.words} ${each.said} ${each.number} ${each.by} ${each.people.join(' ')}`
      .toLowerCase()
      .includes(words),
  );
});
const when = ({ at }: WrittenJson) =>
  desk.zone ? `${sayDay(desk.zone.dayAt(at))} ${sayClock(desk.zone, at)}` : '';
const keep = (task: string) => acts.run(() => callRoute('keepWritten', { params: { task } }));
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('tape.writtenLead')"
    :title="t('tape.writtenDownAtStations')"
    :search-label="t('kit.findPersonOrderKind')"
  >
    <ReconcileTabs />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <UndoBar :acts="acts" />
      <p v-if="all.length === 0" class="none">{{ t('tape.nothingIsWrittenDown') }}</p>
      <MatchNote v-model:search="search" :shown="found.length" :of="all.length" />
      <ul>
        <li v-for="each in found" :key="each.task" :class="{ open: opened === each.task }">
          <div class="told">
            <p>
              <b>{{ each.words }}</b><template v-if="each.workCenter"> · {{ each.workCenter }}</template
              ><br />
              {{
                each.said
                  ? t('tape.writtenWith', { by: each.by, day: when(each), order: each.said })
                  : t('tape.writtenWithout', { by: each.by, day: when(each) })
              }}
            </p>
            <p>
              <b class="figure">{{ desk.hours(each.seconds) }}</b>
              {{ each.people.length > 0 ? t('tape.byPeople', { names: sayList(each.people) }) : '' }}
              <RouterLink :to="{ name: 'order', params: { order: each.order } }">{{
                t('compare.order', { number: each.number })
              }}</RouterLink>
            </p>
            <p class="acts">
              <BButton
                v-if="desk.may('ledger.correct')"
                variant="quiet"
                size="sm"
                :aria-expanded="opened === each.task"
                :aria-label="t('tape.tieWhat', { words: each.words })"
                @click="opened = opened === each.task ? null : each.task"
                >{{ t('tape.tieToItsTask') }}</BButton
              >
              <BButton
                v-if="desk.may('work.change')"
                variant="quiet"
                size="sm"
                :aria-label="t('tape.keepWhat', { words: each.words })"
                :disabled="acts.isBusy.value"
                @click="keep(each.task)"
                >{{ t('tape.keepAsATask') }}</BButton
              >
            </p>
          </div>
          <TieForm v-if="opened === each.task" :written="each" :acts="acts" @done="opened = null" />
        </li>
      </ul>
    </template>
  </DeskFrame>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 10px 16px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 8px 16px;
  border-bottom: 1px solid var(--line);
}
li.open {
  background: var(--action-tint);
}
.told {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) auto;
  gap: 4px 24px;
  align-items: center;
}
p {
  margin: 0;
}
.acts {
  display: flex;
  gap: 8px;
}
@media (max-width: 900px) {
  .told {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
