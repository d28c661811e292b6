<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next';
import { ref, watch } from 'vue';
import { parseHours } from '@wergon/core/time';
import { useDesk } from '../kit/index.ts';

/** A length of time that is typed, `1:30` or `1.5`; told when it was changed and can be read. Nothing is zero. */
const props = defineProps<{
  seconds: number;
  label: string;
  disabled?: boolean | undefined;
  isWrong?: boolean;
}>();
const emit = defineEmits<{ change: [seconds: number] }>();
const desk = useDesk();
const field = ref<HTMLInputElement>();
defineExpose({ focus: () => field.value?.focus() });
const write = () => (props.seconds === 0 ? '' : desk.hours(props.seconds));
const text = ref(write());
const cannotRead = ref(false);
watch([() => props.seconds, () => desk.hoursStyle], () => (text.value = write()));

function read(): void {
  const typed = text.value.trim();
  const seconds = typed === '' ? 0 : parseHours(typed);
  cannotRead.value = seconds === undefined;
  if (seconds === undefined || typed === write()) return;
  emit('change', seconds);
}
</script>

<template>
  <BFormInput
    ref="field"
    v-model="text"
    size="sm"
    class="figure"
    :class="{ wrong: isWrong || cannotRead }"
    inputmode="decimal"
    :aria-label="label"
    :aria-invalid="isWrong || cannotRead"
    :disabled="disabled"
    @change="read"
    @keydown.enter="read"
  />
</template>

<style scoped>
input {
  text-align: right;
}
.wrong {
  border: 2px solid var(--attention);
}
</style>
