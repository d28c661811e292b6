<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { WhyJson } from '@wergon/contract/compare';
import BridgeChart from './BridgeChart.vue';
import OrderHead from './OrderHead.vue';
import { bridgeOf, largestCause, sayHoursMore, sayMoneyMore, sayShare, sayWhy } from './whyWords.ts';
import type { BridgeBar } from './whyWords.ts';
import type { Cause, DifferenceUnit } from '@wergon/core/compare';
import { formatCents, toCents } from '@wergon/core/money';
import { marginOf } from '@wergon/core/work';
import { callRoute, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, DeskFrame, QueryState } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Why an order costs other than estimated: how much in all, the causes, and the tasks that they are made of. */
const desk = useDesk();
const route = useRoute();
const router = useRouter();
const order = computed(() => String(route.params['order'] ?? ''));
const query = useQuery({
  queryKey: ['why', order],
  queryFn: () => callRoute('why', { params: { order: order.value } }),
});
const unit = ref<DifferenceUnit>('money');
const isAgainstFirst = ref(false);

type Sums = Pick<WhyJson, 'current' | 'first'>;
const againstOf = (sums: Sums) => (isAgainstFirst.value ? sums.first : sums.current);
const told = computed(() => query.data.value);
const against = computed(() => told.value && againstOf(told.value));
const hasChanged = computed(() => told.value?.first.causes.some(({ cause }) => cause === 'changed') ?? false);
const bars = computed(() => (against.value ? bridgeOf(against.value, unit.value, desk) : []));
const largest = computed(() => {
  const cause = against.value && largestCause(against.value.causes);
  return cause
    ? t('compare.largestCause', { cause: t(`causes.${cause.cause}`), money: sayMoneyMore(cause.cents, desk) })
    : t('compare.nothingDiffers');
});

type Row = WhyJson['tasks'][number];
/** The cause of which the tasks are looked at. */
const chosen = ref<Cause | null>(null);
const shareOfCause = (row: Row) => againstOf(row).causes.find(({ cause }) => cause === chosen.value);
const rows = computed(() => {
  const tasks = told.value?.tasks ?? [];
  if (chosen.value === null) return tasks;
  const sizeOf = (row: Row) => {
    const { cents = 0, seconds = 0 } = shareOfCause(row) ?? {};
    return Math.abs(unit.value === 'money' ? cents : seconds);
  };
  return tasks.filter(shareOfCause).sort((a, b) => sizeOf(b) - sizeOf(a));
});
/** A cause leads to the tasks that have it, the actual to the order with its labor, day by day. */
function choose(id: BridgeBar['id']): void {
  if (id === 'actual') void router.push({ name: 'order', params: { order: order.value } });
  else chosen.value = id === 'estimated' || id === chosen.value ? null : id;
}
function sayWhyOf(row: Row): string {
  if (chosen.value === null) return sayWhy(againstOf(row).causes, desk);
  const own = shareOfCause(row);
  if (!own) return '';
  const hours = own.seconds === 0 ? [] : [sayHoursMore(own.seconds, desk)];
  return [t(`causes.${own.cause}`), ...hours, sayMoneyMore(own.cents, desk)].join(' ');
}
const share = ({ current }: Row) => sayShare(current.measuredSeconds, current.includedSeconds);
/** What a sold order earns: by its estimate, and, once it is done, by what it cost. */
const margins = computed(() => {
  const { price = null, tasks = [], isFinished = false, actualCost, outsideCost } = told.value ?? {};
  const say = (...costs: readonly (number | undefined)[]) => {
    const margin = marginOf(price, toCents(costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0)));
    return margin === null ? '' : sayMoneyMore(margin, desk).replace(/^\+/, '');
  };
  if (price === null) return undefined;
  return {
    price: desk.money(formatCents(price)),
    estimated: say(...tasks.map(({ wholeEstimatedCost }) => wholeEstimatedCost)),
    ...(isFinished ? { actual: say(actualCost, outsideCost) } : {}),
  };
});
const columns = computed((): readonly Column<Row>[] => [
  { id: 'task', title: t('common.task'), isRowHead: true },
  {
    id: 'estimated',
    title: t('compare.estimatedHead'),
    class: 'number figure',
    value: (row) => (row.hasEstimate ? desk.hours(row.wholeEstimateSeconds) : t('compare.noEstimate')),
  },
  {
    id: 'actual',
    title: t('compare.usedHead'),
    class: 'number figure',
    value: ({ actualSeconds }) => desk.hours(actualSeconds),
  },
  {
    id: 'hours',
    title: t('common.hours'),
    class: 'number figure',
    value: (row) => sayHoursMore(againstOf(row).differenceSeconds, desk),
  },
  {
    id: 'cost',
    title: desk.costWords,
    class: 'number figure',
    value: (row) => sayMoneyMore(againstOf(row).difference, desk),
  },
  { id: 'why', title: t('compare.whyHead'), value: sayWhyOf },
  { id: 'measured', title: t('compare.measuredHead'), class: 'number figure', value: share },
]);
</script>

