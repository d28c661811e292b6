<script setup lang="ts">
import { computed } from 'vue';
import type { PayPeriodJson } from '@wergon/contract/pay';
import { isAboveAttended } from '@wergon/core/pay';
import { sayDate, useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** A pay period person by person, and the adjustments it takes. */
const props = defineProps<{ period: PayPeriodJson; search: string }>();
const desk = useDesk();
const words = computed(() => props.search.trim().toLowerCase());
const people = computed(() =>
  props.period.people.filter(({ name, department }) =>
    `${name} ${department}`.toLowerCase().includes(words.value),
  ),
);
const longest = computed(() =>
  Math.max(
    1,
    ...props.period.people.flatMap(({ attendedSeconds, chargedSeconds }) => [
      attendedSeconds,
      chargedSeconds,
    ]),
  ),
);
const width = (seconds: number) => `${(seconds / longest.value) * 100}%`;
</script>

<template>
  <table class="across">
    <thead>
      <tr>
        <th scope="col">{{ t('common.person') }}</th>
        <th scope="col" class="wide">{{ t('pay.laborOpenNotYetApproved') }}</th>
        <th scope="col" class="number">{{ t('pay.labor') }}</th>
        <th scope="col" class="number">{{ t('pay.attended') }}</th>
        <th scope="col" class="number">{{ t('common.notApproved') }}</th>
        <th v-if="period.totals.cost !== null" scope="col" class="number">{{ desk.costWords }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="person in people" :key="person.technician">
        <th scope="row">
          <RouterLink
            :to="{ name: 'week', params: { technician: person.technician, day: period.firstDay } }"
            >{{ person.name }}</RouterLink
          >
          <small>{{ person.department }}</small>
        </th>
        <td class="wide">
          <span class="bar" :style="{ width: width(person.chargedSeconds) }" aria-hidden="true"
            ><i
              :style="{
                width: `${person.chargedSeconds === 0 ? 0 : (person.unapprovedSeconds / person.chargedSeconds) * 100}%`,
              }"
            ></i
          ></span>
        </td>
        <td class="figure number" :class="{ attention: isAboveAttended(person) }">
          {{ desk.hours(person.chargedSeconds) }}
          <RouterLink
            v-if="isAboveAttended(person)"
            :to="{ name: 'week', params: { technician: person.technician, day: period.firstDay } }"
            class="above"
            >{{
              t('pay.aboveAttended', { hours: desk.hours(person.chargedSeconds - person.attendedSeconds) })
            }}</RouterLink
          >
        </td>
        <td class="figure number">{{ desk.hours(person.attendedSeconds) }}</td>
        <td class="figure number" :class="{ attention: person.unapprovedSeconds > 0 }">
          {{ person.unapprovedSeconds > 0 ? desk.hours(person.unapprovedSeconds) : '' }}
          <small v-if="person.openDays.length > 0">{{
            person.openDays.length > 3
              ? t('common.days', { n: person.openDays.length })
              : person.openDays.map((day) => sayDate(day)).join(', ')
          }}</small>
        </td>
        <td v-if="period.totals.cost !== null" class="figure number">
          {{ person.cost === null ? '' : desk.money(person.cost) }}
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="people.length === 0" class="none">
    {{ search ? t('common.nobodyMatches') : t('pay.noTimeRecordedInThisPeriod') }}
  </p>
  <section v-if="period.adjustments.length > 0" :aria-label="t('pay.adjustments')">
    <h2 class="list-head">{{ t('pay.adjustmentsToClosedPeriods') }}</h2>
    <table class="across">
      <tbody>
        <tr v-for="(each, i) in period.adjustments" :key="i">
          <th scope="row">{{ each.name }}</th>
          <td>{{ sayDate(each.shiftDay) }}</td>
          <td>
            {{ each.title }}
            <span v-if="each.workType !== 'run'" class="quiet">{{ t(`workTypes.${each.workType}`) }}</span>
          </td>
          <td class="figure number">{{ desk.hours(each.seconds) }}</td>
          <td class="figure number">{{ each.cost === null ? '' : desk.money(each.cost) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
tbody th {
  width: var(--col-name);
}
.attention small {
  color: var(--attention);
}
.wide {
  width: 36%;
}
.bar {
  position: relative;
  display: block;
  height: 14px;
  background: var(--bar);
}
i {
  position: absolute;
  inset: 1px 1px 1px auto;
  background: var(--bar-open);
}
.none {
  padding: 12px 16px;
}
.above {
  display: block;
  color: var(--attention) !important;
  font-size: var(--text-xs);
}
@media (max-width: 900px) {
  .wide {
    display: none;
  }
}
</style>
