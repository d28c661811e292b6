<script setup lang="ts">
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, watch } from 'vue';
import { DEFAULT_SETTINGS } from '@wergon/contract/shop';
import type { Settings } from '@wergon/contract/shop';
import { nextOrderNumber } from '@wergon/core/work';
import { callRoute, sayDate, useAct, useDesk, useForm, yearOf } from '../kit/index.ts';
import { CheckField, DateField, FormField, QueryState, ShopLayout } from '../kit/parts/index.ts';

const PERIODS = {
  weekly: 'a week',
  'two-weekly': 'two weeks',
  'twice-monthly': 'half a month',
  monthly: 'a month',
} as const;
/** The full hours of a day. */
const HOURS = Array.from({ length: 24 }, (_, hour) => hour);
const desk = useDesk();
const query = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
const form = useForm<Settings>({ ...DEFAULT_SETTINGS, name: '' });
watch(
  () => query.data.value?.settings,
  (settings) => {
    if (settings && !form.isDirty.value) form.reset(settings);
  },
  { immediate: true },
);
const save = () =>
  form.send(({ orderNumbers, ...rest }) =>
    callRoute('saveSettings', {
      body: {
        ...rest,
        desk: { signOutMinutes: Number(rest.desk.signOutMinutes) },
        backup: { hour: rest.backup.hour, keep: Number(rest.backup.keep) },
        reconcile: { answeredGapMinutes: Number(rest.reconcile.answeredGapMinutes) },
        orderNumbers: {
          ...orderNumbers,
          digits: Number(orderNumbers.digits),
          first: Number(orderNumbers.first),
        },
      },
    }),
  );
const sample = computed(() => {
  const { prefix, digits, first } = form.fields.value.orderNumbers;
  return nextOrderNumber({ prefix, digits: Number(digits), first: Number(first) }, []);
});
const { act, problem, isBusy } = useAct();
const closed = reactive({ day: '', name: '' });
async function close(): Promise<void> {
  const done = await act(() => callRoute('addClosedDay', { body: { ...closed } }));
  if (done !== undefined) Object.assign(closed, { day: '', name: '' });
}
const open = (day: LocalDay) => act(() => callRoute('removeClosedDay', { body: { day: formatDay(day) } }));
</script>

