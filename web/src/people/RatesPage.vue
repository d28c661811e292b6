<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import type { PayRecord, RateEffect } from '@wergon/contract/people';
import { formatDay } from '@wergon/core/time';
import { callRoute, sayDateText, useDesk, useForm, useNow } from '../kit/index.ts';
import { CheckField, DateField, FormField, QueryState, ShopLayout, DataTable } from '../kit/parts/index.ts';
import RateStack from './RateStack.vue';
import type { ResponseOf } from '@wergon/contract/routes';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const now = useNow();
const route = useRoute();
const params = computed(() => ({ technician: String(route.params['technician']) }));
const query = useQuery({
  queryKey: ['rates', params],
  queryFn: () => callRoute('rates', { params: params.value }),
});
const people = useQuery({ queryKey: ['people'], queryFn: () => callRoute('people') });
const person = computed(() =>
  people.data.value?.technicians.find(({ id }) => id === params.value.technician),
);
const records = computed(() => query.data.value?.records ?? []);

const today = computed(() => (desk.zone ? formatDay(desk.zone.dayAt(now.value)) : ''));
const day = ref('');
const asked = computed(() => day.value || today.value);
/** The record that holds on the day asked for; records stand newest first. */
const holding = computed(() => records.value.find(({ record }) => record.from <= asked.value));

type Item = { name: string; kind: 'percent' | 'perHour' | 'perYear'; value: string; onPremium: boolean };
type Draft = {
  from: string;
  per: 'hour' | 'year';
  base: string;
  hoursPerYear: string;
  burden: Item[];
  overtimePaid: boolean;
  grade: string | null;
};
const EMPTY: Draft = {
  ...{ from: '', per: 'hour', base: '', hoursPerYear: '', burden: [], overtimePaid: false, grade: null },
};
const grades = computed(() => people.data.value?.grades ?? []);
const gradeName = (id: string | null | undefined) => grades.value.find((each) => each.id === id)?.name;

const isOpen = ref(false);
const replaces = ref<string | null>(null);
const effect = ref<RateEffect | null>(null);

function begin(from: (typeof records.value)[number]['record'] | undefined, isReplacing: boolean): void {
  const draft: Draft = from
    ? {
        from: isReplacing ? from.from : today.value,
        per: from.per,
        base: from.base,
        hoursPerYear: from.hoursPerYear ?? '',
        burden: from.burden.map((item) => ({ ...item, onPremium: item.onPremium ?? false })),
        overtimePaid: from.overtimePaid ?? false,
        grade: from.grade ?? person.value?.grade ?? null,
      }
    : { ...EMPTY, from: today.value, grade: person.value?.grade ?? null };
  form.reset({ record: draft });
  replaces.value = isReplacing && from ? from.from : null;
  effect.value = null;
  isOpen.value = true;
}
const point = (text: string) => text.trim().replace(',', '.');
const recordOf = ({ from, per, base, hoursPerYear, burden, overtimePaid, grade }: Draft): PayRecord => ({
  from,
  per,
  base: point(base),
  ...(hoursPerYear.trim() === '' ? {} : { hoursPerYear: point(hoursPerYear) }),
  burden: burden.map(({ name, kind, value, onPremium }) => ({
    ...{ name, kind, value: point(value) },
    ...(onPremium && kind === 'percent' ? { onPremium } : {}),
  })),
  ...(overtimePaid && per === 'year' ? { overtimePaid } : {}),
  ...(grade === null ? {} : { grade }),
});
const bodyOf = ({ record }: { record: Draft }) => ({ record: recordOf(record), replaces: replaces.value });
const form = useForm({ record: EMPTY }, 'rateEffect', bodyOf);
const written = computed(() => form.fields.value.record);
const isSeen = ref('');

