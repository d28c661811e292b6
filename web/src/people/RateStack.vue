<script setup lang="ts">
import { computed } from 'vue';
import type { RatesJson } from '@wergon/contract/people';
import { t } from '../words/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';

const props = defineProps<{ rate: RatesJson['records'][number] }>();
const parts = computed(() => {
  const total = Number(props.rate.costPerHour);
  return props.rate.lines.map((line) => ({
    ...line,
    share: total === 0 ? 0 : (Number(line.perHour) / total) * 100,
  }));
});
const columns: readonly Column<(typeof parts.value)[number]>[] = [
  { id: 'name', value: ({ name }) => name },
  { id: 'amount', class: 'quiet', value: ({ amount }) => amount },
  { id: 'perHour', class: 'number figure', value: ({ perHour }) => perHour },
];
</script>

<template>
  <div>
    <div class="stack" aria-hidden="true">
      <span
        v-for="(part, i) in parts"
        :key="i"
        class="part"
        :class="{ base: i === 0 }"
        :style="{ width: `${part.share}%` }"
      ></span>
    </div>
    <DataTable :rows="parts" :columns="columns" :row-key="(_part, i) => i">
      <template #foot>
        <tr class="total">
          <th scope="row" colspan="2">{{ t('people.costOfAnHour') }}</th>
          <td class="number figure">{{ rate.costPerHour }}</td>
        </tr>
      </template>
    </DataTable>
  </div>
</template>

<style scoped lang="scss">
.stack {
  display: flex;
  height: 14px;
  margin: 4px 0;
}
.part {
  background-color: var(--sheet);
  background-image: repeating-linear-gradient(-45deg, var(--bar) 0 2px, transparent 2px 6px);
  border: 1px solid var(--bar);
  border-left: 0;
}
.part.base {
  background: var(--bar);
}
.total th,
.total td {
  color: var(--ink);
  font-size: var(--text-m);
  font-weight: 700;
}
</style>
