<script setup lang="ts">
import { isWritable } from '../callRoute.ts';
</script>

<template>
  <div class="disk">
    <p v-if="!isWritable" role="alert">
      <b>The server’s disk cannot be written.</b> Nothing is recorded until there is room again; stations keep
      their scans and send them then.
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
