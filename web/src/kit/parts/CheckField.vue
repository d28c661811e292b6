<script setup lang="ts" generic="Model extends boolean | string | readonly string[] | undefined">
import { BFormCheckbox } from 'bootstrap-vue-next';

/**
 * A box to check: true or false, or a word in or out of a list. The part it stands on says
 * nothing at all of a box that is unchecked unless it is told what that means.
 */
const model = defineModel<Model>({ required: true });
defineProps<{ value?: string; uncheckedValue?: string }>();
</script>

<template>
  <BFormCheckbox v-model="model" :value="value ?? true" :unchecked-value="uncheckedValue ?? false"
    ><slot></slot
  ></BFormCheckbox>
</template>
