<script setup lang="ts">
import { ref } from 'vue';

/** A button that looks like what it is on: a row that opens, a block of a tape, a key of the station. */
const button = ref<HTMLButtonElement>();
defineExpose({ focus: () => button.value?.focus() });
</script>

<template>
  <button ref="button" type="button"><slot></slot></button>
</template>
