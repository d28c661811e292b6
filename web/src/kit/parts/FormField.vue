<script setup lang="ts">
import { computed, onScopeDispose, useId } from 'vue';
import { afterPointer } from '../afterPointer.ts';
import { useFormOfField } from '../useForm.ts';

/** A field with its label. `field` is what its form calls it: once it was left, what is wrong with it is said below it. */
const props = defineProps<{
  label: string;
  field?: string;
  error?: string | undefined;
  hint?: string;
}>();
const id = useId();
const form = useFormOfField();
const wrong = computed(
  () => props.error ?? (props.field === undefined ? undefined : form?.errors.value[props.field]),
);
const ends = props.field === undefined ? undefined : form?.tells(props.field);
onScopeDispose(() => ends?.());
const leave = () => {
  const { field } = props;
  if (field !== undefined) afterPointer(() => form?.leave(field));
};
</script>

<template>
  <div class="field" :class="{ wrong }" @focusout="leave">
    <label :for="id">{{ label }}</label>
    <slot :id="id" :described="wrong || hint ? `${id}-told` : undefined" />
    <p v-if="wrong || hint" :id="`${id}-told`" class="told" :class="{ attention: wrong }">
      {{ wrong ?? hint }}
    </p>
  </div>
</template>

<style scoped>
.field {
  min-width: 0;
}
label {
  display: block;
  margin-bottom: 2px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.told {
  margin: 2px 0 0;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.told.attention {
  color: var(--attention);
}
.wrong :deep(.form-control),
.wrong :deep(.form-select) {
  border-color: var(--attention);
  border-width: 2px;
}
</style>
