<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, reactive, ref, watch } from 'vue';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { CallFailed, callRoute, sayDateText, useAct, useDesk } from '../kit/index.ts';
import { DateField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import DatedRecords from './DatedRecords.vue';

/** To which pay group somebody belongs, by day. */
const props = defineProps<{ technician: string }>();
const desk = useDesk();
const params = computed(() => ({ technician: props.technician }));
const query = useQuery({
  queryKey: ['pay-groups', params],
  queryFn: () => callRoute('payGroups', { params: params.value }),
});
const groups = computed(() =>
  (query.data.value?.groups ?? []).map(({ from, group }) => ({ from, words: group || t('people.noGroup') })),
);
const { act, problem, isBusy } = useAct();
const fresh = reactive({ from: '', group: '' });
/** The day since which days would be paid anew; pressed once more it is done. */
const agreed = ref('');
watch(fresh, () => (agreed.value = ''));

async function put(from: string, group: string | null): Promise<void> {
  const send = (isPastAgreed: boolean) =>
    callRoute('savePayGroup', { params: params.value, body: { from, group, isPastAgreed } });
  const done = await act(async () => {
    try {
      return await send(agreed.value === from);
    } catch (error) {
      if (!(error instanceof CallFailed) || error.problem?.type !== 'urn:wergon:rules.changes_past')
        throw error;
      agreed.value = from;
      return undefined;
    }
  });
  if (done === undefined) return;
  Object.assign(fresh, { from: '', group: '' });
  await query.refetch();
}
const takeOut = (from: LocalDay) => put(formatDay(from), null);
</script>

<template>
  <section>
    <h2>{{ t('people.payGroup') }}</h2>
    <p class="lead-words">{{ t('people.payGroupLead') }}</p>
    <p v-if="query.data.value && groups.length === 0" class="quiet">{{ t('people.inNoGroup') }}</p>
    <DatedRecords v-else :records="groups" @remove="takeOut" />
    <form v-if="desk.may('people.change')" class="inline" @submit.prevent="put(fresh.from, fresh.group)">
      <label
        >{{ t('common.from') }} <DateField v-model="fresh.from" :label="t('people.firstDayOfGroup')" required
      /></label>
      <BFormInput
        v-model="fresh.group"
        :placeholder="t('people.payGroup')"
        :aria-label="t('people.newGroup')"
        maxlength="100"
      />
      <BButton type="submit" variant="quiet" :disabled="isBusy">{{ t('people.putIntoGroup') }}</BButton>
    </form>
    <p v-if="agreed" class="attention" role="alert">
      {{ t('people.changesPaidDays', { day: sayDateText(agreed) }) }}
    </p>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
