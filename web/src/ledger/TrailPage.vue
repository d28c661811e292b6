<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import type { Instant } from '@wergon/core/time';
import { parseInstant } from '@wergon/core/time';
import { useInfiniteQuery } from '@tanstack/vue-query';
import { computed, reactive, ref } from 'vue';
import type { TrailJson } from '@wergon/contract/ledger';
import { callRoute, wordsOf, sayDateText, sayInstant, useDesk, usePeople } from '../kit/index.ts';
import {
  CheckField,
  DateField,
  DeskFrame,
  QueryState,
  ReconcileTabs,
  DataTable,
} from '../kit/parts/index.ts';
import { sayChange, sayEntryType } from './entryWords.ts';
import { exportTrail } from './exportTrail.ts';
import { useVerify } from './useVerify.ts';
import type { Column } from '../kit/index.ts';
import { sayTerm, t } from '../words/index.ts';

const desk = useDesk();
const people = usePeople();
const filter = reactive({ from: '', to: '', technician: '', stream: '', corrections: '' });
const asked = computed((): Record<string, string> =>
  Object.fromEntries(Object.entries(filter).filter(([, value]) => value !== '')),
);
const query = useInfiniteQuery({
  queryKey: ['trail', asked],
  queryFn: ({ pageParam }) =>
    callRoute('trail', { query: { ...asked.value, ...(pageParam ? { before: String(pageParam) } : {}) } }),
  initialPageParam: 0,
  getNextPageParam: ({ next }) => next ?? undefined,
});
const entries = computed(() => query.data.value?.pages.flatMap((page) => page.entries) ?? []);
const { verify, cancel, state: verified } = useVerify();
const exporting = ref('');
const problem = ref('');
async function save(): Promise<void> {
  problem.value = '';
  try {
    await exportTrail(asked.value, (count) => (exporting.value = t('ledger.entriesRead', { n: count })));
  } catch (error) {
    problem.value = wordsOf(error);
  } finally {
    exporting.value = '';
  }
}
const clock = (at: Instant) => (desk.zone ? sayInstant(desk.zone, at) : '');
const sayTime = (at: string | null) => {
  const instant = parseInstant(at ?? '');
  return instant.ok ? clock(instant.value) : sayDateText(at ?? '');
};
const sayAt = ({ at, of }: TrailJson['entries'][number]) => sayTime(at ?? of?.at ?? null);
const clearAll = () =>
  Object.assign(filter, { from: '', to: '', technician: '', stream: '', corrections: '' });
const columns = computed((): readonly Column<(typeof entries.value)[number]>[] => [
  { id: 'entry', title: t('ledger.entry'), class: 'number figure', value: (entry) => entry.seq },
  { id: 'recorded', title: t('ledger.recorded'), class: 'figure', value: (entry) => clock(entry.recordedAt) },
  { id: 'what', title: t('common.what') },
  { id: 'about', title: t('ledger.aboutHead') },
  { id: 'timeOfEvent', title: t('ledger.timeOfEvent'), class: 'figure', value: (entry) => sayAt(entry) },
  { id: 'by', title: t('ledger.byHead') },
]);
</script>

