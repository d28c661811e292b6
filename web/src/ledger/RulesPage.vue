<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { RulesChange, RulesEffect, RulesJson } from '@wergon/contract/ledger';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, sayDate, sayDateText, useDesk, useForm, useToday, yearOf } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, DateField, FormField, QueryState, ShopLayout } from '../kit/parts/index.ts';
import RulesEffectView from './RulesEffectView.vue';
import { t } from '../words/index.ts';

/** So often is it asked how far days are derived anew, in milliseconds. */
const ASK_MS = 1_000;
const desk = useDesk();
const today = useToday();
const query = useQuery({
  queryKey: ['rules'],
  queryFn: () => callRoute('rules'),
  refetchInterval: (asked) => ((asked.state.data?.pending ?? 0) > 0 ? ASK_MS : false),
});
type Said = RulesJson['rules'][number];
type Rules = Said['rules'];
const said = computed(() => query.data.value?.rules ?? []);
const holding = computed(() => said.value.findLast(({ from }) => from === null || from <= today.value));

/** Lengths and shares, as fields and as columns. */
const FIGURES = [
  {
    field: 'maxStintHours',
    label: t('ledger.longestStint'),
    column: t('ledger.longestStintShort'),
    unit: 'h',
  },
  {
    field: 'maxShiftHours',
    label: t('ledger.longestShift'),
    column: t('ledger.longestShiftShort'),
    unit: 'h',
  },
  {
    field: 'maxBreakMinutes',
    label: t('ledger.longestBreak'),
    column: t('ledger.longestBreakShort'),
    unit: 'min',
  },
  { field: 'gapMinutes', label: t('ledger.gapFrom'), column: t('ledger.gapFromShort'), unit: 'min' },
  { field: 'warnAt', label: t('ledger.nearFrom'), column: t('ledger.nearFromShort'), unit: '%' },
] as const;
const SPLITS = { estimate: t('ledger.byEstimate'), equal: t('ledger.inEqualParts') } as const;

/** What was typed as it is sent; taking rules out sends none. */
type Draft = { from: string; rules: Rules | null };
const bodyOf = ({ from, rules }: Draft): RulesChange => ({
  from,
  rules: rules && {
    split: rules.split,
    maxStintHours: Number(rules.maxStintHours),
    maxShiftHours: Number(rules.maxShiftHours),
    gapMinutes: Number(rules.gapMinutes),
    maxBreakMinutes: Number(rules.maxBreakMinutes),
    warnAt: Number(rules.warnAt),
  },
});
const EMPTY: Draft = { from: '', rules: { ...DEFAULT_POLICY } };
const form = useForm(EMPTY, 'rulesEffect', bodyOf);
const draft = computed(() => form.fields.value);
const isOpen = ref(false);
/** What was last looked at: other rules than these have to be looked at anew. */
const seen = ref<{ readonly key: string; readonly effect: RulesEffect } | null>(null);
const effect = computed(() =>
  seen.value?.key === JSON.stringify(bodyOf(draft.value)) ? seen.value.effect : undefined,
);

function begin(from: LocalDay, rules: Rules | null): void {
  form.reset({ from: formatDay(from), rules: rules && { ...rules } });
  seen.value = null;
  isOpen.value = true;
}
function leave(): void {
  form.reset(EMPTY);
  isOpen.value = false;
}
async function takeOut(from: LocalDay): Promise<void> {
  begin(from, null);
  await look();
}
/** First what they would do; then, seen, they are set. */
async function look(): Promise<void> {
  const key = JSON.stringify(bodyOf(draft.value));
  const told = await form.send((fields) => callRoute('rulesEffect', { body: bodyOf(fields) }));
  if (told) seen.value = { key, effect: told.answer };
}
async function set(): Promise<void> {
  const isPastAgreed = effect.value?.isPast ?? false;
  const done = await form.send((fields) =>
    callRoute('saveRules', { body: { ...bodyOf(fields), isPastAgreed } }),
  );
  if (!done) return;
  leave();
  await query.refetch();
}
const pressWords = computed(() => {
  if (!effect.value) return t('ledger.seeWhatTheyWouldDo');
  if (draft.value.rules === null) return t('ledger.takeTheseRulesOut');
  return effect.value.isPast ? t('ledger.changeThePast') : t('ledger.setTheseRules');
});

