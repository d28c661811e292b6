<script setup lang="ts">
import { wordsOf } from '../callRoute.ts';
import { t } from '../../words/index.ts';

defineProps<{ isPending: boolean; error: unknown }>();
defineEmits<{ retry: [] }>();
</script>

<template>
  <p v-if="error" class="state" role="alert">
    <span class="attention">{{ wordsOf(error) }}</span>
    <button type="button" class="btn btn-quiet" @click="$emit('retry')">{{ t('common.tryAgain') }}</button>
  </p>
  <p v-else-if="isPending" class="state quiet" role="status">{{ t('kit.loading') }}</p>
</template>

<style scoped>
.state {
  display: flex;
  gap: 16px;
  align-items: center;
  margin: 0;
  padding: 20px 16px;
}
</style>
