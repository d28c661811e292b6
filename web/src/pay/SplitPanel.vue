<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import { formatCents, toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import type { ClassSeconds } from '@wergon/core/pay';
import { PAY_CLASSES } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { formatDay, formatHours, parseHours } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { callRoute, linkToDay, sayDay, useAct, useDesk } from '../kit/index.ts';
import { QueryState } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** How one shift day is paid: what the rule says beside what was decided, and what each costs. */
const props = defineProps<{ technician: TechnicianId; name: string; day: LocalDay }>();
const desk = useDesk();
const asked = computed(() => ({ technician: props.technician, day: formatDay(props.day) }));
const query = useQuery({
  queryKey: ['day-split', asked],
  queryFn: () => callRoute('daySplit', { query: asked.value }),
});
const told = computed(() => query.data.value);
const { act, problem, isBusy } = useAct();

const money = (amount: Cents) => desk.money(formatCents(amount));
/** What is not straight, in words; nothing where all is. */
const sayClasses = (classes: ClassSeconds): string => {
  const parts = (['overtime', 'double'] as const)
    .filter((each) => classes[each] > 0)
    .map((each) => `${desk.hours(classes[each])} ${t(`payClasses.${each}`)}`);
  return parts.length === 0 ? t('pay.allStraight') : parts.join(', ');
};
/** How it is paid now, and what that adds to which jobs. */
const sentences = computed(() => {
  const { split, now, decided, premium } = told.value ?? {};
  if (!now) return '';
  const how =
    split === 'decided' && decided
      ? t('pay.decidedBy', { name: decided.by, classes: sayClasses(now), reason: decided.reason })
      : t('pay.theRuleMakesIt', { classes: sayClasses(now) });
  if (!premium || premium.now === 0) return how;
  const added = money(premium.now);
  const adds = bears.value
    ? t('pay.itAddsTo', { money: added, orders: bears.value })
    : t('pay.itAdds', { money: added });
  return `${how} ${adds}`;
});
const bears = computed(() => (told.value?.orders ?? []).map(({ number }) => number).join(', '));

const isOpen = ref(false);
const typed = reactive({ straight: '', overtime: '', double: '' });
const reason = ref('');
const typedSeconds = computed(() => {
  const [straight, overtime, double] = PAY_CLASSES.map((each) => parseHours(typed[each] || '0'));
  return straight === undefined || overtime === undefined || double === undefined
    ? undefined
    : { straight, overtime, double };
});
const left = computed(() => {
  const own = typedSeconds.value;
  return own && told.value ? told.value.paidSeconds - own.straight - own.overtime - own.double : undefined;
});
const tried = ref<{ readonly key: string; readonly before: Cents; readonly after: Cents } | null>(null);
const key = computed(() => JSON.stringify(typedSeconds.value));
/** What the typed split would add to what the week costs now. */
const costs = computed(() =>
  tried.value?.key === key.value ? toCents(tried.value.after - tried.value.before) : undefined,
);
async function tryIt(): Promise<void> {
  const own = typedSeconds.value;
  if (!own || left.value !== 0 || !told.value?.premium) return;
  const forKey = key.value;
  const { premium } = await callRoute('trySplit', { body: { ...asked.value, ...own } });
  if (premium) tried.value = { key: forKey, ...premium };
}
function begin(): void {
  const now = told.value?.now;
  if (!now) return;
  for (const each of PAY_CLASSES) typed[each] = now[each] === 0 ? '' : formatHours(now[each], 'h:mm:ss');
  isOpen.value = true;
}
async function decide(classes: ClassSeconds | null, why: string): Promise<void> {
  const stamp = told.value?.stamp ?? '';
  const done = await act(() =>
    callRoute('decideSplits', { body: { days: [{ ...asked.value, stamp, classes }], reason: why } }),
  );
  if (done === undefined) return;
  isOpen.value = false;
  reason.value = '';
  await query.refetch();
}
async function reset(): Promise<void> {
  const done = await act(() => callRoute('resetSplits', { body: { days: [asked.value] } }));
  if (done !== undefined) await query.refetch();
}
</script>

<template>
  <div class="split">
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p>
        <b>{{ name }}, {{ sayDay(day) }}</b> ·
        <RouterLink :to="linkToDay(technician, day)">{{
          t('pay.paidOfThatDay', { hours: desk.hours(told.paidSeconds) })
        }}</RouterLink>
        ·
        {{ sentences }}
      </p>
      <p v-if="told.split === 'changed'" class="attention">{{ t('pay.splitHoldsNoLonger') }}</p>
      <p v-if="told.split === 'decided'" class="quiet">
        {{ t('pay.theRuleWouldMakeIt', { classes: sayClasses(told.byRule) }) }}
        <template v-if="told.premium">{{ money(told.premium.byRule) }}</template>
      </p>
      <p v-if="told.refusal && told.refusal !== 'right'" class="quiet">
        {{ t(`splitRefusals.${told.refusal}`) }}
      </p>
      <div v-if="told.refusal === null" class="acts">
        <template v-if="!isOpen">
          <BButton
            v-if="told.split !== 'decided'"
            variant="primary"
            size="sm"
            :disabled="isBusy"
            @click="decide(null, t('pay.asTheRuleHasIt'))"
            >{{ t('pay.takeTheRulesSplit') }}</BButton
          >
          <BButton v-else variant="quiet" size="sm" :disabled="isBusy" @click="reset">{{
            t('pay.byTheRuleAgain')
          }}</BButton>
          <BButton variant="quiet" size="sm" @click="begin">{{ t('pay.anotherSplit') }}</BButton>
        </template>
        <form v-else @submit.prevent="typedSeconds && decide(typedSeconds, reason)">
          <label v-for="each in PAY_CLASSES" :key="each"
            >{{ t(`payClasses.${each}`) }}
            <BFormInput v-model="typed[each]" size="sm" class="figure" placeholder="0:00" @change="tryIt"
          /></label>
          <label class="why"
            >{{ t('common.why') }} <BFormInput v-model="reason" size="sm" maxlength="200" required
          /></label>
          <BButton type="submit" variant="primary" size="sm" :disabled="isBusy || left !== 0">{{
            t('pay.decideThis')
          }}</BButton>
          <BButton variant="quiet" size="sm" @click="isOpen = false">{{ t('common.leaveItAsItIs') }}</BButton>
          <span v-if="left === undefined" class="attention" role="status">{{ t('pay.hoursLike') }}</span>
          <span v-else-if="left !== 0" class="attention" role="status">{{
            left > 0
              ? t('pay.stillToDivide', { hours: desk.hours(left) })
              : t('pay.tooMuchDivided', { hours: desk.hours(-left) })
          }}</span>
          <span v-else-if="costs !== undefined" role="status">{{
            costs >= 0
              ? t('pay.wouldCostMore', { money: money(costs) })
              : t('pay.wouldCostLess', { money: money(toCents(-costs)) })
          }}</span>
        </form>
      </div>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    </template>
  </div>
</template>

<style scoped>
.split {
  padding: 8px 16px;
  background: var(--action-tint);
  border-top: 1px solid var(--line);
}
p {
  margin: 0 0 4px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
label {
  display: grid;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
label .form-control {
  width: 84px;
}
.why .form-control {
  width: 200px;
}
</style>
