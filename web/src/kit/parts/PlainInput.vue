<script setup lang="ts">
import { ref } from 'vue';

/** A field that looks like the screen it is on, for the station. */
const text = defineModel<string>({ required: true });
const field = ref<HTMLInputElement>();
defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <input ref="field" v-model="text" />
</template>
