<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { t } from '../../words/index.ts';

/** Says that a search hides some of a list, and the way back; nothing where it hides none. */
defineProps<{ shown: number; of: number }>();
const search = defineModel<string>('search', { required: true });
</script>

<template>
  <p v-if="shown < of" class="match" role="status">
    {{ t('kit.ofMatch', { n: shown, n2: of, search }) }}
    <BButton variant="quiet" size="sm" @click="search = ''">{{ t('common.showAll') }}</BButton>
  </p>
</template>

<style scoped>
.match {
  margin: 0;
  padding: 8px 16px;
}
</style>
