<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { COLUMNS, EXCHANGE_KINDS } from '@wergon/contract/exchange';
import type { ExchangeKind } from '@wergon/contract/exchange';
import { guessColumns } from '@wergon/core/exchange';
import { useDesk } from '../kit/index.ts';
import { FileField, ShopLayout } from '../kit/parts/index.ts';
import { recallMatch, rememberMatch } from './rememberMatch.ts';
import { useExchange } from './useExchange.ts';

const desk = useDesk();
const queries = useQueryClient();
const exchange = useExchange(() => void queries.invalidateQueries());
const { table, checked, stored, busy, problem } = exchange;

const WORDS: Readonly<Record<ExchangeKind, { readonly many: string; readonly what: string }>> = {
  orders: { many: 'Work orders', what: 'one row a task, the order’s own columns repeated' },
  people: { many: 'People', what: 'one row a person; known numbers are brought up to date' },
  rates: { many: 'Cost rates', what: 'one row a dated rate' },
  standards: { many: 'Standards', what: 'one row a standard task, with the job it stands in' },
};
const RIGHTS = {
  orders: 'work.change',
  people: 'people.change',
  rates: 'rates.see',
  standards: 'work.change',
} as const;
const SEES = { orders: 'work.see', people: 'people.see', rates: 'rates.see', standards: 'work.see' } as const;
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
const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
</script>

<template>
  <ShopLayout
    title="Import and export"
    lead="Lists come in from CSV or XLSX. Every row is checked and shown before anything is stored, and the same file again changes nothing."
  >
    <div class="inline">
      <label
        >List
        <BFormSelect v-model="kind" :disabled="busy !== null">
          <option v-for="each in kinds" :key="each" :value="each">{{ WORDS[each].many }}</option>
        </BFormSelect></label
      >
      <span class="quiet">{{ WORDS[kind].what }}</span>
      <span class="out">
        <BButton variant="quiet" :disabled="busy !== null" @click="exchange.write(kind, 'csv')">
          Export CSV
        </BButton>
        <BButton variant="quiet" :disabled="busy !== null" @click="exchange.write(kind, 'xlsx')">
          Export XLSX
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
      <FileField class="btn btn-primary" accept=".csv,.txt,.tsv,.xlsx" @choose="take"
        >Choose a file</FileField
      >
      <span>or drop it here. CSV in UTF-8 or Windows-1252 with commas, semicolons or tabs, or XLSX.</span>
    </div>
    <p v-else-if="!mayBring" class="quiet">You may take this list out, not bring one in.</p>

    <div v-if="busy" class="busy" role="status">
      <p>
        <b>{{ busy.what }}</b><span v-if="busy.of > 0" class="figure"
          >{{ busy.done }} of {{ busy.of }} rows</span
        >
      </p>
      <div class="progress-line">
        <span :style="{ width: `${busy.of === 0 ? 4 : (busy.done / busy.of) * 100}%` }"></span>
      </div>
      <BButton v-if="busy.what !== 'Storing'" variant="quiet" @click="exchange.reset()"> Cancel </BButton>
    </div>
    <p v-if="problem" class="attention" role="alert">
      {{ problem }}
      <BButton variant="quiet" size="sm" @click="exchange.reset()">Begin again</BButton>
    </p>

    <template v-if="table && !busy && !stored">
      <section v-if="!checked">
        <h2>{{ fileName }}: {{ plural(table.count, 'row', 'rows') }}</h2>
        <p class="lead-words">
          Which column of the file is which? The choice is remembered for files with these headings.
        </p>
        <table class="match">
          <thead>
            <tr>
              <th scope="col">Ours</th>
              <th scope="col">Column of the file</th>
              <th scope="col">The first rows say</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="column in columns" :key="column.field">
              <td>{{ column.heading }}<span v-if="column.isRequired" class="quiet"> · needed</span></td>
              <td>
                <BFormSelect
                  v-model="match[column.field]"
                  size="sm"
                  :aria-label="`Column for ${column.heading}`"
                >
                  <option :value="null">not in the file</option>
                  <option v-for="(heading, i) in table.headings" :key="i" :value="i">
                    {{ heading || `column ${i + 1}` }}
                  </option>
                </BFormSelect>
              </td>
              <td class="quiet sample">
                {{
                  match[column.field] == null
                    ? ''
                    : table.sample
                        .map((row) => row[match[column.field] as number])
                        .filter(Boolean)
                        .join(' · ')
                }}
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="unmatched.length > 0" class="attention" role="alert">
          Still without a column: {{ unmatched.map(({ heading }) => heading).join(', ') }}.
        </p>
        <div class="acts">
          <BButton variant="primary" :disabled="unmatched.length > 0" @click="check">Check every row</BButton>
          <BButton variant="quiet" @click="exchange.reset()">Another file</BButton>
        </div>
      </section>

      <section v-else-if="counts">
        <h2>{{ fileName }}: nothing is stored yet</h2>
        <p class="counts">
          <span
            ><b class="figure">{{ counts.new }}</b> new</span
          >
          <span
            ><b class="figure">{{ counts.changed }}</b> changed</span
          >
          <span
            ><b class="figure">{{ counts.same }}</b> there already</span
          >
          <span :class="{ attention: counts.wrong > 0 }"
            ><b class="figure">{{ counts.wrong }}</b> not right</span
          >
        </p>
        <table v-if="checked.answer.problems.length > 0" class="wrong">
          <thead>
            <tr>
              <th scope="col" class="number">Row</th>
              <th scope="col">Where</th>
              <th scope="col">What is wrong</th>
              <th scope="col">The row</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(each, i) in checked.answer.problems.slice(0, 200)" :key="i">
              <td class="number figure">{{ each.row + 1 }}</td>
              <td>{{ headingOf(each.field) }}</td>
              <td class="attention">{{ each.message }}</td>
              <td class="quiet sample">{{ (checked.wrong[each.row] ?? []).filter(Boolean).join(' · ') }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="counts.wrong > 200" class="quiet">The first 200 are shown.</p>
        <div class="acts">
          <template v-if="willStore === 0">
            <b v-if="counts.wrong === 0">Everything in this file is there already; it changes nothing.</b>
            <b v-else>No row of this file can be stored.</b>
          </template>
          <template v-else>
            <BButton v-if="counts.wrong === 0" variant="primary" @click="exchange.store('all')"
              >Store {{ plural(willStore, 'row', 'rows') }}</BButton
            >
            <BButton v-else variant="primary" @click="exchange.store('good')"
              >Store the {{ plural(willStore, 'good row', 'good rows') }} only</BButton
            >
          </template>
          <BButton variant="quiet" @click="exchange.reset()"> Store nothing, another file </BButton>
        </div>
      </section>
    </template>
    <section v-if="stored">
      <h2>Stored</h2>
      <p role="status">
        {{ plural(stored.counts?.new ?? 0, 'row is', 'rows are') }} new,
        {{ stored.counts?.changed ?? 0 }} changed, {{ stored.counts?.same ?? 0 }} were there already<template
          v-if="stored.counts?.wrong"
          >, {{ stored.counts.wrong }} left out</template
        >.
      </p>
      <BButton variant="quiet" @click="exchange.reset()">Another file</BButton>
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
  font-size: 16px;
  b {
    font-size: 21px;
  }
}
.sample {
  max-width: 420px;
  overflow: hidden;
  font-size: 14px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.match {
  max-width: 980px;
}
</style>
