<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Block, Board } from '@wergon/core/floor';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, sayClock, useDesk, linkToDay } from '../kit/index.ts';
import { QueryState } from '../kit/parts/index.ts';
import { ScanHistory } from '../ledger/index.ts';
import { t } from '../words/index.ts';

/** What a block of the tape is made of: its work, its order with customer and unit, and the scans at its ends. */
const props = defineProps<{
  technician: string;
  block: Extract<Block, { kind: 'work' }>;
  board: Board;
  unit: string;
  day: LocalDay;
}>();
defineEmits<{ close: [] }>();
const desk = useDesk();
const day = computed(() => formatDay(props.day));
const query = useQuery({
  queryKey: ['person-day', computed(() => props.technician), day],
  queryFn: () => callRoute('personDay', { query: { technician: props.technician, day: day.value } }),
  enabled: computed(() => desk.may('reconcile.see')),
});
const stint = computed(() => query.data.value?.stints.find(({ from }) => from === props.block.stint.from));
const work = computed(() =>
  props.block.running.map(({ target, workType }) => {
    const known = props.board.targets.get(target);
    const order = known?.kind === 'task' ? props.board.orders.get(known.order) : undefined;
    return { target, workType, title: known?.title ?? '', order };
  }),
);
</script>

<template>
  <div class="scans">
    <p v-for="each in work" :key="each.target">
      <template v-if="each.order">
        <RouterLink :to="{ name: 'order', params: { order: each.order.id } }">{{
          each.order.number
        }}</RouterLink>
        {{ each.title }}, {{ each.order.title }}
        <span class="quiet">{{ [each.order.customer, unit].filter((part) => part).join(' · ') }}</span>
      </template>
      <template v-else>{{ each.title }}</template>
      <span v-if="each.workType !== 'run'" class="quiet"> {{ t(`workTypes.${each.workType}`) }}</span>
    </p>
    <p>
      <span class="figure">{{ sayClock(board.facts.zone, block.stint.from) }}</span> {{ t('common.toWord') }}
      <span class="figure">{{
        block.isOpen ? t('common.now') : sayClock(board.facts.zone, block.stint.to)
      }}</span>
      <span v-if="block.isTorn" class="attention"> · {{ t('floor.endedByTheRuleBecauseNobody') }}</span>
    </p>
    <template v-if="desk.may('reconcile.see')">
      <QueryState
        v-if="!query.data.value"
        :is-pending="query.isPending.value"
        :error="query.error.value"
        @retry="query.refetch()"
      />
      <ol v-else-if="stint">
        <ScanHistory :scan="stint.opened" />
        <ScanHistory v-if="stint.closed" :scan="stint.closed" />
      </ol>
    </template>
    <p class="acts">
      <RouterLink
        v-if="desk.may('reconcile.see')"
        class="btn btn-quiet btn-sm"
        :to="linkToDay(technician, props.day)"
        >{{
          desk.may('ledger.correct') ? t('floor.putItRightOnTheTape') : t('floor.theWholeDay')
        }}</RouterLink
      >
      <BButton variant="quiet" size="sm" @click="$emit('close')">{{ t('common.close') }}</BButton>
    </p>
  </div>
</template>

<style scoped>
.scans {
  padding: 8px 16px 10px calc(var(--col-name) + 14px);
  background: var(--action-tint);
  border-bottom: 1px solid var(--line);
}
p {
  margin: 0;
}
ol {
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
.acts {
  display: flex;
  gap: 8px;
  padding-top: 6px;
}
</style>
