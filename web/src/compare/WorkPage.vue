<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import { isPastEstimate } from '@wergon/core/compare';
import { sumSeconds, weekOf, addDays, mondayOf } from '@wergon/core/time';
import { callRoute, sayDate, useDesk, useAct, useToday } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import DueRuler from './DueRuler.vue';
import { FILTERS, ORDERS, overHours } from './figures.ts';
import type { Filter } from './figures.ts';
import OrderRowLine from './OrderRowLine.vue';
import { EstimatesLine, RecurringLine, usePastWork } from '../work/index.ts';
import ScaleHead from './ScaleHead.vue';
import { sayTerm, t } from '../words/index.ts';

const REFRESH_MS = 60_000;
/** So long after the last key finished orders are looked for. */
const SEARCH_MS = 250;
const WEEKS = 7;

const desk = useDesk();
const query = useQuery({ queryKey: ['work'], queryFn: () => callRoute('work'), refetchInterval: REFRESH_MS });
/** Looked up beside the list: it takes longer, and changes when somebody approves. */
const unapproved = useQuery({
  queryKey: ['work', 'unapproved'],
  queryFn: () => callRoute('unapprovedWork'),
  staleTime: REFRESH_MS,
});
const search = ref('');
const filter = ref<Filter>('floor');
/** Estimates are for shops that make offers. */
const filters = computed(() =>
  Object.entries(FILTERS).filter(([key]) => key !== 'estimates' || desk.session?.makesOffers === true),
);
const order = ref<keyof typeof ORDERS>('over');
/** Weeks by which the ruler has been moved. */
const shift = ref(0);

const today = useToday();
const firstDay = computed(() => addDays(mondayOf(today.value), (shift.value - 3) * 7));
const title = computed(() =>
  t('compare.weeksTo', {
    first: weekOf(firstDay.value),
    last: weekOf(addDays(firstDay.value, (WEEKS - 1) * 7)),
  }),
);
const asked = refDebounced(search, SEARCH_MS);
const past = usePastWork(
  computed(() => {
    const chosen = FILTERS[filter.value];
    const state = 'past' in chosen ? chosen.past : undefined;
    return { isAsked: 'past' in chosen, search: asked.value, ...(state ? { state } : {}) };
  }),
);
const all = computed(() => [...(query.data.value?.orders ?? []), ...past.orders.value]);
const filtered = computed(() => {
  const states: readonly string[] = FILTERS[filter.value].states;
  return all.value.filter(
    (row) =>
      states.includes(row.state) &&
      NARROW.every(({ field }) => narrow[field] === '' || row[field] === narrow[field]),
  );
});
/** Further filters, offered only where the shop uses them. */
const NARROW = [
  { field: 'customer', word: t('compare.customersWord') },
  { field: 'division', word: t('compare.divisionsWord') },
  { field: 'jobType', word: t('compare.jobTypes') },
  { field: 'unitWords', word: t('compare.unitsWord') },
] as const;
const narrow = reactive({ customer: '', division: '', jobType: '', unitWords: '' });
const valuesOf = (field: (typeof NARROW)[number]['field']) =>
  [...new Set(all.value.map((row) => row[field]))].filter(Boolean).sort();
/** Of past orders the server knows how many there are; only some of them are shown. */
const count = computed(() => filtered.value.length - past.orders.value.length + past.total.value);
const isNarrowed = computed(() => search.value !== '' || NARROW.some(({ field }) => narrow[field] !== ''));
const stateCount = computed(() => {
  const states: readonly string[] = FILTERS[filter.value].states;
  return all.value.filter(({ state }) => states.includes(state)).length;
});
function showAll(): void {
  search.value = '';
  Object.assign(narrow, { customer: '', division: '', jobType: '', unitWords: '' });
}
const { act, problem, isBusy } = useAct();
const said = ref('');
const releasable = computed(() =>
  shown.value.filter(({ state }) => state === 'draft' || state === 'accepted'),
);
async function releaseAll(): Promise<void> {
  const answer = await act(() =>
    callRoute('releaseOrders', { body: { orders: releasable.value.map(({ id }) => id) } }),
  );
  if (!answer) return;
  said.value = [
    t('compare.released', { n: answer.released.length }),
    ...answer.refused.map(({ number, code }) => `${number}: ${sayTerm('problems', code)}`),
  ].join('. ');
}
const shown = computed(() => {
  const words = search.value.trim().toLowerCase();
  const matching = filtered.value.filter(
    ({ number, title: name, customer, peopleOn }) =>
      words === '' || `${number} ${name} ${customer} ${peopleOn.join(' ')}`.toLowerCase().includes(words),
  );
  return [...matching].sort(ORDERS[order.value].compare);
});
const waiting = computed(() => {
  const listed = new Set(filtered.value.map(({ id }) => id));
  return sumSeconds((unapproved.data.value?.orders ?? []).filter(({ order: id }) => listed.has(id)));
});
const sums = computed(() => {
  const of = (figure: 'remainingSeconds' | 'estimatedSeconds') =>
    filtered.value.reduce((sum, { comparison }) => sum + comparison[figure], 0);
  return {
    over: filtered.value.filter((row) => isPastEstimate(overHours(row))).length,
    left: desk.left(of('remainingSeconds')),
    estimated: desk.hours(of('estimatedSeconds')),
  };
});
</script>

