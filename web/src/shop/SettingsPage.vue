<script setup lang="ts">
import { REASON_KINDS, SPARE_FIELDS } from '@wergon/core/work';
import type { SpareField } from '@wergon/core/work';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, watch } from 'vue';
import { DEFAULT_SETTINGS, WRITERS } from '@wergon/contract/shop';
import type { Settings } from '@wergon/contract/shop';
import { nextOrderNumber } from '@wergon/core/work';
import { callRoute, sayDate, useAct, useDesk, useForm, yearOf } from '../kit/index.ts';
import { CheckField, DateField, FormField, QueryState, ShopLayout } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const PERIODS = {
  weekly: t('shop.aWeek'),
  'two-weekly': t('shop.twoWeeks'),
  'twice-monthly': t('shop.halfAMonth'),
  monthly: t('shop.aMonth'),
} as const;
/** The full hours of a day. */
const HOURS = Array.from({ length: 24 }, (_, hour) => hour);
const desk = useDesk();
const query = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
/** As they are sent: what was typed into a field for a number is one. */
const bodyOf = ({ orderNumbers, ...rest }: Settings) => ({
  ...rest,
  desk: { signOutMinutes: Number(rest.desk.signOutMinutes) },
  backup: { hour: rest.backup.hour, keep: Number(rest.backup.keep) },
  reconcile: { answeredGapMinutes: Number(rest.reconcile.answeredGapMinutes) },
  orderNumbers: { ...orderNumbers, digits: Number(orderNumbers.digits), first: Number(orderNumbers.first) },
});
const form = useForm({ ...DEFAULT_SETTINGS, name: '' }, 'saveSettings', bodyOf);
watch(
  () => query.data.value?.settings,
  (settings) => {
    if (settings && !form.isDirty.value) form.reset(settings);
  },
  { immediate: true },
);
const save = () => form.send((settings) => callRoute('saveSettings', { body: bodyOf(settings) }));
const sample = computed(() => {
  const { prefix, digits, first } = form.fields.value.orderNumbers;
  return nextOrderNumber({ prefix, digits: Number(digits), first: Number(first) }, []);
});
const { act, problem, isBusy } = useAct();
const closed = reactive({ day: '', name: '', isPaid: false });
async function close(): Promise<void> {
  const done = await act(() => callRoute('addClosedDay', { body: { ...closed } }));
  if (done !== undefined) Object.assign(closed, { day: '', name: '', isPaid: false });
}
const open = (day: LocalDay) => act(() => callRoute('removeClosedDay', { body: { day: formatDay(day) } }));
/** The fields that are used: what is kept is which are not, so that a new one is there. */
const usedFields = computed({
  get: () => SPARE_FIELDS.filter((field) => !form.fields.value.work.unusedFields.includes(field)),
  set: (used: SpareField[]) => {
    form.fields.value.work.unusedFields = SPARE_FIELDS.filter((field) => !used.includes(field));
  },
});
</script>