/** First what it would do; then, seen and agreed, it is stored. */
async function save(): Promise<void> {
  const key = JSON.stringify(bodyOf(form.fields.value));
  if (!effect.value || isSeen.value !== key) {
    const told = await form.send((fields) =>
      callRoute('rateEffect', { params: params.value, body: bodyOf(fields) }),
    );
    if (!told) return;
    effect.value = told.answer;
    isSeen.value = key;
    if (told.answer.isPast) return;
  }
  const done = await form.send((fields) =>
    callRoute('addRate', {
      params: params.value,
      body: { ...bodyOf(fields), isPastAgreed: effect.value?.isPast ?? false },
    }),
  );
  if (!done) return;
  isOpen.value = false;
  effect.value = null;
}
const asksPast = computed(
  () => effect.value?.isPast === true && isSeen.value === JSON.stringify(bodyOf(form.fields.value)),
);
const effectColumns = computed((): readonly Column<ResponseOf<'rateEffect'>['orders'][number]>[] => [
  { id: 'order', title: t('common.order'), class: 'mono', value: (each) => each.number },
  { id: 'title', title: '' },
  {
    id: 'hours',
    title: t('common.hours'),
    class: 'number figure',
    value: (each) => desk.hours(each.seconds),
  },
  {
    id: 'costNow',
    title: t('people.costNow'),
    class: 'number figure',
    value: (each) => desk.money(each.before),
  },
  {
    id: 'costThen',
    title: t('people.costThen'),
    class: 'number figure',
    value: (each) => desk.money(each.after),
  },
]);
</script>

