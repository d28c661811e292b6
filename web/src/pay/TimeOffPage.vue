<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { addDays, formatDay, mondayOf, weekdayOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { TimeOffJson } from '@wergon/contract/pay';
import { RequestLines } from '../floor/index.ts';
import { callRoute, sayDate, sayMonthDay, useDesk, useToday } from '../kit/index.ts';
import { DeskFrame, PlainTable, QueryState } from '../kit/parts/index.ts';
import { sayTerm, t } from '../words/index.ts';
import PayWays from './PayWays.vue';

/** Who asked for time off, and who is in and away: four weeks of everybody beside each other. */
const WEEK = 7;
const SATURDAY = 6;
const desk = useDesk();
const today = useToday();
const chosen = ref<LocalDay | null>(null);
const from = computed(() => chosen.value ?? mondayOf(today.value));
const search = ref('');
const query = useQuery({
  queryKey: ['time-off', from],
  queryFn: () => callRoute('timeOff', { query: { from: formatDay(from.value) } }),
  placeholderData: keepPreviousData,
});
const days = computed(() => query.data.value?.days ?? []);
type Person = TimeOffJson['people'][number];
const people = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (query.data.value?.people ?? []).filter(({ name, department }) =>
    `${name} ${department}`.toLowerCase().includes(words),
  );
});
const title = computed(() =>
  t('common.to', { day: sayMonthDay(from.value), day2: sayMonthDay(addDays(from.value, 4 * WEEK - 1)) }),
);
const countOn = (place: number, kind: Person['days'][number]['kind']) =>
  people.value.filter((person) => person.days[place]?.kind === kind).length;
const isWeekend = (day: LocalDay) => weekdayOf(day) >= SATURDAY;
const KINDS = { in: t('pay.isIn'), free: t('people.free'), closed: t('pay.closedDay') } as const;
const sayDay = ({ kind, why, isPaid, seconds }: Person['days'][number]): string => {
  if (why === '') return kind === 'away' ? '' : KINDS[kind];
  const away = t(isPaid === false ? 'pay.awayUnpaid' : 'pay.awayFor', { kind: sayTerm('absences', why) });
  return seconds === null ? away : t('pay.awayPartly', { away, hours: desk.hours(seconds) });
};
/** The first letter of why somebody is away stands in their day. */
const letterOf = ({ why }: Person['days'][number]) =>
  why === '' ? '' : sayTerm('absences', why).slice(0, 1).toUpperCase();
const letters = computed(() => {
  const kinds = new Set(
    people.value.flatMap(({ days: own }) => own.flatMap(({ why }) => (why === '' ? [] : [why]))),
  );
  return [...kinds].map((why) =>
    t('pay.letterIs', {
      letter: sayTerm('absences', why).slice(0, 1).toUpperCase(),
      kind: sayTerm('absences', why),
    }),
  );
});
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="title"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    :search-label="t('kit.findPersonDepartment')"
    :lead="t('pay.timeOffLead')"
    @back="chosen = addDays(from, -WEEK)"
    @on="chosen = addDays(from, WEEK)"
    @today="chosen = null"
  >
    <PayWays />
    <RequestLines only="time-off" :out="new Set()" />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <p v-else-if="people.length === 0" class="told quiet">{{ t('pay.nobodyToShow') }}</p>
    <div v-else class="around">
      <PlainTable class="days">
        <thead>
          <tr>
            <th scope="col">{{ t('common.name') }}</th>
            <th
              v-for="day in days"
              :key="day"
              scope="col"
              :class="{ weekend: isWeekend(day), today: day === today, monday: weekdayOf(day) === 1 }"
            >
              {{ sayDate(day).split(' ')[0] }}<b class="figure">{{ Number(formatDay(day).slice(8)) }}</b>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in people" :key="person.technician">
            <th scope="row">
              <RouterLink :to="{ name: 'person', params: { technician: person.technician } }">{{
                person.name
              }}</RouterLink><small>{{ person.department }}</small>
            </th>
            <td
              v-for="(day, i) in person.days"
              :key="i"
              :class="[
                day.kind,
                { monday: i % WEEK === 0, unpaid: day.isPaid === false, partly: day.seconds !== null },
              ]"
              :title="`${person.name}, ${sayDate(days[i] ?? from)}: ${sayDay(day)}`"
            >
              <span aria-hidden="true">{{ letterOf(day) }}</span><span class="visually-hidden">{{
                sayDay(day)
              }}</span>
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">{{ t('pay.isIn') }}</th>
            <td v-for="(day, i) in days" :key="day" class="figure" :class="{ monday: i % WEEK === 0 }">
              {{ countOn(i, 'in') || '' }}
            </td>
          </tr>
          <tr>
            <th scope="row">{{ t('pay.away') }}</th>
            <td v-for="(day, i) in days" :key="day" class="figure" :class="{ monday: i % WEEK === 0 }">
              {{ countOn(i, 'away') || '' }}
            </td>
          </tr>
        </tfoot>
      </PlainTable>
      <p v-if="letters.length > 0" class="quiet">{{ letters.join(' · ') }}</p>
    </div>
  </DeskFrame>
</template>

<style scoped lang="scss">
.told {
  margin: 0;
  padding: 10px 16px;
}
.around {
  padding: 8px 16px 16px;
  overflow-x: auto;
}
.days {
  border-collapse: collapse;
  background: var(--sheet);
  th,
  td {
    min-width: 30px;
    height: 30px;
    padding: 0 2px;
    border-bottom: 1px solid var(--line);
    font-size: var(--text-s);
    text-align: center;
  }
  tbody th,
  tfoot th,
  thead th:first-child {
    position: sticky;
    left: 0;
    padding: 2px 12px 2px 8px;
    background: var(--sheet);
    font-weight: 400;
    text-align: left;
    white-space: nowrap;
  }
  thead th {
    color: var(--ink-2);
    font-size: var(--text-xs);
    font-weight: 400;
    b {
      display: block;
      color: var(--ink);
    }
  }
  a {
    color: var(--ink);
  }
  .today b {
    background: var(--action-tint);
  }
  .monday {
    border-left: 1px solid var(--ink-2);
  }
  .weekend {
    opacity: 0.7;
  }
  small {
    display: block;
    color: var(--ink-2);
    font-size: var(--text-xs);
  }
  .away {
    background: var(--bar);
    color: var(--sheet);
    font-weight: 700;
  }
  .away.unpaid {
    background: none;
    box-shadow: inset 0 0 0 2px var(--bar);
    color: var(--ink);
  }
  .closed {
    background: var(--band);
  }
  .in {
    background: radial-gradient(circle, var(--ink-2) 2px, transparent 3px);
  }
  .partly {
    background: linear-gradient(to top, var(--bar) 20%, transparent 20%);
    color: var(--ink);
    font-weight: 700;
  }
}
</style>
