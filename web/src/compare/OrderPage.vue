<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { addDays, mondayOf } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { callRoute, sayDate, useDesk, useToday } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import { sayState, OfferPanel, OrderActs, OrderPapers } from '../work/index.ts';
import { sayOrderBalance, sayPieces } from './figures.ts';
import CostCodes from './CostCodes.vue';
import LaborRuler from './LaborRuler.vue';
import SignedOutWords from './SignedOutWords.vue';
import ScaleHead from './ScaleHead.vue';
import TaskLines from './TaskLines.vue';
import { t } from '../words/index.ts';

const REFRESH_MS = 60_000;
const DAYS = 28;

const desk = useDesk();
const route = useRoute();
const id = computed(() => String(route.params['order']));
const query = useQuery({
  queryKey: ['order', id],
  queryFn: () => callRoute('order', { params: { order: id.value } }),
  refetchInterval: REFRESH_MS,
});
/** Looked up beside the order, as in the list of orders: it takes longer. */
const unapproved = useQuery({
  queryKey: ['order', id, 'unapproved'],
  queryFn: () => callRoute('unapprovedOrder', { params: { order: id.value } }),
});
const unapprovedSeconds = computed(() => unapproved.data.value?.seconds ?? 0);
const search = ref('');
const shift = ref(0);
/** A page that speaks of one task leads to it. */
const askedTask = () => (typeof route.query['task'] === 'string' ? route.query['task'] : null);
const opened = ref<string | null>(askedTask());
watch(id, () => {
  opened.value = askedTask();
  shift.value = 0;
});