<template>
  <ShopLayout title="Settings">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="lead-words">
        Time zone <b>{{ query.data.value.zone }}</b> and currency <b>{{ query.data.value.currency }}</b> were
        fixed at the first run and stay.
      </p>
      <form @submit.prevent="save">
        <fieldset :disabled="!desk.may('shop.change')">
          <div class="fields">
            <FormField
              v-slot="{ id }"
              label="Name of the shop"
              :error="form.errors.value['name']"
              class="wide"
            >
              <BFormInput :id="id" v-model="form.fields.value.name" required />
            </FormField>
          </div>
          <h2>Pay periods</h2>
          <div class="fields">
            <FormField v-slot="{ id }" label="A pay period is" :error="form.errors.value['pay.period']">
              <BFormSelect :id="id" v-model="form.fields.value.pay.period">
                <option v-for="(words, kind) in PERIODS" :key="kind" :value="kind">{{ words }}</option>
              </BFormSelect>
            </FormField>
            <FormField
              v-slot="{ id }"
              label="One of them begins on"
              :error="form.errors.value['pay.anchor']"
              hint="closed periods stay as they are"
            >
              <DateField
                :id="id"
                v-model="form.fields.value.pay.anchor"
                label="One of them begins on"
                required
              />
            </FormField>
            <FormField v-slot="{ id }" label="Time goes to pay" :error="form.errors.value['pay.approval']">
              <BFormSelect :id="id" v-model="form.fields.value.pay.approval">
                <option value="person-day">once approved</option>
                <option value="none">at once</option>
              </BFormSelect>
            </FormField>
            <CheckField v-model="form.fields.value.pay.isConfirmed" class="check"
              >technicians confirm their own days at the station</CheckField
            >
          </div>
          <h2>Reconcile</h2>
          <div class="fields">
            <FormField
              v-slot="{ id }"
              label="Gaps under so many minutes need no answer"
              :error="form.errors.value['reconcile.answeredGapMinutes']"
              hint="0: every gap stands in the queue"
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
          <h2>Desk</h2>
          <div class="fields">
            <FormField
              v-slot="{ id }"
              label="An untouched page signs out after, in minutes"
              :error="form.errors.value['desk.signOutMinutes']"
              hint="not on a computer that only one person uses"
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
          <h2>Backups</h2>
          <div class="fields">
            <FormField v-slot="{ id }" label="Back up every day at" :error="form.errors.value['backup.hour']">
              <BFormSelect :id="id" v-model="form.fields.value.backup.hour">
                <option :value="null">never: somebody else does it</option>
                <option v-for="hour in HOURS" :key="hour" :value="hour">{{ hour }}:00</option>
              </BFormSelect>
            </FormField>
            <FormField
              v-slot="{ id }"
              label="Keep so many"
              :error="form.errors.value['backup.keep']"
              hint="the oldest goes when a new one is good"
            >
              <BFormInput :id="id" v-model="form.fields.value.backup.keep" type="number" min="1" max="365" />
            </FormField>
          </div>
          <h2>Order numbers</h2>
          <div class="fields">
            <FormField v-slot="{ id }" label="Begin with" :error="form.errors.value['orderNumbers.prefix']">
              <BFormInput :id="id" v-model="form.fields.value.orderNumbers.prefix" />
            </FormField>
            <FormField
              v-slot="{ id }"
              label="Digits at least"
              :error="form.errors.value['orderNumbers.digits']"
            >
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
              label="First number"
              :error="form.errors.value['orderNumbers.first']"
              :hint="`the first is ${sample}`"
            >
              <BFormInput :id="id" v-model="form.fields.value.orderNumbers.first" type="number" min="1" />
            </FormField>
          </div>
          <h2>Labels</h2>
          <div class="fields">
            <FormField v-slot="{ id }" label="Codes are drawn as">
              <BFormSelect :id="id" v-model="form.fields.value.labels.symbology">
                <option value="code128">Code 128</option>
                <option value="code39">Code 39</option>
                <option value="qr">QR</option>
              </BFormSelect>
            </FormField>
            <FormField v-slot="{ id }" label="Paper">
              <BFormSelect :id="id" v-model="form.fields.value.labels.paper">
                <option value="a4">A4</option>
                <option value="letter">Letter</option>
                <option value="roll62">62 mm roll</option>
              </BFormSelect>
            </FormField>
          </div>
        </fieldset>
        <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
        <div v-if="desk.may('shop.change')" class="acts">
          <BButton type="submit" variant="primary" :disabled="form.isBusy.value || !form.isDirty.value"
            >Save</BButton
          >
          <span role="status" class="quiet">{{ form.isDirty.value ? 'not saved yet' : 'saved' }}</span>
        </div>
      </form>
      <h2>Closed days</h2>
      <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="close">
        <DateField v-model="closed.day" label="Closed day" required />
        <BFormInput v-model="closed.name" placeholder="Why" aria-label="Why the shop is closed" required />
        <BButton type="submit" variant="quiet" :disabled="isBusy">Add closed day</BButton>
      </form>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      <p v-if="query.data.value.closedDays.length === 0" class="quiet">
        None yet: holidays and the like, on which nobody is planned.
      </p>
      <ul class="closed">
        <li v-for="each in query.data.value.closedDays" :key="each.day">
          <span>{{ sayDate(each.day) }} {{ yearOf(each.day) }}</span> <span>{{ each.name }}</span>
          <BButton v-if="desk.may('shop.change')" variant="quiet" size="sm" @click="open(each.day)">
            Remove
          </BButton>
        </li>
      </ul>
    </template>
  </ShopLayout>
</template>

<style scoped>
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
