<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { Undoable } from './useUndo.ts';
import { t } from '../words/index.ts';

/** What was just recorded, and its undoing; or why it was not. */
defineProps<{ acts: Pick<Undoable, 'made' | 'problem' | 'isBusy' | 'undo'> }>();
</script>

<template>
  <p v-if="acts.problem.value" class="told attention" role="alert">{{ acts.problem.value }}</p>
  <p v-else-if="acts.made.value.length > 0" class="told" role="status">
    {{ t('looseEnds.wasDone', { answer: acts.made.value.at(-1)?.words }) }}
    <BButton variant="quiet" size="sm" :disabled="acts.isBusy.value" @click="acts.undo()">
      {{ t('common.undo') }}
    </BButton>
  </p>
</template>

<style scoped>
/* What was done stands in sight, wherever on the page it was done. */
.told {
  position: sticky;
  top: 0;
  z-index: 4;
  margin: 0;
  padding: 6px 16px;
  background: var(--action-tint);
}
.attention {
  background: var(--attention-tint);
}
</style>
