<script setup lang="ts">
import { useId } from 'vue';

defineProps<{ label: string; error?: string | undefined; hint?: string }>();
const id = useId();
</script>

<template>
  <div class="field" :class="{ wrong: error }">
    <label :for="id">{{ label }}</label>
    <slot :id="id" :described="error || hint ? `${id}-told` : undefined" />
    <p v-if="error || hint" :id="`${id}-told`" class="told" :class="{ attention: error }">
      {{ error ?? hint }}
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
