<script setup lang="ts">
import { useDesk } from '../useDesk.ts';

/** The other ways into the same truth, in the order in which a day is made true. */
const desk = useDesk();
const WAYS = [
  { name: 'reconcile', words: 'Loose ends', right: 'reconcile.see' },
  { name: 'week', words: 'A person’s week', right: 'reconcile.see' },
  { name: 'job-hours', words: 'A job, many people', right: 'ledger.correct' },
  { name: 'slips', words: 'Paper slips', right: 'ledger.correct' },
  { name: 'accounted', words: 'Accounted', right: 'reconcile.see' },
  { name: 'approve', words: 'Approve', right: 'reconcile.see' },
  { name: 'trail', words: 'Trail', right: 'ledger.see' },
] as const;
</script>

<template>
  <nav class="ways" aria-label="Ways to put time right">
    <template v-for="way in WAYS" :key="way.name">
      <RouterLink
        v-if="desk.may(way.right)"
        :to="{ name: way.name }"
        :class="{ here: $route.name === way.name }"
        >{{ way.words }}</RouterLink
      >
    </template>
  </nav>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  padding: 5px 16px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  font-size: 14px;
}
a {
  padding: 2px 0;
  color: var(--ink-2);
  text-decoration: none;
}
a:hover {
  color: var(--ink);
  text-decoration: underline;
}
.here {
  color: var(--ink);
  font-weight: 700;
}
</style>