<template>
  <DeskFrame
    :title="told ? t('compare.whyDiffers', { number: told.number }) : ''"
    :lead="t('compare.whyLead')"
  >
    <QueryState
      v-if="!told || !against"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <OrderHead :order="order" :title="told.title" :customer="told.customer">
        <BButton
          variant="quiet"
          :aria-pressed="unit === 'hours'"
          @click="unit = unit === 'money' ? 'hours' : 'money'"
          >{{ unit === 'money' ? t('compare.inHours') : t('compare.inMoney') }}</BButton
        >
        <BButton v-if="hasChanged" :aria-pressed="isAgainstFirst" @click="isAgainstFirst = !isAgainstFirst">{{
          isAgainstFirst ? t('compare.againstCurrent') : t('compare.againstFirst')
        }}</BButton>
      </OrderHead>
      <p class="counts">
        <span
          ><b class="figure" :class="{ attention: against.difference > 0 }">{{
            sayMoneyMore(against.difference, desk)
          }}</b>
          {{ told.isFinished ? t('compare.inAll') : t('compare.soFarWord') }}</span
        >
        <span
          ><b class="figure">{{ sayHoursMore(against.differenceSeconds, desk) }}</b>
          {{ t('compare.hoursWord') }}</span
        >
        <span>{{ largest }}</span>
        <span v-if="told.outsideSeconds > 0"
          ><b class="figure">{{ desk.hours(told.outsideSeconds) }}</b>
          {{ t('compare.outsideTheEstimate', { money: desk.money(formatCents(told.outsideCost)) }) }}</span
        >
        <span v-if="margins"
          >{{ t('compare.soldFor', { money: margins.price }) }}, {{ t('compare.marginExpected') }}
          <b class="figure">{{ margins.estimated }}</b><template v-if="margins.actual !== undefined"
            >, {{ t('compare.marginCame') }} <b class="figure">{{ margins.actual }}</b></template
          ></span
        >
      </p>
      <BridgeChart
        :bars="bars"
        :label="t('compare.bridgeOf', { number: told.number })"
        :chosen="chosen ?? 'estimated'"
        @choose="choose"
      />
      <p v-if="chosen" class="none" role="status">
        {{ t('compare.tasksOfCause', { cause: t(`causes.${chosen}`), n: rows.length }) }}
        <BButton variant="quiet" size="sm" @click="chosen = null">{{ t('common.showAll') }}</BButton>
      </p>
      <DataTable class="across" :rows="rows" :columns="columns" :row-key="({ id }) => id">
        <template #task="{ row }">
          <RouterLink :to="{ name: 'order', params: { order }, query: { task: row.id } }"
            ><span class="figure">{{ row.position }}</span> {{ row.title }}</RouterLink
          >
        </template>
        <template #caption
          ><span class="visually-hidden">{{
            t('compare.whyDiffers', { number: told.number })
          }}</span></template
        >
      </DataTable>
      <p v-if="told.tasks.length === 0" class="quiet none">{{ t('compare.noTasksYet') }}</p>
      <p class="quiet none">
        {{ told.costs === 'actual' ? t('compare.causesExplained') : t('compare.causesAtStandard') }}
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.counts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  align-items: baseline;
  margin: 0;
  padding: 8px 16px 12px;
}
.counts b {
  font-size: var(--text-2xl);
}
.attention {
  color: var(--attention);
}
.none {
  margin: 0;
  padding: 12px 16px;
}
</style>