<template>
  <DeskFrame :lead="t('ledger.everythingThatWasEverRecorded')" :title="t('common.trail')">
    <ReconcileTabs />
    <form class="filters" @submit.prevent>
      <label
        >{{ t('ledger.recordedFrom') }}
        <DateField v-model="filter.from" :label="t('ledger.recordedFromLabel')" is-small
      /></label>
      <label
        >{{ t('common.toWord') }} <DateField v-model="filter.to" :label="t('ledger.recordedTo')" is-small
      /></label>
      <label
        >{{ t('ledger.about') }}
        <BFormSelect v-model="filter.technician" size="sm">
          <option value="">{{ t('ledger.anybody') }}</option>
          <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
        </BFormSelect></label
      >
      <label
        >{{ t('ledger.stream') }}
        <BFormSelect v-model="filter.stream" size="sm">
          <option value="">{{ t('common.all') }}</option>
          <option value="labor">{{ t('ledger.labor') }}</option>
          <option value="floor">{{ t('ledger.floor') }}</option>
          <option value="decision">{{ t('ledger.decisions') }}</option>
        </BFormSelect></label
      >
      <CheckField v-model="filter.corrections" class="check" value="only" unchecked-value="">{{
        t('ledger.correctionsAndAdditionsOnly')
      }}</CheckField>
      <BButton v-if="Object.keys(asked).length > 0" variant="quiet" size="sm" @click="clearAll">
        {{ t('common.showAll') }}
      </BButton>
      <BButton variant="quiet" size="sm" :disabled="exporting !== ''" @click="save">
        {{ exporting || t('ledger.exportAsCsv') }}
      </BButton>
      <BButton v-if="verified.status !== 'running'" variant="quiet" size="sm" @click="verify">
        {{ t('ledger.verifyTheChain') }}
      </BButton>
      <BButton v-else variant="quiet" size="sm" @click="cancel">{{ t('ledger.stopVerifying') }}</BButton>
    </form>
    <p v-if="verified.words" class="told" :class="{ attention: verified.status === 'broken' }" role="status">
      {{ verified.words }}
    </p>
    <p v-if="problem" class="told attention" role="alert">{{ problem }}</p>
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <DataTable :rows="entries" :columns="columns" :row-key="(entry) => entry.seq"
        ><template #what="{ row: entry }"
          >{{ sayEntryType(entry.type)
          }}<template v-if="entry.of"
            >: {{ sayEntryType(entry.of.type) }} {{ sayTime(entry.of.at) }}</template
          >
          <span v-for="change in entry.changes" :key="change.field" class="quiet">
            · {{ sayChange(change, clock) }}</span
          >
          <span v-if="entry.why" class="quiet"> · {{ entry.why }}</span></template
        >
        <template #about="{ row: entry }">{{
          [entry.name, entry.about, entry.machine].filter(Boolean).join(', ')
        }}</template>
        <template #by="{ row: entry }"
          >{{ entry.author }}
          <span class="quiet"
            >{{ sayTerm('sources', entry.source)
            }}<template v-if="entry.knownBy">, {{ t(`knownBy.${entry.knownBy}`) }}</template
            ><template v-if="entry.letThroughBy"
              >, {{ t('ledger.letThroughBy', { lead: entry.letThroughBy }) }}</template
            ></span
          ></template
        ></DataTable
      >
      <p v-if="entries.length === 0" class="none">{{ t('ledger.nothingOfThisKindIsRecorded') }}</p>
      <div v-if="query.hasNextPage.value" class="more">
        <BButton
          variant="quiet"
          size="sm"
          :disabled="query.isFetchingNextPage.value"
          @click="query.fetchNextPage()"
        >
          {{ t('ledger.earlierEntries') }}
        </BButton>
      </div>
    </template>
  </DeskFrame>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  padding: 10px 16px;
}
label {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.told {
  margin: 0;
  padding: 6px 16px;
  background: var(--action-tint);
}
.told.attention {
  background: var(--attention-tint);
}
table {
  width: 100%;
  background: var(--sheet);
  border-collapse: collapse;
  font-size: var(--text-s);
}
table :deep(th),
table :deep(td) {
  padding: 4px 12px;
  border-bottom: 1px solid var(--line);
  text-align: left;
  vertical-align: top;
}
table :deep(th) {
  position: sticky;
  top: 0;
  background: var(--sheet);
  color: var(--ink-2);
  font-size: var(--text-xs);
  font-weight: 400;
}
.number {
  text-align: right;
}
table :deep(td.figure) {
  white-space: nowrap;
}
.none,
.more {
  padding: 12px 16px;
}
</style>
