<script setup lang="ts">
import { computed } from 'vue';
import type { TriedOvertime } from '@wergon/contract/pay';
import { formatCents, toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { beforeAfter, sayDateText, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import type { useTryOvertime } from './useTryOvertime.ts';

/** What rules of overtime would have made of days gone by: of whom, and which jobs would have borne it. */
const props = defineProps<{
  tried: ReturnType<typeof useTryOvertime>['state'];
  total: TriedOvertime['orders'][number]['premium'] | null;
}>();
const desk = useDesk();
const money = (amount: Cents) => desk.money(formatCents(amount));
const days = computed(() => ({
  day: sayDateText(props.tried.days.firstDay),
  day2: sayDateText(props.tried.days.lastDay),
}));
/** What that comes to, and what of it no job bears; nothing for whoever may not see rates. */
const costs = computed(() => {
  const { total, tried } = props;
  if (!total) return '';
  const all = t('pay.thatCosts', { money: money(total.after), before: money(total.before) });
  const overhead = tried.overhead?.after ?? 0;
  return overhead === 0 ? all : `${all} ${t('pay.ofItNoJob', { money: money(toCents(overhead)) })}`;
});
type Person = TriedOvertime['people'][number];
type Order = TriedOvertime['orders'][number];
const hoursOf = (seconds: number) => (seconds === 0 ? '' : desk.hours(seconds));
const ofClass = (each: 'overtime' | 'double', titles: readonly [string, string]) =>
  props.tried.people.some(({ classes }) => classes.before[each] + classes.after[each] > 0)
    ? beforeAfter<Person>(each, titles, ({ classes }) => [
        hoursOf(classes.before[each]),
        hoursOf(classes.after[each]),
      ])
    : [];
const people = computed((): readonly Column<Person>[] => [
  { id: 'name', title: t('common.person'), isRowHead: true, value: ({ name }) => name },
  ...ofClass('overtime', [t('pay.overtimeNow'), t('pay.overtimeThen')]),
  ...ofClass('double', [t('pay.doubleNow'), t('pay.doubleThen')]),
  ...(props.total
    ? beforeAfter<Person>('premium', [t('pay.costNow'), t('pay.costThen')], ({ premium }) =>
        premium ? [money(premium.before), money(premium.after)] : ['', ''],
      )
    : []),
]);
const orders = computed((): readonly Column<Order>[] => [
  { id: 'number', title: t('common.order'), class: 'mono', value: ({ number }) => number },
  { id: 'title', title: '', value: ({ order, title }) => (order === null ? t('pay.indirect') : title) },
  ...beforeAfter<Order>('premium', [t('pay.costNow'), t('pay.costThen')], ({ premium }) => [
    money(premium.before),
    money(premium.after),
  ]),
]);
/** Those first to which most is added. */
const mostFirst = computed(() =>
  [...props.tried.orders].sort(
    (a, b) => Math.abs(b.premium.after - b.premium.before) - Math.abs(a.premium.after - a.premium.before),
  ),
);
</script>

<template>
  <div class="effect" role="status">
    <p v-if="tried.status === 'stopped'" class="attention">
      {{ t('pay.stoppedTrying', { n: tried.done, total: tried.of }) }}
    </p>
    <p v-if="tried.people.length === 0 && tried.status !== 'running'">
      {{ t('pay.nobodyWouldBePaidOtherwise', days) }}
    </p>
    <template v-if="tried.people.length > 0">
      <p>
        <b>{{ t('pay.peoplePaidOtherwise', { n: tried.people.length, ...days }) }}</b> {{ costs }}
      </p>
      <div class="list">
        <DataTable
          class="across"
          :rows="tried.people"
          :columns="people"
          :row-key="(each) => each.technician"
        />
      </div>
      <template v-if="mostFirst.length > 0">
        <h3>{{ t('pay.jobsBearOtherwise') }}</h3>
        <div class="list">
          <DataTable
            class="across"
            :rows="mostFirst"
            :columns="orders"
            :row-key="(each) => each.order ?? ''"
          />
        </div>
      </template>
    </template>
  </div>
</template>

<style scoped>
.effect {
  max-width: 1040px;
  margin-top: 12px;
  padding: 12px 16px;
  background: var(--attention-tint);
  border: 1px solid var(--attention);
}
.list {
  max-height: 320px;
  margin-top: 10px;
  overflow: auto;
}
h3 {
  margin: 12px 0 0;
  font-size: var(--text-m);
}
</style>
