<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { ref } from 'vue';

/** Why something that stands is taken back; without a reason it is not. */
defineProps<{ label: string; placeholder: string; press: string; isBusy: boolean }>();
const emit = defineEmits<{ say: [reason: string] }>();
const reason = ref('');
</script>

<template>
  <form class="reason" @submit.prevent="emit('say', reason)">
    <BFormInput v-model="reason" size="sm" maxlength="200" :aria-label="label" :placeholder="placeholder" />
    <BButton type="submit" variant="primary" size="sm" :disabled="isBusy || reason.trim() === ''">{{
      press
    }}</BButton>
  </form>
</template>

<style scoped>
.reason {
  display: flex;
  gap: 8px;
  max-width: 560px;
}
@media print {
  .reason {
    display: none;
  }
}
</style>
