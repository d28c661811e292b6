<script setup lang="ts">
import { useDesk } from '../desk/useDesk.ts';
import PeopleSection from '../people/PeopleSection.vue';
import ActivitySection from './ActivitySection.vue';
import StationSection from './StationSection.vue';

const desk = useDesk();
</script>

<template>
  <main class="shop">
    <h1>{{ desk.session?.shopName }}</h1>
    <p class="quiet">
      {{ desk.session?.zone }}, {{ desk.session?.currency
      }}<template v-if="desk.session?.isDemo"> · demo clock</template>
    </p>
    <StationSection />
    <PeopleSection />
    <ActivitySection />
  </main>
</template>

<style lang="scss">
.shop {
  padding: 14px 16px 40px;
  overflow: auto;

  h1 {
    margin: 0;
    font-size: 24px;
    font-weight: 700;
  }

  h2 {
    margin: 26px 0 6px;
    padding-bottom: 4px;
    border-bottom: 1px solid var(--ink);
    font-size: 18px;
    font-weight: 700;
  }

  table {
    width: 100%;
    max-width: 1100px;
    background: var(--sheet);
    border-collapse: collapse;
  }

  th {
    color: var(--ink-2);
    font-size: 13px;
    font-weight: 400;
  }

  th,
  td {
    padding: 4px 10px;
    border-bottom: 1px solid var(--line);
  }

  .add {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin-top: 10px;
  }

  .add .form-control,
  .add .form-select {
    width: auto;
  }

  [role='alert'] {
    min-height: 1.5em;
    margin: 4px 0;
  }
}
</style>
