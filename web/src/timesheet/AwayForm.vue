<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { reactive, ref, watch } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { ABSENCE_KINDS } from '@wergon/core/people';
import type { WeekJson } from '@wergon/contract/timesheet';
import { callRoute, hoursText, sayAroundAbsence, sayDate, useAct } from '../kit/index.ts';
import { CheckField, DayHours } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** A day on which somebody was away: it stands in the week instead of hours. */
const props = defineProps<{ technician: string; days: WeekJson['days'] }>();
const { act, problem, isBusy } = useAct();
const away = reactive<{
  day: LocalDay | null;
  kind: (typeof ABSENCE_KINDS)[number];
  isPaid: boolean;
  hours: string;
}>({
  day: null,
  kind: ABSENCE_KINDS[0],
  isPaid: true,
  hours: '',
});
/** What stands already on the day that was entered last. */
const around = ref<ResponseOf<'addAbsence'> | null>(null);
watch(
  () => props.days[0]?.day,
  (first) => (away.day = first ?? null),
  { immediate: true },
);
const params = () => ({ technician: props.technician });
const isAway = () => props.days.find(({ day }) => day === away.day)?.absence != null;
async function save(): Promise<void> {
  if (away.day === null) return;
  const day = formatDay(away.day);
  const { kind, isPaid } = away;
  around.value = null;
  if (isAway())
    await act(() => callRoute('removeAbsence', { params: params(), body: { from: day, to: day } }));
  else {
    const body = { ...{ from: day, to: day, kind, isPaid }, hours: hoursText(away.hours) };
    around.value = (await act(() => callRoute('addAbsence', { params: params(), body }))) ?? null;
    away.hours = '';
  }
}
</script>

<template>
  <form class="away" @submit.prevent="save">
    <label
      >{{ t('timesheet.absentOn') }}
      <BFormSelect v-model="away.day" size="sm">
        <option v-for="each in days" :key="each.day" :value="each.day">{{ sayDate(each.day) }}</option>
      </BFormSelect></label
    >
    <template v-if="!isAway()">
      <label
        >{{ t('timesheet.for') }}
        <BFormSelect v-model="away.kind" size="sm">
          <option v-for="kind in ABSENCE_KINDS" :key="kind" :value="kind">{{ t(`absences.${kind}`) }}</option>
        </BFormSelect></label
      >
      <DayHours v-model="away.hours" is-small />
      <CheckField v-model="away.isPaid" class="check">{{ t('common.paid') }}</CheckField>
    </template>
    <BButton type="submit" variant="quiet" size="sm" :disabled="isBusy">
      {{ isAway() ? t('timesheet.removeAbsence') : t('timesheet.saveAbsence') }}
    </BButton>
    <span v-for="words in sayAroundAbsence(around)" :key="words" class="attention" role="status">{{
      words
    }}</span>
    <span v-if="problem" class="attention" role="alert">{{ problem }}</span>
  </form>
</template>

<style scoped>
.away {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  padding: 0 16px 14px;
  color: var(--ink-2);
  font-size: var(--text-s);
}
label {
  display: flex;
  white-space: nowrap;
  gap: 6px;
  align-items: center;
}
.attention {
  color: var(--attention);
}
</style>
