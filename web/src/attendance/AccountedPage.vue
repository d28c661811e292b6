<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { AccountedJson } from '@wergon/contract/attendance';
import { callRoute, sayDate, sayMonthDay, useDays, useDesk, linkToDay } from '../kit/index.ts';
import { DeskFrame, PlainButton, QueryState, ReconcileTabs } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const search = ref('');
const opened = ref<string | null>(null);
const { firstDay, lastDay, asked, steps } = useDays('calendar week');
const query = useQuery({
  queryKey: ['accounted', asked],
  queryFn: () => callRoute('accounted', { query: asked.value }),
  placeholderData: keepPreviousData,
});
type Parts = Pick<AccountedJson['total'], 'attendedSeconds' | 'unaccountedSeconds' | 'share'>;
const percent = ({ share }: Parts) => (share === null ? '–' : `${Math.floor(share * 100)} %`);
const longest = computed(() =>
  Math.max(1, ...(query.data.value?.people ?? []).map(({ attendedSeconds }) => attendedSeconds)),
);
const departments = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (query.data.value?.departments ?? [])
    .map((department) => ({
      ...department,
      people: (query.data.value?.people ?? [])
        .filter((person) => person.department === department.department)
        .filter(({ name, department: of }) => `${name} ${of}`.toLowerCase().includes(words))
        .sort((a, b) => b.unaccountedSeconds - a.unaccountedSeconds),
    }))
    .filter(({ people }) => people.length > 0);
});
const width = (seconds: number) => `${(seconds / longest.value) * 100}%`;
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :lead="t('attendance.accountedAttendedTimeThatLies')"
    :title="t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) })"
    :step="t('kit.stepWeek')"
    :today="t('kit.toNow')"
    :search-label="t('kit.findPersonDepartment')"
    v-on="steps"
  >
    <ReconcileTabs />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span
          ><b>{{ percent(query.data.value.total) }}</b> {{ t('attendance.accounted') }}</span
        >
        <span
          ><b class="figure">{{ desk.hours(query.data.value.total.attendedSeconds) }}</b>
          {{ t('common.attended') }}</span
        >
        <span
          ><b class="figure">{{ desk.hours(query.data.value.total.jobSeconds) }}</b>
          {{ t('attendance.onJobs') }}</span
        >
        <span
          ><b class="figure">{{ desk.hours(query.data.value.total.indirectSeconds) }}</b>
          {{ t('common.indirect') }}</span
        >
        <span :class="{ attention: query.data.value.total.unaccountedSeconds > 0 }"
          ><b class="figure">{{ desk.hours(query.data.value.total.unaccountedSeconds) }}</b>
          {{ t('attendance.notAccountedFor') }}</span
        >
        <span
          v-if="query.data.value.total.outsideSeconds > 0"
          :title="t('attendance.timeOnJobsOrIndirectWorkWhile')"
          ><b class="figure">{{ desk.hours(query.data.value.total.outsideSeconds) }}</b>
          {{ t('attendance.ofItOutsideAShift') }}</span
        >
        <RouterLink
          v-if="query.data.value.total.unapprovedSeconds > 0"
          :to="{ name: 'approve' }"
          class="unapproved"
          ><b class="figure">{{ desk.hours(query.data.value.total.unapprovedSeconds) }}</b>
          {{ t('common.notYetApproved') }}</RouterLink
        >
      </p>
      <section v-for="group in departments" :key="group.department">
        <h2 class="list-head">
          {{ group.department || t('common.noDepartment') }}
          <span class="figure">{{
            t('attendance.of', { percent: percent(group), hours: desk.hours(group.attendedSeconds) })
          }}</span>
        </h2>
        <template v-for="person in group.people" :key="person.technician">
          <PlainButton
            class="line"
            :aria-expanded="opened === person.technician"
            @click="opened = opened === person.technician ? null : person.technician"
          >
            <span class="name">{{ person.name }}</span>
            <span class="bar" :style="{ width: width(person.attendedSeconds) }">
              <i class="explained" :style="{ width: `${(person.share ?? 0) * 100}%` }"></i>
            </span>
            <span class="figure number">{{ percent(person) }}</span>
            <span class="figure number" :class="{ attention: person.unaccountedSeconds > 0 }">{{
              person.unaccountedSeconds > 0
                ? t('attendance.missing', { hours: desk.hours(person.unaccountedSeconds) })
                : ''
            }}</span>
          </PlainButton>
          <div v-if="opened === person.technician" class="inside">
            <p>
              <span class="figure">{{ desk.hours(person.attendedSeconds) }}</span>
              {{ t('attendance.attended') }} <span class="figure">{{ desk.hours(person.jobSeconds) }}</span>
              {{ t('attendance.onJobsAnd') }}
              <span class="figure">{{ desk.hours(person.breakSeconds) }}</span>
              {{ t('attendance.onBreak') }}
              <span class="figure">{{ desk.hours(person.enteredSeconds) }}</span> {{ t('common.writtenDown')
              }}<template v-for="activity in person.activities" :key="activity.title"
                >, <span class="figure">{{ desk.hours(activity.seconds) }}</span>
                {{ activity.title }}</template
              >.
            </p>
            <ul>
              <li v-for="day in person.days" :key="day.day">
                <RouterLink :to="linkToDay(person.technician, day.day)">{{ sayDate(day.day) }}</RouterLink>
                <span class="figure">{{ desk.hours(day.attendedSeconds) }}</span>
                {{ t('attendance.attended') }}
                <span class="figure">{{ desk.hours(day.chargedSeconds) }}</span> {{ t('common.onSomething')
                }}<span v-if="day.unaccountedSeconds > 0" class="attention"
                  >, <span class="figure">{{ desk.hours(day.unaccountedSeconds) }}</span>
                  {{ t('attendance.missingWord') }}</span
                >
              </li>
            </ul>
          </div>
        </template>
      </section>
      <p v-if="departments.length === 0" class="none">
        {{ search ? t('common.nobodyOfThisName') : t('attendance.nobodyHasAttendedInTheseDays') }}
      </p>
    </template>
  </DeskFrame>
</template>

<style scoped>
.unapproved {
  margin-left: auto;
  color: var(--ink-2);
}
h2 {
  display: flex;
  gap: 12px;
}
.line {
  display: grid;
  grid-template-columns: var(--col-name) minmax(0, 1fr) 70px 130px;
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 5px 16px;
  background: var(--sheet);
  border: 0;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-align: left;
}
.line:hover {
  background: var(--band);
}
.bar {
  position: relative;
  height: 14px;
  border: 1px dashed var(--attention);
}
.explained {
  position: absolute;
  inset: -1px auto -1px 0;
  background: var(--bar);
}
.number {
  text-align: right;
}
.attention {
  color: var(--attention);
}
.inside {
  padding: 6px 16px 10px;
  background: var(--paper);
}
.inside p {
  margin: 0 0 4px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li a {
  display: inline-block;
  min-width: 100px;
  color: var(--ink);
}
.none {
  padding: 12px 16px;
}
</style>