const dateOf = ({ from }: Said) =>
  from === null ? t('ledger.theBeginning') : `${sayDate(from)} ${yearOf(from)}`;
const columns = computed((): readonly Column<Said>[] => [
  {
    id: 'from',
    title: t('common.from'),
    class: 'text-nowrap',
    isRowHead: true,
  },
  { id: 'split', title: t('ledger.sharedTime'), value: ({ rules }) => SPLITS[rules.split] },
  ...FIGURES.map(({ field, column, unit }) => ({
    id: field,
    title: column,
    class: 'number figure text-nowrap',
    value: ({ rules }: Said) => `${rules[field]} ${unit}`,
  })),
  { id: 'by', title: t('ledger.setBy'), value: ({ by }) => by ?? '' },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <ShopLayout :title="t('common.rules')" :lead="t('ledger.howTimeThatDoesNotAddUpIsTreated')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p v-if="query.data.value.pending > 0" class="attention" role="status">
        {{ t('ledger.daysAreDerivedAnew', { n: query.data.value.pending }) }}
      </p>
      <DataTable
        :rows="said"
        :columns="columns"
        :row-key="({ from }) => from ?? ''"
        :row-class="(each) => ({ holds: each === holding })"
      >
        <template #from="{ row }"
          >{{ dateOf(row)
          }}<span v-if="row === holding" class="quiet in-force">{{ t('ledger.inForce') }}</span></template
        >
        <template #acts="{ row }">
          <BButton
            v-if="row.from !== null && desk.may('shop.change')"
            variant="quiet"
            size="sm"
            @click="begin(row.from, row.rules)"
            >{{ t('ledger.correct') }}</BButton
          >
          <BButton
            v-if="row.from !== null && desk.may('shop.change')"
            variant="quiet"
            size="sm"
            @click="takeOut(row.from)"
            >{{ t('ledger.takeOut') }}</BButton
          >
        </template>
      </DataTable>
      <div v-if="!isOpen && desk.may('shop.change')" class="acts">
        <BButton variant="primary" @click="begin(today, holding?.rules ?? DEFAULT_POLICY)">{{
          t('ledger.changeFromADayOn')
        }}</BButton>
      </div>
      <form v-if="isOpen" class="draft" novalidate @submit.prevent="effect ? set() : look()">
        <h2>
          {{
            draft.rules === null
              ? t('ledger.takeOutTheRulesFrom', { day: sayDateText(draft.from) })
              : t('ledger.rulesFromADayOn')
          }}
        </h2>
        <div v-if="draft.rules" class="fields">
          <FormField v-slot="{ id }" :label="t('common.from')" field="from">
            <DateField :id="id" v-model="draft.from" :label="t('common.from')" required />
          </FormField>
          <FormField v-slot="{ id }" :label="t('ledger.timeOfSeveralTasksAtOnceIsShared')" class="wide">
            <BFormSelect :id="id" v-model="draft.rules.split">
              <option v-for="(words, split) in SPLITS" :key="split" :value="split">{{ words }}</option>
            </BFormSelect>
          </FormField>
          <FormField
            v-for="{ field, label } in FIGURES"
            :key="field"
            v-slot="{ id, described }"
            :label="label"
            :field="`rules.${field}`"
          >
            <BFormInput
              :id="id"
              v-model="draft.rules[field]"
              class="figure"
              type="number"
              :aria-describedby="described"
            />
          </FormField>
        </div>
        <RulesEffectView v-if="effect" :effect="effect" :from="draft.from" />
        <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
        <div class="acts">
          <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
            form.isBusy.value ? t('ledger.looking') : pressWords
          }}</BButton>
          <BButton variant="quiet" @click="leave">{{ t('common.leaveItAsItIs') }}</BButton>
        </div>
      </form>
    </template>
  </ShopLayout>
</template>

<style scoped>
.in-force {
  display: block;
}
.draft {
  margin-top: 20px;
}
:deep(.holds) {
  box-shadow: inset 4px 0 0 var(--action);
}
</style>
