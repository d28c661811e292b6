<script setup lang="ts">
import { t } from '../words/index.ts';

/** The head of a page about one order: its title, what can be done here, and the way back to it. */
defineProps<{ order: string; title: string; customer: string }>();
</script>

<template>
  <div class="order-head">
    <div>
      <h2>{{ title }}</h2>
      <p>{{ customer }}</p>
    </div>
    <p class="acts">
      <slot />
      <RouterLink :to="{ name: 'order', params: { order } }">{{ t('compare.toTheOrder') }}</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.order-head {
  display: flex;
  gap: 24px;
  align-items: flex-start;
  justify-content: space-between;
  padding: 12px 16px 2px;
}
h2 {
  margin: 0;
  font-size: var(--text-3xl);
  font-weight: 700;
}
p {
  margin: 2px 0 0;
  color: var(--ink-2);
}
.acts {
  display: flex;
  gap: 16px;
  align-items: center;
}
@media print {
  .acts {
    display: none;
  }
}
</style>
