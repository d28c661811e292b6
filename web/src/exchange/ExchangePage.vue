<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { COLUMNS, EXCHANGE_KINDS } from '@wergon/contract/exchange';
import type { ExchangeKind, ImportAnswer } from '@wergon/contract/exchange';
import { guessColumns } from '@wergon/core/exchange';
import { useDesk } from '../kit/index.ts';
import { FileField, ShopLayout, DataTable } from '../kit/parts/index.ts';
import { recallMatch, rememberMatch } from './rememberMatch.ts';
import { useExchange } from './useExchange.ts';
import type { Column } from '../kit/index.ts';
import { sayFieldProblem, t } from '../words/index.ts';

const desk = useDesk();
const queries = useQueryClient();
const exchange = useExchange(() => void queries.invalidateQueries());
const { table, checked, stored, busy, problem } = exchange;

const WORDS: Readonly<Record<ExchangeKind, { readonly many: string; readonly what: string }>> = {
  orders: { many: t('exchange.workOrders'), what: t('exchange.oneRowATaskTheOrdersOwnColumns') },
  people: { many: t('common.people'), what: t('exchange.oneRowAPersonKnownNumbersAre') },
  rates: { many: t('common.costRates'), what: t('exchange.oneRowADatedRate') },
  standards: { many: t('common.standards'), what: t('exchange.oneRowAStandardTaskWithTheJob') },
  hours: { many: t('exchange.hoursEntered'), what: t('exchange.oneRowHoursOfADay') },
};
const RIGHTS = {
  orders: 'work.change',
  people: 'people.change',
  rates: 'rates.see',
  standards: 'work.change',
  hours: 'pay.close',
} as const;
const SEES = {
  orders: 'work.see',
  people: 'people.see',
  rates: 'rates.see',
  standards: 'work.see',
  hours: 'pay.close',
} as const;
const kinds = computed(() => EXCHANGE_KINDS.filter((each) => desk.may(SEES[each])));
const kind = ref<ExchangeKind>('orders');
const mayBring = computed(() => desk.may(RIGHTS[kind.value]));
const match = ref<Record<string, number | null>>({});
const fileName = ref('');
const isOver = ref(false);
watch(kind, () => exchange.reset());
watch(table, (read) => {
  if (!read) return;
  match.value = recallMatch(kind.value, read.headings) ?? {
    ...guessColumns(COLUMNS[kind.value], read.headings),
  };
});
const columns = computed(() => COLUMNS[kind.value]);
const unmatched = computed(() =>
  columns.value.filter(({ field, isRequired }) => isRequired && match.value[field] === null),
);
const counts = computed(() => checked.value?.answer.counts ?? null);
const willStore = computed(() => (counts.value?.new ?? 0) + (counts.value?.changed ?? 0));
const headingOf = (field: string) => columns.value.find((each) => each.field === field)?.heading ?? field;

function take(file: File | undefined): void {
  isOver.value = false;
  if (!file || !mayBring.value) return;
  fileName.value = file.name;
  exchange.read(file);
}
function check(): void {
  if (table.value) rememberMatch(kind.value, table.value.headings, match.value);
  exchange.check(kind.value, match.value);
}
/** What the first rows of the file say in a column of it. */
const sampleOf = (place: number | null) =>
  place === null
    ? ''
    : (table.value?.sample ?? [])
        .map((row) => row[place])
        .filter(Boolean)
        .join(' · ');
const matchColumns = computed((): readonly Column<(typeof columns.value)[number]>[] => [
  { id: 'ours', title: t('exchange.ours') },
  { id: 'columnOfTheFile', title: t('exchange.columnOfTheFile') },
  {
    id: 'theFirstRowsSay',
    title: t('exchange.theFirstRowsSay'),
    class: 'quiet sample',
    value: (column) => sampleOf(match.value[column.field] ?? null),
  },
]);
const problemColumns = computed((): readonly Column<ImportAnswer['problems'][number]>[] => [
  { id: 'row', title: t('exchange.row'), class: 'number figure', value: (each) => each.row + 1 },
  { id: 'where', title: t('exchange.where'), value: (each) => headingOf(each.field) },
  {
    id: 'whatIsWrong',
    title: t('exchange.whatIsWrong'),
    class: 'attention',
    value: (each) => sayFieldProblem(each.message),
  },
  {
    id: 'theRow',
    title: t('exchange.theRow'),
    class: 'quiet sample',
    value: (each) => (checked.value?.wrong[each.row] ?? []).filter(Boolean).join(' · '),
  },
]);
</script>

