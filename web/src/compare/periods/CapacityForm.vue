<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { addDays, formatDay, formatHours, mondayOf, parseHours, toDay, toSeconds } from '@wergon/core/time';
import type { Seconds } from '@wergon/core/time';
import { callRoute, sayWeekday, useAct, useToday } from '../../kit/index.ts';
import { DateField } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';

/** Hours of a machine, or person-hours of a work center, on each weekday, from a day on. */
const props = defineProps<{ resource: string; hours: readonly Seconds[] | null }>();
const emit = defineEmits<{ saved: [] }>();
const today = useToday();
const from = ref(formatDay(today.value));
const DAYS = 7;
const texts = ref(
  Array.from({ length: DAYS }, (_each, i) => formatHours(props.hours?.[i] ?? toSeconds(0), 'h:mm')),
);
/** Monday 5 January 1970 and the days after it, for their names. */
const weekdays = Array.from({ length: DAYS }, (_each, i) => sayWeekday(addDays(mondayOf(toDay(4)), i)));
const lengths = computed(() =>
  texts.value.map((text) => (text.trim() === '' ? toSeconds(0) : parseHours(text))),
);
const wrong = computed(() => lengths.value.map((length) => typeof length !== 'number'));
const { act, problem, isBusy } = useAct();
async function save(): Promise<void> {
  const seconds = lengths.value.filter((length): length is Seconds => typeof length === 'number');
  const answer = await act(async () => {
    await callRoute('saveCapacity', {
      params: { resource: props.resource },
      body: { from: from.value, seconds },
    });
    return true;
  });
  if (answer) emit('saved');
}
</script>

<template>
  <form class="capacity" @submit.prevent="save">
    <label v-for="(name, i) in weekdays" :key="name"
      >{{ name
      }}<BFormInput
        :model-value="texts[i] ?? ''"
        size="sm"
        :aria-invalid="wrong[i]"
        :class="{ 'is-invalid': wrong[i] }"
        @update:model-value="texts[i] = String($event)"
    /></label>
    <span class="from"
      >{{ t('compare.fromDay') }} <DateField v-model="from" :label="t('compare.fromDay')" is-small
    /></span>
    <BButton
      type="submit"
      variant="primary"
      size="sm"
      :disabled="isBusy || wrong.includes(true) || from === ''"
      >{{ t('common.save') }}</BButton
    >
    <span v-if="wrong.includes(true)" class="attention">{{ t('compare.hoursLike') }}</span>
    <span v-if="problem" class="attention" role="alert">{{ problem }}</span>
  </form>
</template>

<style scoped>
.capacity {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  padding: 6px 10px 10px;
}
label {
  display: grid;
  width: 64px;
  font-size: var(--text-xs);
}
.from {
  display: grid;
  font-size: var(--text-xs);
}
</style>
