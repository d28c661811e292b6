<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { t } from '../words/index.ts';
/** Why, and the two ways out of an edit. It stands above what the edit would do, so that it stays where it is when that
 *  arrives. */
defineProps<{ cannot: boolean }>();
const reason = defineModel<string>({ required: true });
const emit = defineEmits<{ leave: [] }>();
</script>

<template>
  <div class="acts">
    <BFormInput
      v-model="reason"
      size="sm"
      :aria-label="t('common.why')"
      :placeholder="t('tape.whyIfItIsWorthAWord')"
      maxlength="200"
    />
    <BButton type="submit" variant="primary" size="sm" :disabled="cannot">{{
      t('common.putItRight')
    }}</BButton>
    <BButton variant="quiet" size="sm" @click="emit('leave')">{{ t('common.leaveItAsItIs') }}</BButton>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.acts input {
  flex: 0 1 300px;
}
</style>