<template>
  <DeskFrame
    v-model:search="search"
    class="work"
    :title="title"
    :step="t('kit.stepWeek')"
    :today="t('kit.toThisWeek')"
    :search-label="t('kit.findOrderCustomerPerson')"
    @back="shift -= 1"
    @on="shift += 1"
    @today="shift = 0"
  >
    <template #ruler>
      <DueRuler :orders="all" :first-day="firstDay" :weeks="WEEKS" :today="today" />
    </template>
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="counts">
        <span
          ><b>{{ count }}</b> {{ t(`orderCount.${filter}`, { n: count })
          }}<template v-if="past.orders.value.length < past.total.value"
            >, {{ t('compare.theLastOfThemShown', { n: past.orders.value.length }) }}</template
          ></span
        >
        <span :class="{ attention: sums.over > 0 }"
          ><b>{{ sums.over }}</b> {{ t('compare.pastAnEstimate') }}</span
        >
        <span v-if="past.orders.value.length === 0"
          ><b class="figure">{{ sums.left }}</b> {{ t('compare.leftOf') }}
          <span class="figure">{{ sums.estimated }}</span></span
        >
        <span
          v-if="waiting > 0"
          :title="t('compare.laborSince', { day: sayDate(unapproved.data.value?.since ?? null) })"
          ><b class="figure">{{ desk.hours(waiting) }}</b> {{ t('common.notYetApproved') }}</span
        >
        <div class="choices">
          <EstimatesLine />
          <RecurringLine />
          <label class="visually-hidden" for="state-filter">{{ t('compare.whichOrders') }}</label>
          <BFormSelect id="state-filter" v-model="filter">
            <option v-for="[key, { word }] in filters" :key="key" :value="key">{{ word }}</option>
          </BFormSelect>
          <RouterLink v-if="desk.may('work.change')" :to="{ name: 'new-order' }" class="btn btn-quiet">{{
            t('compare.newOrder')
          }}</RouterLink>
        </div>
      </div>
      <div v-if="all.length > 0 || isNarrowed" class="narrow">
        <template v-for="{ field, word } in NARROW" :key="field">
          <BFormSelect
            v-if="valuesOf(field).length > 1"
            v-model="narrow[field]"
            size="sm"
            :aria-label="t('compare.onlySome', { word })"
          >
            <option value="">{{ t('compare.all', { word }) }}</option>
            <option v-for="value in valuesOf(field)" :key="value" :value="value">{{ value }}</option>
          </BFormSelect>
        </template>
        <span class="choices">
          <BButton
            v-for="({ word }, key) in ORDERS"
            :key="key"
            variant="quiet"
            :aria-pressed="order === key"
            @click="order = key"
            >{{ word }}</BButton
          >
        </span>
        <span v-if="isNarrowed" role="status">
          {{
            t('compare.ofOrders', {
              n: shown.length,
              all: stateCount,
              why: search ? t('common.match', { search }) : t('compare.shown'),
            })
          }}
          <BButton variant="quiet" size="sm" @click="showAll">{{ t('common.showAll') }}</BButton>
        </span>
        <BButton
          v-if="desk.may('work.change') && releasable.length > 1"
          variant="quiet"
          size="sm"
          :disabled="isBusy"
          @click="releaseAll"
        >
          {{ t('compare.releaseThese', { n: releasable.length }) }}
        </BButton>
        <span v-if="said" role="status">{{ said }}</span>
        <span v-if="problem" class="attention" role="alert">{{ problem }}</span>
      </div>
      <p v-if="filtered.length === 0" class="filtered">
        {{
          past.query.isFetching.value
            ? t('compare.looking')
            : all.length === 0 && query.data.value.pastCount === 0
              ? t('compare.thereAreNoOrdersYet')
              : t(`noOrders.${filter}`)
        }}
      </p>
      <div v-else class="list">
        <ScaleHead :first="t('common.order')" :last="t('compare.dueHead')" />
        <OrderRowLine v-for="row in shown" :key="row.id" :row="row" :today="today" />
        <span class="estimate-line" aria-hidden="true"></span>
      </div>
      <div v-if="past.query.hasNextPage.value" class="more">
        <BButton
          variant="outline-secondary"
          :disabled="past.query.isFetchingNextPage.value"
          @click="past.query.fetchNextPage()"
          >{{ past.query.isFetchingNextPage.value ? t('compare.looking') : t('compare.showMore') }}</BButton
        >
        {{ t('compare.ofShown', { n: past.orders.value.length, all: past.total.value }) }}
      </div>
      <p class="legend">
        <span><i class="swatch setup"></i>{{ t('common.setup') }}</span
        ><span><i class="swatch run"></i>{{ t('compare.run') }}</span
        ><span><i class="swatch rework"></i>{{ t('common.rework') }}</span
        ><span><i class="swatch over"></i>{{ t('compare.overTheEstimate') }}</span>
        <span>{{ t('compare.aTornEndPastTheScaleWithHow') }}</span>
      </p>
    </template>
  </DeskFrame>
</template>

<style src="./rows.scss" lang="scss"></style>
<style scoped lang="scss">
.choices {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.form-select {
  width: auto;
  padding-top: 4px;
  padding-bottom: 4px;
  font-size: var(--text-m);
}

.narrow {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 0 16px 8px;
}
.narrow .form-select {
  max-width: 190px;
  padding-top: 2px;
  padding-bottom: 2px;
  font-size: var(--text-s);
}
.more {
  padding: 8px 16px;
}
.filtered {
  margin: 0;
  padding: 10px 16px;
}
</style>
