<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ToldLine } from './figures.ts';
import { formatDay } from '@wergon/core/time';
import { callRoute, sayInstant, useAct, useDesk, useForm } from '../kit/index.ts';
import { FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** What a labor line costs where somebody has set it, and the way to set it or to let its rate say it again. */
const props = defineProps<{ line: ToldLine; target: string }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const isOpen = ref(false);
const mayChange = computed(() => desk.may('ledger.correct') && desk.may('rates.see'));
const key = () => {
  const { technician, workType, day } = props.line;
  return { technician, target: props.target, workType, day: formatDay(day) };
};
/** What is set is what the hours themselves cost; overtime and payroll add to it. */
const begunNow = () => ({ amount: props.line.parts?.straight ?? props.line.cost ?? '', reason: '' });
const parts = computed(() => {
  const { parts: own } = props.line;
  if (!own) return '';
  const money = (of: keyof typeof own) => ({ money: desk.money(own[of]) });
  const said = [
    t('compare.costOfHours', money('straight')),
    ...(Number(own.premium) === 0 ? [] : [t('compare.costOfOvertime', money('premium'))]),
    ...(Number(own.trueUp) === 0 ? [] : [t('compare.costOfPayroll', money('trueUp'))]),
  ];
  return `${said.join(', ')}.`;
});
const bodyOf = (written: ReturnType<typeof begunNow>) => ({
  ...key(),
  seconds: props.line.seconds,
  ...written,
});
const form = useForm(begunNow(), 'setCost', bodyOf);
const { fields } = form;

function open(): void {
  // What it costs now, whatever was typed here before.
  form.reset(begunNow());
  isOpen.value = true;
}
async function save(): Promise<void> {
  if (await form.send((written) => callRoute('setCost', { body: bodyOf(written) }))) isOpen.value = false;
}
const reset = () => act(() => callRoute('resetCost', { body: key() }));

const said = computed(() => {
  const { set, seconds } = props.line;
  if (!set) return '';
  const when = desk.zone ? sayInstant(desk.zone, set.at) : '';
  const words = t('compare.costSetBy', {
    money: desk.money(set.cost),
    name: set.by,
    time: when,
    reason: set.reason,
  });
  const byRate = set.byRate === null ? t('compare.noRateForIt') : desk.money(set.byRate);
  return set.seconds === seconds
    ? `${words} ${t('compare.byItsRateItWouldCost', { money: byRate })}`
    : `${words} ${t('compare.setForOtherTime', { hours: desk.hours(set.seconds), now: desk.hours(seconds) })}`;
});
</script>

<template>
  <div v-if="line.set || line.parts || mayChange" class="line-cost">
    <p v-if="parts" class="none">{{ parts }}</p>
    <p v-if="said" class="none">{{ said }}</p>
    <form v-if="isOpen" novalidate class="fields" @submit.prevent="save">
      <FormField
        v-slot="{ id }"
        :label="line.parts ? t('compare.newCostWithoutOvertime') : t('compare.newCost')"
        field="amount"
      >
        <BFormInput :id="id" v-model="fields.amount" class="figure amount" inputmode="decimal" autofocus />
      </FormField>
      <FormField v-slot="{ id }" :label="t('common.why')" field="reason" class="why">
        <BFormInput :id="id" v-model="fields.reason" maxlength="200" />
      </FormField>
      <div class="acts">
        <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
          t('compare.setCost')
        }}</BButton>
        <BButton variant="quiet" @click="isOpen = false">{{ t('common.leaveItAsItIs') }}</BButton>
      </div>
    </form>
    <p v-else-if="mayChange" class="acts">
      <BButton v-if="line.set" variant="quiet" size="sm" :disabled="isBusy" @click="reset">{{
        t('compare.backToTheRate')
      }}</BButton>
      <BButton variant="quiet" size="sm" @click="open">{{ t('compare.setCostByHand') }}</BButton>
    </p>
    <p v-if="form.problem.value || problem" class="attention" role="alert">
      {{ form.problem.value || problem }}
    </p>
  </div>
</template>

<style scoped>
.line-cost {
  padding: 4px 0 0 80px;
}
.none {
  margin: 4px 0;
  color: var(--ink-2);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin-top: 6px;
}
.amount {
  width: 130px;
}
.why {
  flex: 1;
  max-width: 420px;
}
.acts {
  display: flex;
  gap: 8px;
  margin: 4px 0 0;
}
</style>
