<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next';
import { nextTick, ref } from 'vue';

/** A list from which one thing after the other is picked: what is picked goes elsewhere, and the list is as it was. */
const emit = defineEmits<{ pick: [value: string] }>();
const value = ref('');
async function pick(picked: string): Promise<void> {
  if (picked === '') return;
  emit('pick', picked);
  value.value = picked;
  await nextTick();
  value.value = '';
}
</script>

<template>
  <BFormSelect :model-value="value" @update:model-value="pick(String($event ?? ''))"
    ><slot></slot
  ></BFormSelect>
</template>