<template>
  <ShopLayout :title="t('common.settings')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="lead-words">
        {{ t('common.timeZone') }} <b>{{ query.data.value.zone }}</b> {{ t('shop.andCurrency') }}
        <b>{{ query.data.value.currency }}</b> {{ t('shop.wereFixedAtTheFirstRunAndStay') }}
      </p>
      <form novalidate @submit.prevent="save">
        <fieldset :disabled="!desk.may('shop.change')">
          <div class="fields">
            <FormField v-slot="{ id }" :label="t('common.nameOfTheShop')" field="name" class="wide">
              <BFormInput :id="id" v-model="form.fields.value.name" required />
            </FormField>
          </div>
          <h2>{{ t('common.payPeriods') }}</h2>
          <div class="fields">
            <FormField v-slot="{ id }" :label="t('shop.aPayPeriodIs')" field="pay.period">
              <BFormSelect :id="id" v-model="form.fields.value.pay.period">
                <option v-for="(words, kind) in PERIODS" :key="kind" :value="kind">{{ words }}</option>
              </BFormSelect>
            </FormField>
            <FormField
              v-slot="{ id }"
              :label="t('shop.oneOfThemBeginsOn')"
              field="pay.anchor"
              :hint="t('shop.closedPeriodsStayAsTheyAre')"
            >
              <DateField
                :id="id"
                v-model="form.fields.value.pay.anchor"
                :label="t('shop.oneOfThemBeginsOn')"
                required
              />
            </FormField>
            <FormField v-slot="{ id }" :label="t('shop.timeGoesToPay')" field="pay.approval">
              <BFormSelect :id="id" v-model="form.fields.value.pay.approval">
                <option value="person-day">{{ t('shop.onceApproved') }}</option>
                <option value="none">{{ t('shop.atOnce') }}</option>
              </BFormSelect>
            </FormField>
            <FormField v-slot="{ id }" :label="t('shop.whatIsPaid')" field="pay.basis">
              <BFormSelect :id="id" v-model="form.fields.value.pay.basis">
                <option value="labor">{{ t('shop.whatIsChargedIsPaid') }}</option>
                <option value="attended">{{ t('shop.whatIsAttendedIsPaid') }}</option>
              </BFormSelect>
            </FormField>
            <FormField v-slot="{ id }" :label="t('shop.whereTimeIsEntered')" field="pay.timeFrom">
              <BFormSelect :id="id" v-model="form.fields.value.pay.timeFrom">
                <option value="here">{{ t('shop.enteredHere') }}</option>
                <option value="elsewhere">{{ t('shop.enteredElsewhere') }}</option>
              </BFormSelect>
            </FormField>
            <CheckField v-model="form.fields.value.pay.isConfirmed" class="check">{{
              t('shop.techniciansConfirmTheirOwnDays')
            }}</CheckField>
          </div>
          <h2>{{ t('shop.startingWork') }}</h2>
          <div class="starting">
            <CheckField v-model="form.fields.value.work.isAssignedOnly" class="check">{{
              t('shop.assignedTasksAreStartedByNobodyElse')
            }}</CheckField>
            <CheckField v-model="form.fields.value.work.offers" class="check">{{
              t('shop.estimatesAreAskedForAndOffered')
            }}</CheckField>
            <CheckField v-model="form.fields.value.work.includesTravel" class="check">{{
              t('shop.newEstimatesIncludeTravel')
            }}</CheckField>
            <CheckField v-model="form.fields.value.work.ownPhones" class="check">{{
              t('shop.phonesOfOnesOwnAreStations')
            }}</CheckField>
            <FormField v-slot="{ id }" :label="t('shop.whoWritesDown')" field="work.writesDown">
              <BFormSelect :id="id" v-model="form.fields.value.work.writesDown">
                <option v-for="who in WRITERS" :key="who" :value="who">{{ t(`writers.${who}`) }}</option>
              </BFormSelect>
            </FormField>
          </div>
          <fieldset class="reasons">
            <legend>{{ t('shop.stationsAskWhy') }}</legend>
            <CheckField
              v-for="kind in REASON_KINDS"
              :key="kind"
              v-model="form.fields.value.work.asksWhy"
              class="check"
              :value="kind"
              >{{ t(`reasonKinds.${kind}`) }}</CheckField
            >
            <p class="quiet">{{ t('shop.reasonsAreInTheLists') }}</p>
          </fieldset>
          <fieldset class="reasons">
            <legend>{{ t('shop.fieldsThatAreUsed') }}</legend>
            <CheckField
              v-for="field in SPARE_FIELDS"
              :key="field"
              v-model="usedFields"
              class="check"
              :value="field"
              >{{ t(`spareFields.${field}`) }}</CheckField
            >
            <p class="quiet">{{ t('shop.whatIsNotUsedIsAskedNowhere') }}</p>
          </fieldset>
          <h2>{{ t('common.reconcile') }}</h2>
          <div class="fields">
            <FormField
              v-slot="{ id }"
              :label="t('shop.gapsUnderSoManyMinutesNeedNo')"
              field="reconcile.answeredGapMinutes"
              :hint="t('shop.n0EveryGapStandsInTheQueue')"
            >
              <BFormInput
                :id="id"
                v-model="form.fields.value.reconcile.answeredGapMinutes"
                type="number"
                min="0"
                max="60"
              />
            </FormField>
          </div>
          <h2>{{ t('shop.desk') }}</h2>
          <div class="fields">
            <FormField
              v-slot="{ id }"
              :label="t('shop.anUntouchedPageSignsOutAfter')"
              field="desk.signOutMinutes"
              :hint="t('shop.notOnAComputerThatOnlyOnePerson')"
            >
              <BFormInput
                :id="id"
                v-model="form.fields.value.desk.signOutMinutes"
                type="number"
                min="5"
                max="720"
              />
            </FormField>
          </div>
          <h2>{{ t('common.backups') }}</h2>
          <div class="fields">
            <FormField v-slot="{ id }" :label="t('shop.backUpEveryDayAt')" field="backup.hour">
              <BFormSelect :id="id" v-model="form.fields.value.backup.hour">
                <option :value="null">{{ t('shop.neverSomebodyElseDoesIt') }}</option>
                <option v-for="hour in HOURS" :key="hour" :value="hour">{{ hour }}:00</option>
              </BFormSelect>
            </FormField>
            <FormField
              v-slot="{ id }"
              :label="t('shop.keepSoMany')"
              field="backup.keep"
              :hint="t('shop.theOldestGoesWhenANewOneIsGood')"
            >
              <BFormInput :id="id" v-model="form.fields.value.backup.keep" type="number" min="1" max="365" />
            </FormField>
          </div>
          <h2>{{ t('shop.orderNumbers') }}</h2>
          <div class="fields">
            <FormField v-slot="{ id }" :label="t('shop.beginWith')" field="orderNumbers.prefix">
              <BFormInput :id="id" v-model="form.fields.value.orderNumbers.prefix" />
            </FormField>
            <FormField v-slot="{ id }" :label="t('shop.digitsAtLeast')" field="orderNumbers.digits">
              <BFormInput
                :id="id"
                v-model="form.fields.value.orderNumbers.digits"
                type="number"
                min="1"
                max="10"
              />
            </FormField>
            <FormField
              v-slot="{ id }"
              :label="t('shop.firstNumber')"
              field="orderNumbers.first"
              :hint="t('shop.theFirstIs', { sample })"
            >
              <BFormInput :id="id" v-model="form.fields.value.orderNumbers.first" type="number" min="1" />
            </FormField>
          </div>
          <h2>{{ t('common.labels') }}</h2>
          <div class="fields">
            <FormField v-slot="{ id }" :label="t('shop.codesAreDrawnAs')">
              <BFormSelect :id="id" v-model="form.fields.value.labels.symbology">
                <option value="code128">{{ t('common.code128') }}</option>
                <option value="code39">{{ t('common.code39') }}</option>
                <option value="qr">{{ t('shop.qr') }}</option>
              </BFormSelect>
            </FormField>
            <FormField v-slot="{ id }" :label="t('common.paper')">
              <BFormSelect :id="id" v-model="form.fields.value.labels.paper">
                <option value="a4">A4</option>
                <option value="letter">{{ t('common.letter') }}</option>
                <option value="roll62">{{ t('common.n62MmRoll') }}</option>
              </BFormSelect>
            </FormField>
          </div>
        </fieldset>
        <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
        <div v-if="desk.may('shop.change')" class="acts">
          <BButton type="submit" variant="primary" :disabled="form.isBusy.value || !form.isDirty.value">{{
            t('common.save')
          }}</BButton>
          <span role="status" class="quiet">{{
            form.isDirty.value ? t('common.notSavedYet') : t('common.saved')
          }}</span>
        </div>
      </form>
      <h2>{{ t('shop.closedDays') }}</h2>
      <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="close">
        <DateField v-model="closed.day" :label="t('shop.closedDay')" required />
        <BFormInput
          v-model="closed.name"
          :placeholder="t('common.why')"
          :aria-label="t('shop.whyTheShopIsClosed')"
          required
        />
        <CheckField v-model="closed.isPaid" class="check">{{ t('common.paid') }}</CheckField>
        <BButton type="submit" variant="quiet" :disabled="isBusy">{{ t('shop.addClosedDay') }}</BButton>
      </form>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      <p v-if="query.data.value.closedDays.length === 0" class="quiet">
        {{ t('shop.noneYetHolidaysAndTheLikeOn') }}
      </p>
      <ul class="closed">
        <li v-for="each in query.data.value.closedDays" :key="each.day">
          <span>{{ sayDate(each.day) }} {{ yearOf(each.day) }}</span>
          <span
            >{{ each.name }}<template v-if="each.isPaid">, {{ t('common.paid') }}</template></span
          >
          <BButton v-if="desk.may('shop.change')" variant="quiet" size="sm" @click="open(each.day)">
            {{ t('common.remove') }}
          </BButton>
        </li>
      </ul>
    </template>
  </ShopLayout>
</template>

<style scoped>
.starting {
  display: grid;
  gap: 6px;
  justify-items: start;
  margin-bottom: 10px;
}
.reasons {
  margin: 8px 0 0;
}
.reasons legend {
  font-size: var(--text-m);
}
fieldset {
  border: 0;
}
.closed {
  max-width: 640px;
  padding: 0;
  list-style: none;
}
.closed li {
  display: grid;
  grid-template-columns: 160px 1fr auto;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
