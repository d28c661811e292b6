<script setup lang="ts">
import { computed } from 'vue';
import type { RulesEffect } from '@wergon/contract/ledger';
import { beforeAfter, sayDateText, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** What rules would do to days gone by: to whose time, to which jobs, and to what does not add up. */
const props = defineProps<{ effect: RulesEffect; from: string }>();
const desk = useDesk();
const isNothing = computed(() => {
  const { people, orders, looseEnds } = props.effect;
  return people.length + orders.length + looseEnds.length === 0;
});
type Person = RulesEffect['people'][number];
type Order = RulesEffect['orders'][number];
const people = computed((): readonly Column<Person>[] => [
  { id: 'name', title: t('common.person'), isRowHead: true, value: ({ name }) => name },
  { id: 'days', title: t('ledger.daysThatChange'), class: 'number figure', value: ({ days }) => days },
  ...beforeAfter<Person>('charged', [t('ledger.chargedNow'), t('ledger.chargedThen')], ({ charged }) => [
    desk.hours(charged.before),
    desk.hours(charged.after),
  ]),
  ...(props.effect.people.some(({ attended }) => attended.before !== attended.after)
    ? beforeAfter<Person>('attended', [t('ledger.attendedNow'), t('ledger.attendedThen')], ({ attended }) => [
        desk.hours(attended.before),
        desk.hours(attended.after),
      ])
    : []),
]);
const orders = computed((): readonly Column<Order>[] => [
  { id: 'number', title: t('common.order'), class: 'mono', value: ({ number }) => number },
  {
    id: 'title',
    title: '',
    value: ({ order, title, isOpen }) =>
      order === null ? t('ledger.indirectTime') : isOpen ? `${title} · ${t('common.open')}` : title,
  },
  ...beforeAfter<Order>('hours', [t('ledger.hoursNow'), t('ledger.hoursThen')], ({ seconds }) => [
    desk.hours(seconds.before),
    desk.hours(seconds.after),
  ]),
  ...(props.effect.orders.some(({ cost }) => cost !== null)
    ? beforeAfter<Order>('cost', [t('ledger.costNow'), t('ledger.costThen')], ({ cost }) =>
        cost ? [desk.money(cost.before), desk.money(cost.after)] : ['', ''],
      )
    : []),
]);
</script>

<template>
  <div class="effect" role="status">
    <p v-if="isNothing">
      {{
        effect.isPast
          ? t('ledger.noDaySinceComesOutOtherwise', { day: sayDateText(from) })
          : t('ledger.noDayGoneByIsTouched')
      }}
    </p>
    <template v-else>
      <p>
        <b v-if="effect.people.length > 0">{{
          t('ledger.peoplesDaysChange', { n: effect.people.length })
        }}</b>
        {{ t('ledger.scansStayAsTheyAre') }}
        <template v-if="effect.closedDays > 0">{{
          t('ledger.closedDaysAmongThem', { n: effect.closedDays })
        }}</template>
      </p>
      <ul v-if="effect.looseEnds.length > 0">
        <li v-for="{ kind, count } in effect.looseEnds" :key="kind">
          {{
            t('ledger.endsBecome', {
              kind: t(`looseEndKinds.${kind}`),
              before: count.before,
              after: count.after,
            })
          }}
        </li>
      </ul>
      <div v-if="effect.people.length > 0" class="list">
        <DataTable :rows="effect.people" :columns="people" :row-key="(each) => each.technician" />
      </div>
      <div v-if="effect.orders.length > 0" class="list">
        <DataTable :rows="effect.orders" :columns="orders" :row-key="(each) => each.order ?? ''" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.effect {
  max-width: 1040px;
  margin-top: 16px;
  padding: 12px 16px;
  background: var(--attention-tint);
  border: 1px solid var(--attention);
}
.list {
  max-height: 320px;
  margin-top: 10px;
  overflow: auto;
}
ul {
  margin: 6px 0;
  padding-left: 18px;
}
</style>
