<script setup lang="ts">
import { computed } from 'vue';
import { PlainTable } from '../kit/parts/index.ts';

/** Rows as they stand in a file, cell by cell. */
const props = defineProps<{ cells: readonly (readonly string[])[]; hasHeadings: boolean }>();
const heads = computed(() => (props.hasHeadings ? (props.cells[0] ?? []) : []));
const rows = computed(() => (props.hasHeadings ? props.cells.slice(1) : props.cells));
</script>

<template>
  <div class="around">
    <PlainTable class="across">
      <thead v-if="heads.length > 0">
        <tr>
          <th v-for="(head, i) in heads" :key="i" scope="col">{{ head }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <td v-for="(cell, j) in row" :key="j" class="mono">{{ cell }}</td>
        </tr>
      </tbody>
    </PlainTable>
  </div>
</template>

<style scoped>
.around {
  overflow-x: auto;
}
th,
td {
  white-space: nowrap;
}
</style>