<template>
  <ShopLayout
    :title="person ? t('people.costOfSHour', { name: person.name }) : t('common.costRates')"
    :lead="t('people.whatOneHourCostsTheShopBase')"
  >
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="lead-words">
        <RouterLink :to="{ name: 'person', params }">{{ person?.name ?? t('common.back') }}</RouterLink> ·
        <RouterLink to="/shop/people">{{ t('people.allPeopleWord') }}</RouterLink>
      </p>
      <div class="inline">
        <label>{{ t('people.on') }} <DateField v-model="day" :label="t('people.theDayToLookAt')" /></label>
        <span v-if="holding" role="status"
          >{{ t('people.anHourCosts', { day: day ? sayDateText(day) : t('people.today') }) }}
          <b class="figure big">{{ desk.rate(holding.costPerHour) }}</b></span
        >
        <span v-else class="attention" role="status">{{
          t('people.noRateHoldsOnTheHoursCountTheir', { day: day ? sayDateText(day) : t('people.thisDay') })
        }}</span>
      </div>
      <article
        v-for="each in records"
        :key="each.record.from"
        class="record"
        :class="{ holds: each === holding }"
      >
        <h3>
          {{
            t('people.fromDay', { day: sayDateText(each.record.from), year: each.record.from.slice(0, 4) })
          }}
          <span v-if="each === holding" class="quiet">{{ t('people.holdsOnTheDayAskedFor') }}</span>
        </h3>
        <RateStack :rate="each" />
        <p v-if="gradeName(each.record.grade)" class="quiet">
          {{ t('people.gradeAtItsStandardRateOthers', { grade: gradeName(each.record.grade) }) }}
        </p>
        <BButton variant="quiet" size="sm" @click="begin(each.record, true)">
          {{ t('people.correctThisRate') }}
        </BButton>
      </article>
      <p v-if="records.length === 0" class="attention">{{ t('people.noRateYet') }}</p>
      <div v-if="!isOpen" class="acts">
        <BButton variant="primary" @click="begin(records[0]?.record, false)">{{
          t('people.newRateFromADayOn')
        }}</BButton>
      </div>
      <form v-else class="draft" @submit.prevent="save">
        <h2>
          {{
            replaces ? t('people.correctTheRateFrom', { day: sayDateText(replaces) }) : t('people.newRate')
          }}
        </h2>
        <div class="fields">
          <FormField v-slot="{ id }" :label="t('common.from')" field="record.from">
            <DateField :id="id" v-model="written.from" :label="t('common.from')" required />
          </FormField>
          <FormField v-slot="{ id }" :label="t('people.paidBy')">
            <BFormSelect :id="id" v-model="written.per">
              <option value="hour">{{ t('people.theHour') }}</option>
              <option value="year">{{ t('people.theYear') }}</option>
            </BFormSelect>
          </FormField>
          <FormField v-slot="{ id, described }" :label="t('people.base')" field="record.base">
            <BFormInput
              :id="id"
              v-model="written.base"
              class="figure"
              inputmode="decimal"
              :aria-describedby="described"
              required
            />
          </FormField>
          <FormField
            v-slot="{ id, described }"
            :label="t('people.hoursPerYear')"
            field="record.hoursPerYear"
            :hint="t('people.forASalaryOrAYearlyBurden')"
          >
            <BFormInput
              :id="id"
              v-model="written.hoursPerYear"
              class="figure"
              inputmode="decimal"
              :aria-describedby="described"
            />
          </FormField>
        </div>
        <div class="fields">
          <FormField
            v-slot="{ id, described }"
            :label="t('common.grade')"
            :hint="t('people.whoeverMayNotSeeRatesSeesTheir')"
          >
            <BFormSelect :id="id" v-model="written.grade" :aria-describedby="described">
              <option :value="null">{{ t('people.noneAsEachTaskWasEstimated') }}</option>
              <option v-for="each in grades" :key="each.id" :value="each.id">{{ each.name }}</option>
            </BFormSelect>
          </FormField>
        </div>
        <CheckField v-if="written.per === 'year'" v-model="written.overtimePaid" class="check">{{
          t('people.overtimeIsPaidBesideTheSalary')
        }}</CheckField>
        <h3>{{ t('people.burden') }}</h3>
        <div v-for="(item, i) in written.burden" :key="i" class="inline">
          <BFormInput
            v-model="item.name"
            :aria-label="t('people.nameOfBurden', { number: i + 1 })"
            :placeholder="t('common.name')"
          />
          <BFormInput
            v-model="item.value"
            class="figure"
            inputmode="decimal"
            :aria-label="t('people.amountOfBurden', { number: i + 1 })"
            :placeholder="t('common.amount')"
            required
          />
          <BFormSelect v-model="item.kind" :aria-label="t('people.kindOfBurden', { number: i + 1 })">
            <option value="percent">{{ t('people.percentOfBase') }}</option>
            <option value="perHour">{{ t('common.anHour') }}</option>
            <option value="perYear">{{ t('people.aYear') }}</option>
          </BFormSelect>
          <CheckField v-if="item.kind === 'percent'" v-model="item.onPremium" class="check">{{
            t('people.alsoOnOvertime')
          }}</CheckField>
          <BButton variant="quiet" @click="written.burden.splice(i, 1)">
            {{ t('common.remove') }}
          </BButton>
        </div>
        <BButton
          variant="quiet"
          @click="written.burden.push({ name: '', kind: 'percent', value: '', onPremium: false })"
        >
          {{ t('people.addABurden') }}
        </BButton>
        <div v-if="asksPast && effect" class="effect" role="status">
          <p>
            <b>{{ t('people.thisChangesDaysGoneBy') }}</b> {{ t('people.anHourWouldCost') }}
            <b class="figure">{{ desk.rate(effect.costPerHour) }}</b>{{
              t('people.hoursStayAsTheyAreTheseCosts')
            }}
          </p>
          <DataTable :rows="effect.orders" :columns="effectColumns" :row-key="(each) => each.number"
            ><template #title="{ row: each }"
              >{{ each.title
              }}<span v-if="each.isOpen" class="quiet"> · {{ t('common.open') }}</span></template
            ></DataTable
          >
        </div>
        <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
        <div class="acts">
          <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
            asksPast ? t('people.changeThePast') : t('people.saveRate')
          }}</BButton>
          <BButton variant="quiet" @click="((isOpen = false), form.reset({ record: EMPTY }))">
            {{ t('common.leaveItAsItIs') }}
          </BButton>
        </div>
      </form>
    </template>
  </ShopLayout>
</template>

<style scoped>
.big {
  font-size: var(--text-2xl);
}
.record {
  max-width: 1040px;
  padding: 4px 0 14px;
  border-top: 1px solid var(--line);
}
.holds {
  padding-left: 12px;
  border-left: 4px solid var(--action);
}
.effect {
  max-width: 1040px;
  margin-top: 16px;
  padding: 12px 16px;
  background: var(--attention-tint);
  border: 1px solid var(--attention);
}
</style>
