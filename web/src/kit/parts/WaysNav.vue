<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router';
import type { Right } from '@wergon/contract/access';
import { useDesk } from '../useDesk.ts';

/** The pages of one place, of which each is another way into the same truth; those that somebody may not see are left out. */
export type Way = {
  readonly name: string;
  readonly words: string;
  readonly right: Right;
  /** What waits there; nothing where none does. */
  readonly count?: number;
};
const props = defineProps<{
  ways: readonly Way[];
  label: string;
  /** What goes along from one to the next. */
  query?: Readonly<Record<string, unknown>>;
}>();
const desk = useDesk();
const linkTo = (name: string) =>
  ({ name, ...(props.query ? { query: props.query } : {}) }) as RouteLocationRaw;
</script>

<template>
  <nav class="ways" :aria-label="label">
    <template v-for="way in ways" :key="way.name">
      <RouterLink
        v-if="desk.may(way.right)"
        :to="linkTo(way.name)"
        :class="{ here: $route.name === way.name }"
        >{{ way.words }}<span v-if="way.count" class="mono count">{{ way.count }}</span></RouterLink
      >
    </template>
    <slot />
  </nav>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  align-items: center;
  padding: 5px 16px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  font-size: var(--text-s);
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
.count {
  margin-left: 6px;
  color: var(--attention);
}
.here {
  color: var(--ink);
  font-weight: 700;
}
</style>
