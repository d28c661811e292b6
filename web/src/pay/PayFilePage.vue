<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { parseDay } from '@wergon/core/time';
import { DECIMALS, writeHundredths } from '@wergon/core/pay';
import type { PayFileSum } from '@wergon/contract/pay';
import { callRoute, useAct, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, QueryState } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import FileCells from './FileCells.vue';
import LayoutForm from './LayoutForm.vue';
import MadeFiles from './MadeFiles.vue';
import MissingList from './MissingList.vue';
import PayCodesForm from './PayCodesForm.vue';
import PeriodFrame from './PeriodFrame.vue';
import { usePayPeriods } from './usePayPeriods.ts';

/** What goes to payroll: a closed period as a file in the form that payroll reads, once nothing is missing. */
const desk = useDesk();
const route = useRoute();
const asked = parseDay(String(route.query['day'] ?? ''));
/** The last closed period of which no file was made is next. */
const periods = usePayPeriods(
  (known) =>
    known.find((each) => asked.ok && each.firstDay === asked.value) ??
    known.findLast(({ state, isSent }) => state === 'closed' && !isSent) ??
    known.find(({ state }) => state === 'closed'),
);
const { firstDay, firstDayText } = periods;
const forms = useQuery({ queryKey: ['pay-forms'], queryFn: () => callRoute('payForms') });
const layouts = computed(() => forms.data.value?.layouts ?? []);
const layout = ref('');
watch(
  layouts,
  (known) => {
    if (!known.some(({ id }) => id === layout.value)) layout.value = known[0]?.id ?? '';
  },
  { immediate: true },
);
const chosen = computed(() => layouts.value.find(({ id }) => id === layout.value));
const group = ref('');
const query = useQuery({
  queryKey: ['pay-file', firstDay, layout, group],
  queryFn: () =>
    callRoute('payFile', {
      query: {
        ...{ firstDay: firstDayText.value, group: group.value },
        ...(layout.value === '' ? {} : { layout: layout.value }),
      },
    }),
  enabled: computed(() => firstDay.value !== null && forms.data.value !== undefined),
  placeholderData: keepPreviousData,
});
const file = computed(() => query.data.value);
const mayMake = computed(() => desk.may('pay.close'));
const opened = ref<'codes' | 'new' | 'layout' | null>(null);
async function close(): Promise<void> {
  opened.value = null;
  await forms.refetch();
  await query.refetch();
}

/** What is missing and is left for a later file, by name. */
const putOff = ref<readonly string[]>([]);
watch([firstDay, group], () => (putOff.value = []));
const stillMissing = computed(() =>
  (file.value?.missing ?? []).filter(({ key }) => !putOff.value.includes(key)),
);
const { act, problem, isBusy } = useAct();
async function make(): Promise<void> {
  const seen = file.value;
  if (!seen) return;
  const done = await act(() =>
    callRoute('makePayFile', {
      body: {
        ...{ firstDay: firstDayText.value, group: group.value, layout: layout.value },
        ...{ stamp: seen.stamp, putOff: [...putOff.value] },
      },
    }),
  );
  if (done !== undefined) putOff.value = [];
}
const REFUSALS = {
  elsewhere: t('pay.timeFromElsewhere'),
  'not-closed': t('pay.fileOfClosedOnly'),
  'no-layout': t('pay.fileNeedsForm'),
  nothing: t('pay.allIsInFiles'),
} as const;
const hint = computed(() => {
  if (!file.value) return '';
  if (file.value.refusal) return REFUSALS[file.value.refusal];
  return stillMissing.value.length > 0 ? t('pay.putRightFirst', { n: stillMissing.value.length }) : '';
});
const rowsWords = computed(() => (file.value ? t('pay.rowsOf', { n: file.value.rows }) : ''));
const peopleWords = computed(() => (file.value ? t('pay.peopleIn', { n: file.value.people }) : ''));
const hundredths = computed(() => (file.value?.sums ?? []).reduce((sum, each) => sum + each.hundredths, 0));
/** Hours as they stand in the file. */
const sayHours = (of: number) => writeHundredths(of, DECIMALS[chosen.value?.layout.decimal ?? 'point']);
const sumColumns = computed((): readonly Column<PayFileSum>[] => [
  { id: 'code', title: t('payFields.code'), class: 'mono', value: ({ code }) => code },
  {
    id: 'hours',
    title: t('payFields.hours'),
    class: 'number figure',
    value: (each) => sayHours(each.hundredths),
  },
  { id: 'people', title: t('common.people'), class: 'number figure', value: ({ people }) => people },
]);
</script>

