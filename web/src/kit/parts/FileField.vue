<script setup lang="ts">
/** A label that opens the computer's files; what is chosen is told, and the same file can be chosen again. */
defineProps<{ accept: string; disabled?: boolean }>();
const emit = defineEmits<{ choose: [file: File] }>();
function choose(event: Event): void {
  if (!(event.target instanceof HTMLInputElement)) return;
  const file = event.target.files?.[0];
  event.target.value = '';
  if (file) emit('choose', file);
}
</script>

<template>
  <label
    ><slot></slot
    ><input type="file" class="visually-hidden" :accept="accept" :disabled="disabled" @change="choose"
  /></label>
</template>