const order = computed(() => query.data.value?.order);
const today = useToday();
const firstDay = computed(() => addDays(mondayOf(today.value), (shift.value - 3) * 7));
const tasks = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (query.data.value?.tasks ?? []).filter(
    ({ title, workCenter, lines }) =>
      words === '' ||
      `${title} ${workCenter} ${lines.map(({ name }) => name).join(' ')}`.toLowerCase().includes(words),
  );
});
/** A job that goes on is not under yet; over is said as soon as it is true. */
const saysDifference = computed(
  () => order.value?.isFinished === true || Number(order.value?.comparison.costDifference ?? 0) > 0,
);
const balance = computed(
  () =>
    order.value &&
    sayOrderBalance(
      order.value.comparison,
      query.data.value?.tasks ?? [],
      order.value.hasEstimate,
      desk.hoursStyle,
    ),
);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    class="work"
    :title="order ? t('compare.order', { number: order.number }) : t('common.order')"
    :step="t('kit.stepWeek')"
    :today="t('kit.toThisWeek')"
    :search-label="t('kit.findTaskPerson')"
    @back="shift -= 1"
    @on="shift += 1"
    @today="shift = 0"
  >
    <template #ruler>
      <LaborRuler :tasks="query.data.value?.tasks ?? []" :first-day="firstDay" :days="DAYS" :today="today" />
    </template>
    <QueryState
      v-if="!order"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="title">
        <div>
          <h2>{{ order.title }}</h2>
          <p>
            {{ order.customer }} · {{ t('compare.pieces', { n: order.quantity }) }}
            <template v-if="order.due"> · {{ t('compare.due', { day: sayDate(order.due) }) }}</template>
            <template v-if="order.unit">
              ·
              <RouterLink :to="{ name: 'unit', params: { unit: order.unit } }">{{
                order.unitWords
              }}</RouterLink></template
            >
            <template v-if="order.item"> · {{ order.item }}</template>
            <template v-if="order.division"> · {{ order.division }}</template>
            <template v-if="order.jobType"> · {{ order.jobType }}</template> ·
            <b>{{ sayState(order.state) }}</b>
            <template v-if="order.peopleOn.length > 0">
              · {{ t('compare.onItNow', { names: order.peopleOn.join(', ') }) }}</template
            >
          </p>
        </div>
        <OrderActs :order="order" :tasks="query.data.value?.tasks ?? []" />
      </div>
      <OfferPanel :order="order" />
      <div class="counts">
        <span
          ><b class="figure">{{ desk.hours(order.comparison.actualSeconds) }}</b>
          {{
            order.hasEstimate
              ? t('compare.usedOf', { hours: desk.hours(order.comparison.estimatedSeconds) })
              : t('compare.used')
          }}</span
        >
        <span v-if="balance && order.hasEstimate"
          ><span :class="{ attention: balance.isOver }"
            ><b class="figure">{{ balance.hours }}</b> {{ balance.word }}</span
          ><template v-if="balance.also"
            >{{ balance.isAlsoOfSum ? ' ' : '; ' }}{{ balance.also }}</template
          ></span
        >
        <span v-if="order.comparison.outsideSeconds > 0" :title="t('compare.workTypesThatTheEstimateDoes')"
          ><b class="figure">{{ desk.hours(order.comparison.outsideSeconds) }}</b>
          {{ t('compare.outsideTheEstimate', { money: desk.money(order.comparison.outsideCost) }) }}</span
        >
        <span v-if="unapprovedSeconds > 0" :title="t('compare.itCountsInTheJobsCostAtOnce')"
          ><b class="figure">{{ desk.hours(unapprovedSeconds) }}</b> {{ t('common.notYetApproved') }}</span
        >
        <span :title="desk.costTitle"
          ><b class="figure">{{ desk.money(order.comparison.actualCost) }}</b>
          {{
            t('compare.of', {
              cost: desk.costWord,
              money: desk.money(order.comparison.estimatedCost),
            })
          }}<template v-if="saysDifference"
            >, {{ order.comparison.costDifference.startsWith('-') ? '' : '+'
            }}{{ desk.money(order.comparison.costDifference) }}</template
          ></span
        >
        <RouterLink
          v-if="order.comparison.actualSeconds > 0"
          :to="{ name: 'why', params: { order: order.id } }"
          >{{ t('compare.whyItDiffers') }}</RouterLink
        >
        <RouterLink
          v-if="order.comparison.actualSeconds > 0"
          :to="{ name: 'report', params: { order: order.id } }"
          >{{ t('compare.byDay') }}</RouterLink
        >
        <span v-if="order.pieces">{{ sayPieces(order.pieces, order.quantity) }}</span>
        <SignedOutWords :people="order.signedOut" />
        <span v-if="order.comparison.uncostedLines > 0" class="attention">{{
          t('compare.linesLackARate', { n: order.comparison.uncostedLines })
        }}</span>
      </div>
      <p v-if="search" class="filtered" role="status">
        {{ t('compare.ofTasksMatch', { n: tasks.length, n2: query.data.value?.tasks.length, search }) }}
        <BButton variant="quiet" size="sm" @click="search = ''">{{ t('common.showAll') }}</BButton>
      </p>
      <div class="list">
        <ScaleHead :first="t('common.task')" :last="t('compare.stateHead')" />
        <TaskLines
          v-for="task in tasks"
          :key="task.id"
          :task="task"
          :order="order.id"
          :quantity="order.quantity"
          :is-open="opened === task.id"
          @toggle="opened = opened === task.id ? null : task.id"
        />
        <span class="estimate-line" aria-hidden="true"></span>
      </div>
      <CostCodes :tasks="query.data.value?.tasks ?? []" />
      <OrderPapers :order="order" />
      <p class="legend">
        <span><i class="swatch setup"></i>{{ t('common.setup') }}</span
        ><span><i class="swatch run"></i>{{ t('compare.run') }}</span
        ><span><i class="swatch rework"></i>{{ t('common.rework') }}</span
        ><span><i class="swatch over"></i>{{ t('compare.overTheEstimate') }}</span>
        <span
          >{{ t('compare.openATaskForItsLaborLinesAnd') }}
          <RouterLink :to="{ name: 'work' }">{{ t('compare.allOrders') }}</RouterLink></span
        >
      </p>
    </template>
  </DeskFrame>
</template>

<style src="./rows.scss" lang="scss"></style>
<style scoped>
.title {
  display: flex;
  gap: 24px;
  align-items: flex-start;
  justify-content: space-between;
  padding: 12px 16px 2px;
}
h2 {
  margin: 0;
  font-size: var(--text-3xl);
  font-weight: 700;
}
.title p {
  margin: 2px 0 0;
  color: var(--ink-2);
}
.filtered {
  margin: 0;
  padding: 6px 16px;
}
</style>
