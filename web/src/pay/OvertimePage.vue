<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { OvertimeJson } from '@wergon/contract/pay';
import { formatDay } from '@wergon/core/time';
import { callRoute, sayDate, toPlain, useDesk, useToday, yearOf } from '../kit/index.ts';
import { DataTable, DeskFrame, QueryState } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';
import OvertimeForm from './OvertimeForm.vue';
import PayWays from './PayWays.vue';
import { EXAMPLES, sayTerms } from './overtimeWords.ts';
import type { RuleDraft } from './overtimeWords.ts';

/** How overtime is paid: the rules with the days from which they hold, and what another one would do. */
const ASK_MS = 1_000;
const desk = useDesk();
const today = useToday();
const query = useQuery({
  queryKey: ['overtime'],
  queryFn: () => callRoute('overtime'),
  refetchInterval: (asked) => ((asked.state.data?.pending ?? 0) > 0 ? ASK_MS : false),
});
const shop = useQuery({
  queryKey: ['shop'],
  queryFn: () => callRoute('shop'),
  enabled: () => desk.may('shop.see'),
});
const periods = useQuery({ queryKey: ['pay-periods'], queryFn: () => callRoute('payPeriods') });
const lastPeriod = computed(() => periods.data.value?.periods.find(({ state }) => state !== 'running'));
const rules = computed(() => query.data.value?.rules ?? []);
const groups = computed(() =>
  (shop.data.value?.lists['pay-group'] ?? []).filter(({ isOff }) => !isOff).map(({ name }) => name),
);
type Rule = OvertimeJson['rules'][number];
/** The latest rule of each group that has begun is the one that fits now. */
const isInForce = (rule: Rule) =>
  rule.from <= today.value &&
  !rules.value.some((each) => each.group === rule.group && each.from > rule.from && each.from <= today.value);

const opened = ref<{ initial: RuleDraft; replaces: { from: string; group: string } | null } | null>(null);
const draftOf = (from: string, group: string, terms: Rule['terms'] | null) =>
  toPlain({ from, group, terms }) as RuleDraft;
function begin(terms: Rule['terms']): void {
  opened.value = { initial: draftOf(formatDay(today.value), '', terms), replaces: null };
}
function correct({ from, group, terms }: Rule, isTakenOut: boolean): void {
  const replaces = { from: formatDay(from), group };
  opened.value = { initial: draftOf(replaces.from, group, isTakenOut ? null : terms), replaces };
}
async function close(): Promise<void> {
  opened.value = null;
  await query.refetch();
}
const columns = computed((): readonly Column<Rule>[] => [
  { id: 'from', title: t('common.from'), class: 'text-nowrap', isRowHead: true },
  { id: 'group', title: t('pay.forWhom'), value: ({ group }) => group || t('pay.everybody') },
  { id: 'says', title: t('pay.whatItSays') },
  {
    id: 'bears',
    class: 'aside',
    title: t('pay.whoBearsIt'),
    value: ({ terms }) => t(`premiumOn.${terms.premiumOn}`),
  },
  { id: 'by', class: 'aside', title: t('ledger.setBy'), value: ({ by }) => by },
  { id: 'acts', class: 'acts-cell' },
]);
const mayChange = computed(() => desk.may('shop.change'));
</script>

<template>
  <DeskFrame :title="t('pay.overtimeRules')" :lead="t('pay.overtimeLead')">
    <PayWays />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p v-if="query.data.value.pending > 0" class="told attention" role="status">
        {{ t('pay.daysArePaidAnew', { n: query.data.value.pending }) }}
      </p>
      <DataTable
        v-if="rules.length > 0"
        class="across"
        :rows="rules"
        :columns="columns"
        :row-key="({ from, group }) => `${from} ${group}`"
        :row-class="(each) => ({ holds: isInForce(each) })"
      >
        <template #from="{ row }"
          >{{ sayDate(row.from) }} {{ yearOf(row.from)
          }}<span v-if="isInForce(row)" class="quiet in-force">{{ t('ledger.inForce') }}</span></template
        >
        <template #says="{ row }"
          ><span v-for="words in sayTerms(row.terms)" :key="words" class="says">{{ words }}</span></template
        >
        <template #acts="{ row }">
          <template v-if="mayChange">
            <BButton variant="quiet" size="sm" @click="correct(row, false)">{{
              t('ledger.correct')
            }}</BButton>
            <BButton variant="quiet" size="sm" @click="correct(row, true)">{{ t('ledger.takeOut') }}</BButton>
          </template>
        </template>
      </DataTable>
      <p v-else class="told">{{ t('pay.noRulesYet') }}</p>
      <OvertimeForm
        v-if="opened"
        :key="JSON.stringify(opened)"
        v-bind="opened"
        :groups="groups"
        :last-period="lastPeriod"
        @done="close"
        @leave="opened = null"
      />
      <div v-else-if="mayChange" class="told">
        <BButton v-if="rules[0]" variant="primary" @click="begin(rules[0].terms)">{{
          t('pay.newRule')
        }}</BButton>
        <template v-else>
          <p>{{ t('pay.rulesToStartFrom') }}</p>
          <div class="acts">
            <BButton
              v-for="example in EXAMPLES"
              :key="example.words"
              variant="quiet"
              @click="begin(example.terms)"
              >{{ example.words }}</BButton
            >
          </div>
        </template>
      </div>
      <section v-if="!opened" class="told">
        <h2>{{ t('pay.groupsAre') }}</h2>
        <p v-if="query.data.value.groups.length === 0" class="quiet">{{ t('pay.noGroups') }}</p>
        <ul v-else>
          <li v-for="group in query.data.value.groups" :key="group.name">
            {{ t('pay.groupPeople', { n: group.people, name: group.name }) }}
          </li>
        </ul>
      </section>
    </template>
  </DeskFrame>
</template>

<style scoped>
.told {
  margin: 0;
  padding: 10px 16px;
}
.in-force,
.says {
  display: block;
}
:deep(.holds) {
  box-shadow: inset 4px 0 0 var(--action);
}
ul {
  padding-left: 18px;
}
@media (max-width: 900px) {
  :deep(.aside) {
    display: none;
  }
}
</style>
