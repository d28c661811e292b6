<script setup lang="ts">
import type { OfferJson } from '@wergon/contract/work';
import { useDesk } from '../kit/index.ts';
import { PlainTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** The lines of an offer with what they come to; what has no price is included. */
defineProps<{
  lines: OfferJson['lines'];
  total: string;
  /** Lines that the customer did not take. */
  dropped?: ReadonlySet<string>;
}>();
const desk = useDesk();
</script>

<template>
  <PlainTable class="across">
    <thead>
      <tr>
        <th scope="col">{{ t('work.whatIsDone') }}</th>
        <th scope="col" class="number">{{ t('common.hours') }}</th>
        <th scope="col" class="number">{{ t('work.price') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in lines" :key="line.id" :class="{ dropped: dropped?.has(line.id) }">
        <td>{{ line.text }}</td>
        <td class="figure number">{{ line.seconds === null ? '' : desk.hours(line.seconds) }}</td>
        <td class="figure number">{{ line.price === null ? t('work.included') : desk.money(line.price) }}</td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <th scope="row" colspan="2">{{ t('work.offerTotal') }}</th>
        <td class="figure number">
          <b>{{ desk.money(total) }}</b>
        </td>
      </tr>
    </tfoot>
  </PlainTable>
</template>

<style scoped>
.dropped {
  color: var(--ink-2);
  text-decoration: line-through;
}
tfoot th {
  text-align: right;
}
</style>
