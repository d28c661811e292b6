<script setup lang="ts">
import { computed } from 'vue';
import type { RatesJson } from '@wergon/contract/people';
import { t } from '../words/index.ts';

const props = defineProps<{ rate: RatesJson['records'][number] }>();
const parts = computed(() => {
  const total = Number(props.rate.costPerHour);
  return props.rate.lines.map((line) => ({
    ...line,
    share: total === 0 ? 0 : (Number(line.perHour) / total) * 100,
  }));
});
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
    <table>
      <tbody>
        <tr v-for="(part, i) in parts" :key="i">
          <td>{{ part.name }}</td>
          <td class="quiet">{{ part.amount }}</td>
          <td class="number figure">{{ part.perHour }}</td>
        </tr>
        <tr class="total">
          <th scope="row" colspan="2">{{ t('people.costOfAnHour') }}</th>
          <td class="number figure">{{ rate.costPerHour }}</td>
        </tr>
      </tbody>
    </table>
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
