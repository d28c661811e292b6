<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { ComparedCenter, ComparedMachine } from '@wergon/contract/compare';
import { idleSeconds } from '@wergon/core/compare';
import { overlapSeconds, sumSeconds, toInstant, toSeconds } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, sayClock, useDesk } from '../../kit/index.ts';
import type { Column } from '../../kit/index.ts';
import { DataTable, PlainButton, QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { sayShare } from '../whyWords.ts';
import CapacityForm from './CapacityForm.vue';
import CompareFrame from './CompareFrame.vue';
import StackedBars from './StackedBars.vue';
import { partsOfUse } from './stackedParts.ts';
import { hourStep, useBars } from './useBars.ts';
import { usePeriod } from './usePeriod.ts';

/** How long machines were used, were down and stood idle, and what people did at work centers, against what is available. */
const desk = useDesk();
const period = usePeriod('week');
const query = useQuery({
  queryKey: ['compared-machines', period.asked],
  queryFn: () => callRoute('comparedMachines', { query: period.asked.value }),
  placeholderData: keepPreviousData,
});
const told = computed(() => query.data.value);
const opened = ref<string | null>(null);
const toggle = (name: string) => (opened.value = opened.value === name ? null : name);
const charted = computed(() => {
  const own = told.value?.machines.find(({ name }) => name === opened.value);
  return own ? [own] : (told.value?.machines ?? []);
});
const bars = computed(() => useBars(charted.value, period.firstDay.value, period.lastDay.value));
const isDay = computed(() => period.firstDay.value === period.lastDay.value);

/** What was available up to today, and neither used nor down: day by day, so that a long day makes up for no other. */
const idleOf = ({ availableSeconds, days }: ComparedMachine) =>
  availableSeconds === null ? null : days.reduce((sum, day) => sum + idleSeconds(day), 0);
const length = (seconds: number | null) => (seconds === null || seconds === 0 ? '' : desk.hours(seconds));
const sayTypes = (used: ComparedMachine['byWorkType']) =>
  WORK_TYPES.flatMap((type) => {
    const seconds = used[type] ?? 0;
    return seconds === 0 ? [] : [`${t(`workTypes.${type}`)} ${desk.hours(seconds)}`];
  }).join(', ');
const figure = 'number figure';
const machineColumns = computed((): readonly Column<ComparedMachine>[] => [
  { id: 'name', title: t('compare.machineHead'), isRowHead: true },
  { id: 'center', title: t('common.workCenter'), value: ({ workCenter }) => workCenter },
  {
    id: 'used',
    title: t('compare.usedHead'),
    class: figure,
    value: ({ usedSeconds }) => length(usedSeconds),
  },
  { id: 'types', title: t('compare.forWhat'), value: ({ byWorkType }) => sayTypes(byWorkType) },
  {
    id: 'down',
    title: t('compare.downHead'),
    class: figure,
    value: ({ downSeconds }) => length(downSeconds),
    cellClass: ({ downSeconds }) => (downSeconds > 0 ? 'attention' : ''),
  },
  { id: 'idle', title: t('compare.idleHead'), class: figure, value: (row) => length(idleOf(row)) },
  {
    id: 'available',
    title: t('compare.availableHead'),
    class: figure,
    value: ({ availableSeconds }) => length(availableSeconds),
  },
  {
    id: 'utilization',
    title: t('compare.utilizationHead'),
    class: figure,
    value: ({ usedSeconds, availableSeconds }) =>
      availableSeconds === null ? '' : sayShare(usedSeconds, availableSeconds),
  },
]);
const centerColumns = computed((): readonly Column<ComparedCenter>[] => [
  { id: 'name', title: t('common.workCenter'), isRowHead: true },
  { id: 'hours', title: t('compare.personHours'), class: figure, value: ({ seconds }) => length(seconds) },
  { id: 'types', title: t('compare.forWhat'), value: ({ byWorkType }) => sayTypes(byWorkType) },
  {
    id: 'available',
    title: t('compare.availableHead'),
    class: figure,
    value: ({ availableSeconds }) => length(availableSeconds),
  },
  {
    id: 'utilization',
    title: t('compare.utilizationHead'),
    class: figure,
    value: ({ seconds, availableSeconds }) =>
      availableSeconds === null ? '' : sayShare(seconds, availableSeconds),
  },
]);
const sums = computed(() => {
  const machines = told.value?.machines ?? [];
  const sum = (of: (machine: ComparedMachine) => number | null) =>
    sumSeconds(machines.map((machine) => ({ seconds: toSeconds(of(machine) ?? 0) })));
  // Only those whose hours are set say how much of them was used.
  const known = machines.filter(({ availableSeconds }) => availableSeconds !== null);
  return {
    used: sum(({ usedSeconds }) => usedSeconds),
    down: sum(({ downSeconds }) => downSeconds),
    share: sayShare(
      sumSeconds(known.map(({ usedSeconds: seconds }) => ({ seconds }))),
      sumSeconds(known.map(({ availableSeconds }) => ({ seconds: availableSeconds ?? toSeconds(0) }))),
    ),
    unset: machines.length - known.length,
  };
});
/** The day as a ruler, for lanes. */
const lanes = computed(() => {
  const { zone } = desk;
  if (!isDay.value || !zone) return [];
  const day = { from: zone.startOf(period.firstDay.value), to: zone.startOf(period.lastDay.value) };
  const end = toInstant(day.from + 86_400);
  const whole = { from: day.from, to: end };
  const percent = (seconds: number) => `${(seconds / 86_400) * 100}%`;
  return (told.value?.machines ?? []).map(({ name, spans }) => ({
    name,
    blocks: spans.map(({ from, to, workType }) => ({
      key: from,
      workType,
      left: percent(Math.max(0, from - day.from)),
      width: percent(overlapSeconds({ from, to }, whole)),
      title: `${t(`workTypes.${workType}`)} ${sayClock(zone, from)} – ${sayClock(zone, to)}`,
    })),
  }));
});
const HOURS = [0, 4, 8, 12, 16, 20];
</script>

<template>
  <CompareFrame :period="period" :lead="t('compare.machinesLead')">
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span
          ><b class="figure">{{ desk.hours(sums.used) }}</b> {{ t('machineParts.used') }}</span
        >
        <span v-if="sums.down > 0" class="attention"
          ><b class="figure">{{ desk.hours(sums.down) }}</b> {{ t('machineParts.down') }}</span
        >
        <span v-if="sums.share !== ''"
          ><b class="figure">{{ sums.share }}</b> {{ t('compare.ofAvailable') }}</span
        >
        <span v-if="sums.unset > 0">{{ t('compare.withoutHours', { n: sums.unset }) }}</span>
      </p>
      <p v-if="told.machines.length === 0" class="none">
        {{ t('compare.noMachines') }}
        <RouterLink :to="{ name: 'lists' }">{{ t('compare.toTheLists') }}</RouterLink>
      </p>
      <template v-else>
        <div v-if="isDay" class="lanes" role="img" :aria-label="t('compare.machinesOfTheDay')">
          <div class="lane hours" aria-hidden="true">
            <span></span
            ><span class="track"
              ><i
                v-for="hour in HOURS"
                :key="hour"
                class="figure"
                :style="{ left: `${(hour / 24) * 100}%` }"
                >{{ hour }}</i
              ></span
            >
          </div>
          <div v-for="lane in lanes" :key="lane.name" class="lane">
            <span>{{ lane.name }}</span>
            <span class="track"
              ><i
                v-for="block in lane.blocks"
                :key="block.key"
                class="cause block"
                :class="block.workType"
                :style="{ left: block.left, width: block.width }"
                :title="block.title"
              ></i
            ></span>
          </div>
        </div>
        <StackedBars
          v-else
          :names="bars.map(({ name }) => name)"
          :parts="partsOfUse(bars)"
          :say="desk.hours"
          :say-scale="desk.hours"
          :step="hourStep(Math.max(0, ...bars.map(({ used, down, idle }) => used + down + idle)))"
          :label="t('compare.useByDay')"
        />
        <DataTable
          class="across"
          :rows="told.machines"
          :columns="machineColumns"
          :row-key="({ name }) => name"
          :is-expanded="({ name }) => name === opened"
        >
          <template #name="{ row }">
            <PlainButton class="opens" :aria-expanded="row.name === opened" @click="toggle(row.name)">{{
              row.name
            }}</PlainButton>
            <small v-if="row.resource === null">{{ t('compare.onNoList') }}</small>
            <small v-if="row.closedSeconds > 0">{{
              t('compare.onClosedDays', { hours: desk.hours(row.closedSeconds) })
            }}</small>
          </template>
          <template #expanded="{ row }">
            <p v-if="row.reasons.length > 0" class="inside">
              {{ t('compare.downBecause') }}
              <template v-for="(each, i) in row.reasons" :key="each.reason"
                ><template v-if="i > 0">, </template>{{ each.reason || t('noCutField.reason') }}
                <span class="figure">{{ desk.hours(each.seconds) }}</span></template
              >
            </p>
            <CapacityForm
              v-if="row.resource !== null && desk.may('shop.change')"
              :resource="row.resource"
              :hours="row.hours"
              @saved="query.refetch()"
            />
            <p v-else-if="row.hours === null" class="inside">{{ t('compare.noHoursSet') }}</p>
          </template>
        </DataTable>
      </template>
      <h2 class="list-head">{{ t('compare.workCentersHead') }}</h2>
      <DataTable
        class="across"
        :rows="told.centers"
        :columns="centerColumns"
        :row-key="({ name }) => name"
        :is-expanded="({ name }) => `center ${name}` === opened"
      >
        <template #name="{ row }">
          <PlainButton
            class="opens"
            :aria-expanded="`center ${row.name}` === opened"
            @click="toggle(`center ${row.name}`)"
            >{{ row.name || t('noCutField.workCenter') }}</PlainButton
          >
        </template>
        <template #expanded="{ row }">
          <CapacityForm
            v-if="row.resource !== null && desk.may('shop.change')"
            :resource="row.resource"
            :hours="row.hours"
            @saved="query.refetch()"
          />
          <p v-else class="inside">{{ t('compare.noHoursSet') }}</p>
        </template>
      </DataTable>
      <p class="quiet none">{{ t('compare.machinesExplained') }}</p>
    </template>
  </CompareFrame>
</template>

<style scoped>
.none,
.inside {
  margin: 0;
  padding: 10px 16px;
}
.opens {
  padding: 0;
  background: none;
  border: 0;
  color: inherit;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.lanes {
  padding: 6px 16px 10px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
.lane {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  min-height: 26px;
}
.track {
  position: relative;
  height: 16px;
  border-bottom: 1px solid var(--line);
}
.hours .track {
  border: 0;
}
.hours i {
  position: absolute;
  color: var(--ink-2);
  font-size: var(--text-xs);
  font-style: normal;
}
.block {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 1px;
}
.block.down {
  background: var(--attention-fill);
  outline: 1px solid var(--attention);
  outline-offset: -1px;
}
</style>
