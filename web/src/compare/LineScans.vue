<script setup lang="ts">
import type { Instant } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { ToldLine } from './figures.ts';
import { formatDay } from '@wergon/core/time';
import { callRoute, sayInstant, useDesk, linkToDay } from '../kit/index.ts';
import { QueryState } from '../kit/parts/index.ts';
import LineCost from './LineCost.vue';
import { ScanHistory } from '../ledger/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ line: ToldLine; target: string }>();
const desk = useDesk();
const query = useQuery({
  queryKey: [
    'line',
    computed(() => [props.line.technician, props.target, props.line.workType, props.line.day]),
  ],
  queryFn: () => {
    const { technician, workType, day } = props.line;
    const query = { technician, target: props.target, workType, day: formatDay(day) };
    return callRoute('line', { query });
  },
});

/** The day of a stint, where it can be put right. */
const dayOf = (from: Instant) =>
  linkToDay(props.line.technician, desk.zone ? desk.zone.dayAt(from) : props.line.day);
const clock = (at: Instant) => (desk.zone ? sayInstant(desk.zone, at) : '');
</script>

<template>
  <QueryState
    v-if="!query.data.value"
    :is-pending="query.isPending.value"
    :error="query.error.value"
    @retry="query.refetch()"
  />
  <ul v-else class="scans">
    <li v-for="stint in query.data.value.stints" :key="stint.from">
      <b class="figure">{{ desk.exactHours(stint.seconds) }}</b>
      <div>
        {{
          t('compare.fromTo', {
            time: clock(stint.from),
            end: stint.isOpen ? t('common.now') : clock(stint.to),
          })
        }}
        <span v-if="stint.sharedWith.length > 0" class="quiet">
          · {{ t('compare.sharedWith', { titles: stint.sharedWith.join(', ') }) }}</span
        >
        <span v-if="stint.isCapped" class="attention">
          · {{ t('compare.endedAutomaticallyBecauseNobody') }}</span
        >
        <RouterLink v-if="desk.may('reconcile.see')" :to="dayOf(stint.from)" class="cure">{{
          desk.may('ledger.correct') ? t('compare.correctThisDay') : t('common.openThisDay')
        }}</RouterLink>
        <ol>
          <ScanHistory :scan="stint.opened" />
          <ScanHistory v-if="stint.closed" :scan="stint.closed" />
        </ol>
      </div>
    </li>
    <li v-for="each in query.data.value.hours" :key="each.entry.id">
      <b class="figure">{{ desk.exactHours(each.seconds) }}</b>
      <div>
        <ol>
          <ScanHistory :scan="each.entry" />
        </ol>
      </div>
    </li>
  </ul>
  <LineCost v-if="query.data.value" :line="line" :target="target" />
</template>

<style scoped>
.scans {
  margin: 0;
  padding: 6px 0 0;
  list-style: none;
}
.cure {
  margin-left: 12px;
}
.scans > li {
  display: grid;
  grid-template-columns: 80px 1fr;
  padding: 4px 0;
}
ol {
  margin: 2px 0 0;
  padding: 0;
  color: var(--ink-2);
  font-size: var(--text-s);
  list-style: none;
}
</style>