<template>
  <PeriodFrame :periods="periods" :shown="file" :name="t('pay.payFile')">
    <QueryState
      v-if="!file"
      :is-pending="query.isPending.value"
      :error="query.error.value ?? forms.error.value ?? periods.query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span
          ><b class="figure">{{ sayHours(hundredths) }}</b> {{ t('pay.hoursToSend') }}</span
        >
        <span>{{ rowsWords }}</span>
        <span>{{ peopleWords }}</span>
        <span v-if="file.earlierSeconds !== 0"
          ><b class="figure">{{ sayHours(Math.round(file.earlierSeconds / 36)) }}</b>
          {{ t('pay.ofEarlierPeriods') }}</span
        >
      </p>
      <div class="make">
        <label v-if="layouts.length > 0"
          >{{ t('pay.form') }}
          <BFormSelect v-model="layout" size="sm">
            <option v-for="each in layouts" :key="each.id" :value="each.id">{{ each.name }}</option>
          </BFormSelect></label
        >
        <label v-if="file.groups.length > 0"
          >{{ t('pay.forWhom') }}
          <BFormSelect v-model="group" size="sm">
            <option value="">{{ t('pay.everybody') }}</option>
            <option v-for="each in file.groups" :key="each" :value="each">{{ each }}</option>
          </BFormSelect></label
        >
        <BButton
          v-if="mayMake"
          variant="primary"
          size="sm"
          :disabled="isBusy || file.refusal !== null || stillMissing.length > 0 || file.rows === 0"
          @click="make"
          >{{ t('pay.makeTheFile') }}</BButton
        >
        <template v-if="mayMake">
          <BButton v-if="chosen" variant="quiet" size="sm" @click="opened = 'layout'">{{
            t('pay.changeForm')
          }}</BButton>
          <BButton variant="quiet" size="sm" @click="opened = 'new'">{{ t('pay.newForm') }}</BButton>
          <BButton variant="quiet" size="sm" @click="opened = 'codes'">{{ t('pay.payCodes') }}</BButton>
        </template>
        <span v-if="hint" class="quiet" role="status">{{ hint }}</span>
      </div>
      <p v-if="problem" class="told attention" role="alert">{{ problem }}</p>
      <PayCodesForm
        v-if="opened === 'codes'"
        :codes="forms.data.value?.codes ?? []"
        @done="close"
        @leave="opened = null"
      />
      <LayoutForm
        v-else-if="opened !== null"
        :key="opened"
        :first-day="firstDayText"
        :kept="opened === 'layout' ? chosen : undefined"
        @done="close"
        @leave="opened = null"
      />
      <template v-else>
        <MissingList
          v-if="file.missing.length > 0"
          v-model="putOff"
          :missing="file.missing"
          :is-closed="file.refusal !== 'not-closed'"
        />
        <p v-if="file.leftOut.length > 0" class="told quiet">
          {{
            t('pay.leftOutOfPay', {
              people: file.leftOut.map((each) => `${each.name} ${desk.hours(each.seconds)}`).join(', '),
            })
          }}
        </p>
        <div v-if="file.rows > 0" class="sides">
          <section v-if="chosen" class="desk-part">
            <h2>{{ t('pay.firstRows') }}</h2>
            <FileCells :cells="file.cells" :has-headings="chosen.layout.hasHeadings" />
          </section>
          <section class="desk-part sums">
            <h2>{{ t('pay.controlFigures') }}</h2>
            <DataTable class="across" :rows="file.sums" :columns="sumColumns" :row-key="({ code }) => code" />
          </section>
        </div>
        <MadeFiles :files="file.files" />
      </template>
    </template>
  </PeriodFrame>
</template>

<style scoped>
.make {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 16px;
}
.make label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.told {
  margin: 0;
  padding: 6px 16px;
}
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 0 24px;
}
.sides section {
  min-width: 0;
}
.sums {
  width: 340px;
}
</style>
