<script setup lang="ts">
import type { Instant } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, reactive } from 'vue';
import { callRoute, sayClock, sayDay, useDesk, useAct } from '../kit/index.ts';
import { DateField, DataTable } from '../kit/parts/index.ts';
import type { ResponseOf } from '@wergon/contract/routes';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const query = useQuery({ queryKey: ['notices'], queryFn: () => callRoute('notices') });
const { act, problem, isBusy } = useAct();
const fresh = reactive({ text: '', until: '' });

async function add(): Promise<void> {
  const body = { text: fresh.text, until: fresh.until || null };
  if (await act((once) => callRoute('addNotice', { body: { ...body, once } })))
    Object.assign(fresh, { text: '', until: '' });
}
const remove = (notice: string) => act(() => callRoute('removeNotice', { params: { notice } }));
const say = (at: Instant) => (desk.zone ? `${sayDay(desk.zone.dayAt(at))} ${sayClock(desk.zone, at)}` : '');
const columns = computed((): readonly Column<ResponseOf<'notices'>['notices'][number]>[] => [
  { id: 'text', value: (notice) => notice.text },
  { id: 'by', class: 'quiet' },
  { id: 'until', value: (notice) => (notice.until ? t('common.until', { day: sayDay(notice.until) }) : '') },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <section>
    <h2>{{ t('shop.notices') }}</h2>
    <p class="lead-words">{{ t('shop.theyStandOnEveryStationsScreen') }}</p>
    <p v-if="query.data.value?.notices.length === 0" class="quiet">{{ t('shop.noNoticeNow') }}</p>
    <DataTable
      v-else
      :rows="query.data.value?.notices ?? []"
      :columns="columns"
      :row-key="(notice) => notice.id"
      ><template #by="{ row: notice }">{{ notice.by }}, {{ say(notice.at) }}</template>
      <template #acts="{ row: notice }"
        ><BButton v-if="desk.may('shop.change')" variant="quiet" size="sm" @click="remove(notice.id)">
          {{ t('shop.takeDown') }}
        </BButton></template
      ></DataTable
    >
    <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
      <BFormInput
        v-model="fresh.text"
        :placeholder="t('shop.newNotice')"
        :aria-label="t('shop.newNotice')"
        maxlength="200"
        required
      />
      <DateField v-model="fresh.until" :label="t('shop.lastDayOfTheNotice')" />
      <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('shop.post') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
