<script setup lang="ts">
import Yardstick from './Yardstick.vue';

const HOUR = 3600;
/** Every state a yardstick can be in; the page is compared with its picture. */
const STATES = [
  { name: 'not begun', estimate: 6, used: {} },
  { name: 'setup only', estimate: 6, used: { setup: 1 } },
  { name: 'setup, run, rework', estimate: 6, used: { setup: 1, run: 2.5, rework: 1.5 } },
  { name: 'exactly the estimate', estimate: 6, used: { run: 6 } },
  { name: 'a little over', estimate: 6, used: { setup: 0.5, run: 6 } },
  { name: 'over in rework', estimate: 6, used: { run: 5, rework: 2.5 } },
  { name: 'to the end of the scale', estimate: 6, used: { run: 9 } },
  { name: 'beyond the scale', estimate: 6, used: { setup: 2, run: 15, rework: 2 } },
  { name: 'estimate of 0', estimate: 0, used: { run: 2 } },
  { name: 'estimate of 0, not begun', estimate: 0, used: {} },
  { name: 'no estimate', estimate: null, used: { run: 2 } },
] as const;
const inSeconds = (used: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(used).map(([type, hours]) => [type, hours * HOUR]));
</script>

<template>
  <main>
    <section v-for="size in ['row', 'small', 'large'] as const" :key="size">
      <div v-for="state in STATES" :key="state.name" class="state">
        <span>{{ state.name }}</span>
        <Yardstick
          :estimated-seconds="state.estimate === null ? null : state.estimate * HOUR"
          :used="inSeconds(state.used)"
          :size="size"
          :label="state.name"
        />
      </div>
    </section>
  </main>
</template>

<style scoped>
main {
  padding: 24px;
  background: var(--sheet);
}
.state {
  display: grid;
  grid-template-columns: 220px 600px;
  align-items: center;
  padding: 7px 0;
}
section:last-child .state {
  padding: 34px 0 26px;
}
</style>
