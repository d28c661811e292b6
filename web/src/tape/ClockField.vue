<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { atWallClock, nextAtClock, parseClock } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import { sayClock } from '../kit/index.ts';
import { TimePick } from '../kit/parts/index.ts';

/** A time of day that is typed, kept only when it can be read: the first such time behind another, if one is given,
 *  else that of the day on which it was. */
const props = defineProps<{ label: string; zone: Zone; after?: Instant }>();
const at = defineModel<Instant>({ required: true });
const text = ref(sayClock(props.zone, at.value));
const isWrong = ref(false);
watch(at, (now) => {
  text.value = sayClock(props.zone, now);
  isWrong.value = false;
});
/** A time that can be no other is taken as it is typed; `705` is, once the field is left. */
function readWhileTyped(): void {
  if (/^\d{1,2}[:.]\d{2}$/.test(text.value.trim())) read();
}
function read(): void {
  const seconds = parseClock(text.value);
  isWrong.value = seconds === undefined;
  if (seconds !== undefined && text.value !== sayClock(props.zone, at.value)) put(seconds);
}
function put(seconds: number): void {
  at.value =
    props.after === undefined
      ? atWallClock(props.zone, props.zone.dayAt(at.value), seconds)
      : nextAtClock(props.zone, props.after, seconds);
}
const seconds = computed({ get: () => parseClock(sayClock(props.zone, at.value)) ?? 0, set: put });
</script>

<template>
  <span class="clock-field">
    <BFormInput
      v-model="text"
      size="sm"
      class="figure"
      :class="{ wrong: isWrong }"
      :aria-label="label"
      :aria-invalid="isWrong"
      placeholder="7:05"
      @input="readWhileTyped"
      @change="read"
      @blur="read"
    />
    <TimePick v-model="seconds" :label="label" />
  </span>
</template>

<style scoped>
.clock-field {
  display: inline-flex;
  align-items: center;
}
input {
  width: 78px;
}
.wrong {
  border: 2px solid var(--attention);
}
</style>
