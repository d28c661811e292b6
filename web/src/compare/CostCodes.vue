<script setup lang="ts">
import { computed } from 'vue';
import type { TaskRow } from '@wergon/contract/compare';
import { sumByCostCode } from '@wergon/core/compare';
import { useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Time of an order by cost code, where the shop uses them. */
const props = defineProps<{ tasks: readonly TaskRow[] }>();
const desk = useDesk();
const rows = computed(() =>
  sumByCostCode(
    props.tasks
      .filter(({ isAccepted, lines }) => isAccepted || lines.length > 0)
      .map(({ costCode, comparison }) => ({ costCode, ...comparison })),
  ),
);
const columns: readonly Column<(typeof rows.value)[number]>[] = [
  {
    id: 'code',
    title: t('compare.costCode'),
    isRowHead: true,
    value: ({ costCode }) => costCode || t('compare.noCostCode'),
  },
  {
    id: 'estimated',
    title: t('compare.estimatedHead'),
    class: 'figure number',
    value: ({ estimatedSeconds }) => desk.hours(estimatedSeconds),
  },
  {
    id: 'used',
    title: t('compare.usedHead'),
    class: 'figure number',
    value: ({ usedSeconds }) => desk.hours(usedSeconds),
  },
];
</script>

<template>
  <section v-if="rows.length > 0" class="codes" :aria-label="t('compare.timeByCostCode')">
    <h3 class="list-head">{{ t('compare.timeByCostCode') }}</h3>
    <DataTable class="across" :rows="rows" :columns="columns" :row-key="({ costCode }) => costCode" />
  </section>
</template>

<style scoped>
.codes {
  max-width: 560px;
  padding: 8px 16px;
}
</style>
