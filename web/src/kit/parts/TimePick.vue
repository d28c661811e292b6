<script setup lang="ts">
import { VueDatePicker } from '@vuepic/vue-datepicker';
import type { TimeModel } from '@vuepic/vue-datepicker';
import '@vuepic/vue-datepicker/dist/main.css';
import { computed } from 'vue';
import PlainButton from './PlainButton.vue';
import { t } from '../../words/index.ts';

/** Hours and minutes to choose from, opened beside a field in which a time of day may also be typed. */
defineProps<{ label: string }>();
/** Seconds since the beginning of the day. */
const seconds = defineModel<number>({ required: true });
const time = computed<TimeModel>({
  get: () => ({
    hours: Math.floor(seconds.value / 3600),
    minutes: Math.floor((seconds.value % 3600) / 60),
    seconds: 0,
  }),
  set: ({ hours, minutes }) => (seconds.value = Number(hours) * 3600 + Number(minutes) * 60),
});
</script>

<template>
  <VueDatePicker
    v-model="time"
    class="time-pick"
    time-picker
    auto-apply
    :time-config="{ is24: true, minutesGridIncrement: 5 }"
    :transitions="false"
    :config="{ modeHeight: 160 }"
    :aria-labels="{ menu: t('kit.timeOfDay') }"
  >
    <template #trigger>
      <PlainButton class="open" :aria-label="t('kit.choose', { field: label })" tabindex="-1">
        <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
          <circle cx="8" cy="8" r="6.5" fill="none" stroke="currentColor" stroke-width="1.5" />
          <path d="M8 4v4l3 2" fill="none" stroke="currentColor" stroke-width="1.5" />
        </svg>
      </PlainButton>
    </template>
  </VueDatePicker>
</template>

<style src="../../theme/dateField.scss" lang="scss"></style>
<style scoped>
.open {
  display: block;
  padding: 6px;
  background: none;
  border: 0;
  color: var(--ink-2);
}
</style>