<template>
  <ShopLayout :title="t('common.importAndExport')" :lead="t('exchange.listsComeInFromCsvOrXlsxEvery')">
    <div class="inline">
      <label
        >{{ t('exchange.list') }}
        <BFormSelect v-model="kind" :disabled="busy !== null">
          <option v-for="each in kinds" :key="each" :value="each">{{ WORDS[each].many }}</option>
        </BFormSelect></label
      >
      <span class="quiet">{{ WORDS[kind].what }}</span>
      <span v-if="kind !== 'hours'" class="out">
        <BButton variant="quiet" :disabled="busy !== null" @click="exchange.write(kind, 'csv')">
          {{ t('exchange.exportCsv') }}
        </BButton>
        <BButton variant="quiet" :disabled="busy !== null" @click="exchange.write(kind, 'xlsx')">
          {{ t('exchange.exportXlsx') }}
        </BButton>
      </span>
    </div>

    <div
      v-if="mayBring && !table && !busy"
      class="drop"
      :class="{ over: isOver }"
      @dragover.prevent="isOver = true"
      @dragleave="isOver = false"
      @drop.prevent="take($event.dataTransfer?.files[0])"
    >
      <FileField class="btn btn-primary" accept=".csv,.txt,.tsv,.xlsx" @choose="take">{{
        t('exchange.chooseAFile')
      }}</FileField>
      <span>{{ t('exchange.orDropItHereCsvInUtf8OrWindows') }}</span>
    </div>
    <p v-else-if="!mayBring" class="quiet">{{ t('exchange.youMayTakeThisListOutNotBring') }}</p>

    <div v-if="busy" class="busy" role="status">
      <p>
        <b>{{ t(`exchangeSteps.${busy.step}`) }}</b><span v-if="busy.of > 0" class="figure">{{
          t('exchange.ofRows', { done: busy.done, of: busy.of })
        }}</span>
      </p>
      <div class="progress-line">
        <span :style="{ width: `${busy.of === 0 ? 4 : (busy.done / busy.of) * 100}%` }"></span>
      </div>
      <BButton v-if="busy.step !== 'storing'" variant="quiet" @click="exchange.reset()">
        {{ t('common.cancel') }}
      </BButton>
    </div>
    <p v-if="problem" class="attention" role="alert">
      {{ problem }}
      <BButton variant="quiet" size="sm" @click="exchange.reset()">{{ t('exchange.beginAgain') }}</BButton>
    </p>

    <template v-if="table && !busy && !stored">
      <section v-if="!checked">
        <h2>{{ fileName }}: {{ t('exchange.rowsRead', { n: table.count }) }}</h2>
        <p class="lead-words">
          {{ t('exchange.whichColumnOfTheFileIsWhich') }}
        </p>
        <DataTable class="match" :rows="columns" :columns="matchColumns" :row-key="(column) => column.field"
          ><template #ours="{ row: column }"
            >{{ column.heading
            }}<span v-if="column.isRequired" class="quiet"> · {{ t('exchange.needed') }}</span></template
          >
          <template #columnOfTheFile="{ row: column }"
            ><BFormSelect
              v-model="match[column.field]"
              size="sm"
              :aria-label="t('exchange.columnFor', { heading: column.heading })"
            >
              <option :value="null">{{ t('exchange.notInTheFile') }}</option>
              <option v-for="(heading, i) in table.headings" :key="i" :value="i">
                {{ heading || t('exchange.columnNumber', { number: i + 1 }) }}
              </option>
            </BFormSelect></template
          ></DataTable
        >
        <p v-if="unmatched.length > 0" class="attention" role="alert">
          {{
            t('exchange.stillWithoutAColumn', {
              headings: unmatched.map(({ heading }) => heading).join(', '),
            })
          }}
        </p>
        <div class="acts">
          <BButton variant="primary" :disabled="unmatched.length > 0" @click="check">{{
            t('exchange.checkEveryRow')
          }}</BButton>
          <BButton variant="quiet" @click="exchange.reset()">{{ t('exchange.anotherFile') }}</BButton>
        </div>
      </section>

      <section v-else-if="counts">
        <h2>{{ t('exchange.nothingIsStoredYet', { file: fileName }) }}</h2>
        <p class="counts">
          <span
            ><b class="figure">{{ counts.new }}</b> {{ t('exchange.new') }}</span
          >
          <span
            ><b class="figure">{{ counts.changed }}</b> {{ t('exchange.changed') }}</span
          >
          <span
            ><b class="figure">{{ counts.same }}</b> {{ t('exchange.thereAlready') }}</span
          >
          <span :class="{ attention: counts.wrong > 0 }"
            ><b class="figure">{{ counts.wrong }}</b> {{ t('exchange.notRight') }}</span
          >
        </p>
        <DataTable
          v-if="checked.answer.problems.length > 0"
          class="wrong"
          :rows="checked.answer.problems.slice(0, 200)"
          :columns="problemColumns"
          :row-key="(_each, i) => i"
        ></DataTable>
        <p v-if="counts.wrong > 200" class="quiet">{{ t('exchange.theFirst200AreShown') }}</p>
        <div class="acts">
          <template v-if="willStore === 0">
            <b v-if="counts.wrong === 0">{{ t('exchange.everythingInThisFileIsThere') }}</b>
            <b v-else>{{ t('exchange.noRowOfThisFileCanBeStored') }}</b>
          </template>
          <template v-else>
            <BButton v-if="counts.wrong === 0" variant="primary" @click="exchange.store('all')">{{
              t('exchange.storeRows', { n: willStore })
            }}</BButton>
            <BButton v-else variant="primary" @click="exchange.store('good')">{{
              t('exchange.storeTheOnly', { n: willStore })
            }}</BButton>
          </template>
          <BButton variant="quiet" @click="exchange.reset()">
            {{ t('exchange.storeNothingAnotherFile') }}
          </BButton>
        </div>
      </section>
    </template>
    <section v-if="stored">
      <h2>{{ t('exchange.stored') }}</h2>
      <p role="status">
        {{
          t('exchange.newChangedWereThereAlready', {
            n: stored.counts?.new ?? 0,
            changed: stored.counts?.changed ?? 0,
            same: stored.counts?.same ?? 0,
          })
        }}<template v-if="stored.counts?.wrong"
          >, {{ t('exchange.leftOut', { wrong: stored.counts.wrong }) }}</template
        >.
      </p>
      <BButton variant="quiet" @click="exchange.reset()">{{ t('exchange.anotherFile') }}</BButton>
    </section>
  </ShopLayout>
</template>

<style scoped lang="scss">
.out {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.drop {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 40px 32px;
  background: var(--sheet);
  border: 2px dashed var(--ink-2);
}
.over {
  background: var(--action-tint);
  border-color: var(--action);
}
.drop label:focus-within {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
.busy {
  max-width: 640px;
  p {
    display: flex;
    justify-content: space-between;
    margin: 0 0 6px;
  }
}
.progress-line {
  height: 14px;
  margin-bottom: 10px;
  background: var(--sheet);
  border: 1px solid var(--ink-2);
  span {
    display: block;
    height: 100%;
    background: var(--bar);
  }
}
.counts {
  display: flex;
  gap: 28px;
  font-size: var(--text-l);
  b {
    font-size: var(--text-2xl);
  }
}
table :deep(.sample) {
  max-width: 420px;
  overflow: hidden;
  font-size: var(--text-s);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.match {
  max-width: 980px;
}
</style>
