<script setup lang="ts">
import { isWritable } from '../callRoute.ts';
import { t } from '../../words/index.ts';
</script>

<template>
  <div class="disk">
    <p v-if="!isWritable" role="alert">
      <b>{{ t('kit.theServersDiskCannotBeWritten') }}</b> {{ t('kit.nothingIsRecordedUntilThere') }}
    </p>
  </div>
</template>

<style scoped>
.disk {
  grid-column: 1 / -1;
}
p {
  margin: 0;
  padding: 8px 24px;
  background: var(--attention);
  color: var(--sheet);
}
</style>
