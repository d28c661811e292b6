<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { formatDay, parseDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, sayDateText, sayWeekdayOf, useForm, useToday } from '../kit/index.ts';
import { DateField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import TierRows from './TierRows.vue';
import TriedOvertime from './TriedOvertime.vue';
import { BEYOND, BORNE_BY, changeOf, sayOnDay } from './overtimeWords.ts';
import type { RuleDraft } from './overtimeWords.ts';
import { useTryOvertime } from './useTryOvertime.ts';
import type { Days } from './useTryOvertime.ts';

/** A rule of overtime as it is made or corrected: tried on days gone by first, then set. */
const props = defineProps<{
  initial: RuleDraft;
  /** The rule in whose place it comes. */
  replaces: { readonly from: string; readonly group: string } | null;
  groups: readonly string[];
  /** The last pay period that is over. */
  lastPeriod: { readonly firstDay: LocalDay; readonly lastDay: LocalDay } | undefined;
}>();
const emit = defineEmits<{ done: []; leave: [] }>();
const today = useToday();
const form = useForm(props.initial, 'saveOvertime', (fields) => changeOf(fields, props.replaces));
const draft = computed(() => form.fields.value);
const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const;
const SPECIAL = [...WEEKDAYS, 'closed'] as const;
const TIMES = [
  { field: 'overtime', label: t('pay.timesOvertime') },
  { field: 'double', label: t('pay.timesDouble') },
] as const;

const span = ref<'period' | 'year'>('period');
const YEAR = 364;
const days = computed((): Days => {
  const { lastPeriod } = props;
  if (span.value === 'period' && lastPeriod)
    return { firstDay: formatDay(lastPeriod.firstDay), lastDay: formatDay(lastPeriod.lastDay) };
  return {
    firstDay: formatDay((today.value - YEAR) as LocalDay),
    lastDay: formatDay((today.value - 1) as LocalDay),
  };
});
const { state, total, begin, stop } = useTryOvertime();
const key = computed(() => JSON.stringify([changeOf(draft.value, props.replaces), days.value]));
const isTried = computed(() => state.key === key.value && state.status !== 'idle');

/** The rule as it would hold if it had been set before the days on which it is tried. */
const tried = computed(() => ({ ...changeOf(draft.value, props.replaces), from: earlier(draft.value.from) }));
const earlier = (from: string) => (from > days.value.firstDay ? days.value.firstDay : from);
async function tryIt(): Promise<void> {
  await form.send(() => begin(key.value, tried.value, days.value));
}

const isPast = computed(() => {
  const froms = [draft.value.from, ...(props.replaces ? [props.replaces.from] : [])].map(parseDay);
  return froms.some((from) => from.ok && from.value <= today.value);
});
async function set(): Promise<void> {
  const done = await form.send((fields) =>
    callRoute('saveOvertime', {
      body: { ...changeOf(fields, props.replaces), isPastAgreed: isPast.value && isTried.value },
    }),
  );
  if (done) emit('done');
}
const pressWords = computed(() => {
  if (draft.value.terms === null) return t('pay.takeThisRuleOut');
  return isPast.value ? t('pay.changePast') : t('pay.setThisRule');
});
</script>

<template>
  <form class="draft" novalidate @submit.prevent="isPast && !isTried ? tryIt() : set()">
    <h2>
      {{
        draft.terms === null
          ? t('pay.takeOutTheRule', { day: sayDateText(draft.from) })
          : t('pay.ruleFromADayOn')
      }}
    </h2>
    <template v-if="draft.terms">
      <div class="fields">
        <FormField v-slot="{ id }" :label="t('common.from')" field="from">
          <DateField :id="id" v-model="draft.from" :label="t('common.from')" required />
        </FormField>
        <FormField v-slot="{ id }" :label="t('pay.forWhom')" field="group">
          <BFormSelect :id="id" v-model="draft.group">
            <option value="">{{ t('pay.everybody') }}</option>
            <option v-for="group in groups" :key="group" :value="group">{{ group }}</option>
          </BFormSelect>
        </FormField>
        <FormField v-slot="{ id }" :label="t('pay.weeksBegin')" field="terms.weekStart">
          <BFormSelect :id="id" v-model="draft.terms.weekStart">
            <option v-for="day in WEEKDAYS" :key="day" :value="day">{{ sayWeekdayOf(day) }}</option>
          </BFormSelect>
        </FormField>
      </div>
      <div class="tiers">
        <TierRows v-model="draft.terms.day" :title="t('pay.aDay')" field="day" usual="8" />
        <TierRows v-model="draft.terms.week" :title="t('pay.aWeek')" field="week" usual="40" />
        <fieldset>
          <legend>{{ t('pay.specialDays') }}</legend>
          <div v-for="(each, i) in draft.terms.special" :key="i" class="fields">
            <FormField v-slot="{ id }" :label="t('pay.onDay')">
              <BFormSelect :id="id" v-model="each.on">
                <option v-for="on in SPECIAL" :key="on" :value="on">{{ sayOnDay(on) }}</option>
              </BFormSelect>
            </FormField>
            <FormField v-slot="{ id }" :label="t('pay.arePaidAs')">
              <BFormSelect :id="id" v-model="each.class">
                <option v-for="of in BEYOND" :key="of" :value="of">{{ t(`payClasses.${of}`) }}</option>
              </BFormSelect>
            </FormField>
            <BButton class="away" variant="quiet" @click="draft.terms.special.splice(i, 1)">{{
              t('common.remove')
            }}</BButton>
          </div>
          <BButton
            variant="quiet"
            size="sm"
            @click="
              draft.terms.special.push({
                on: draft.terms.special.length === 0 ? 7 : 'closed',
                class: 'double',
              })
            "
            >{{ t('pay.addDay') }}</BButton
          >
        </fieldset>
      </div>
      <div class="fields">
        <FormField
          v-for="{ field, label } in TIMES"
          :key="field"
          v-slot="{ id, described }"
          :label="label"
          :field="`terms.multipliers.${field}`"
        >
          <BFormInput
            :id="id"
            v-model="draft.terms.multipliers[field]"
            class="figure"
            inputmode="decimal"
            :aria-describedby="described"
          />
        </FormField>
        <FormField v-slot="{ id }" :label="t('pay.whoBearsIt')" field="terms.premiumOn">
          <BFormSelect :id="id" v-model="draft.terms.premiumOn">
            <option v-for="each in BORNE_BY" :key="each.value" :value="each.value">{{ each.words }}</option>
          </BFormSelect>
        </FormField>
      </div>
    </template>
    <div class="try">
      <label :for="`try-${span}`">{{ t('pay.tryOn') }}</label>
      <BFormSelect :id="`try-${span}`" v-model="span" size="sm">
        <option v-if="lastPeriod" value="period">{{ t('pay.lastPeriod') }}</option>
        <option value="year">{{ t('pay.lastYear') }}</option>
      </BFormSelect>
      <BButton v-if="state.status !== 'running'" variant="quiet" size="sm" @click="tryIt">{{
        t('pay.tryIt')
      }}</BButton>
      <template v-else>
        <span role="status">{{ t('pay.tryingOf', { n: state.done, total: state.of }) }}</span>
        <BButton variant="quiet" size="sm" @click="stop">{{ t('pay.stop') }}</BButton>
      </template>
    </div>
    <TriedOvertime v-if="isTried" :tried="state" :total="total" />
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value || state.status === 'running'">{{
        isPast && !isTried ? t('pay.tryIt') : pressWords
      }}</BButton>
      <BButton variant="quiet" @click="emit('leave')">{{ t('common.leaveItAsItIs') }}</BButton>
    </div>
  </form>
</template>

<style scoped>
.draft {
  padding: 4px 16px 20px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 240px));
  gap: 8px 16px;
}
.tiers .fields,
.tiers :deep(.fields) {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px;
  margin-bottom: 6px;
}
.tiers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 12px 24px;
  margin: 12px 0;
}
.tiers legend {
  font-size: var(--text-m);
}
.away {
  align-self: end;
}
.try {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 12px;
}
.try .form-select {
  width: auto;
}
</style>
