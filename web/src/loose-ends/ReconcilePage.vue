<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { LocalDay } from '@wergon/core/time';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, nextTick, ref } from 'vue';
import { weekdayOf, addDays } from '@wergon/core/time';
import type { ChosenAnswer } from '@wergon/contract/loose-ends';
import { callRoute, sayDate, sayMonthDay, useDays, useDesk } from '../kit/index.ts';
import { CheckField, DeskFrame, MatchNote, QueryState, ReconcileTabs } from '../kit/parts/index.ts';
import AlikeLine from './AlikeLine.vue';
import { findAlike, keyOf, queueOf } from './alike.ts';
import type { LooseEndJson } from './alike.ts';
import LooseEndLine from './LooseEndLine.vue';
import NamedDays from './NamedDays.vue';
import UndoBar from './UndoBar.vue';
import WaitingSlips from './WaitingSlips.vue';
import WaitingTasks from './WaitingTasks.vue';
import OutsidePlanLine from './OutsidePlanLine.vue';
import { useAnswers } from './useAnswers.ts';
import { t } from '../words/index.ts';

/** Days that the page speaks of at once. */
const DAYS = 14;
const MOST_DRAWN = 150;

const desk = useDesk();
const search = ref('');
const { today, firstDay, lastDay, asked, steps } = useDays(DAYS);
const query = useQuery({
  queryKey: ['reconcile', asked],
  queryFn: () => callRoute('looseEnds', { query: asked.value }),
  placeholderData: keepPreviousData,
});
const acts = useAnswers();
const { answer, accept, withdraw, isBusy } = acts;
/** The loose end whose answers are looked at. */
const opened = ref<string | null>(null);
/** The next loose end stands where the answered one stood: the same key answers it. */
async function answerAndGoOn(chosen: ChosenAnswer[], words: string): Promise<void> {
  const lines = () => [...document.querySelectorAll<HTMLElement>('.reconcile li[tabindex]')];
  const place = lines().findIndex((line) => line.contains(document.activeElement));
  opened.value = null;
  await answer(chosen, words);
  await nextTick();
  lines()[place]?.focus();
}
/** Accepts loose ends as they were seen. */
const acceptThem = (ends: readonly LooseEndJson[], reason: string) =>
  accept({ ends: ends.map(keyOf), reason, seen: asked.value });
const nameOf = (end: LooseEndJson) => Object.values(keyOf(end)).join(' ');
const all = computed(() => query.data.value?.looseEnds ?? []);
/** Whether days on which somebody was known by their name alone stand here instead. */
const areNamedShown = ref(false);
const accepted = computed(() => query.data.value?.accepted.length ?? 0);
const found = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  return all.value.filter(({ name, target, kind, about }) =>
    `${name ?? ''} ${target ?? ''} ${kind.replaceAll('-', ' ')} ${about ?? ''}`
      .toLowerCase()
      .includes(wanted),
  );
});
const alike = computed(() => findAlike(found.value));
/** More than a glance takes in are drawn when somebody asks for them. */
const isAllShown = ref(false);
const drawn = computed(() => (isAllShown.value ? found.value : found.value.slice(0, MOST_DRAWN)));
const days = computed(() => {
  const groups = new Map<LocalDay, typeof all.value>();
  for (const end of drawn.value) groups.set(end.day, [...(groups.get(end.day) ?? []), end]);
  return [...groups].map(([day, ends]) => ({
    day,
    ends,
    lines: queueOf(ends),
    age: today.value - day,
  }));
});
const bars = computed(() =>
  Array.from({ length: DAYS }, (_, i) => {
    const day = addDays(firstDay.value, i);
    const count = all.value.filter((end) => end.day === day).length;
    return { day, count, isRest: weekdayOf(day) > 5, left: `${(i / DAYS) * 100}%` };
  }),
);
</script>

<template>
  <DeskFrame
    v-model:search="search"
    :title="t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) })"
    class="reconcile"
    :step="t('kit.stepWeek')"
    :today="t('kit.toToday')"
    :search-label="t('kit.findPersonOrderKind')"
    v-on="steps"
  >
    <template #ruler>
      <div class="days" role="img" :aria-label="t('looseEnds.looseEndsByDay')">
        <span v-for="bar in bars" :key="bar.day" :style="{ left: bar.left }" :class="{ rest: bar.isRest }">
          {{ sayMonthDay(bar.day) }}<b v-if="bar.count > 0" class="figure">{{ bar.count }}</b>
        </span>
      </div>
    </template>
    <ReconcileTabs />
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span :class="{ attention: all.length > 0 }"
          ><b>{{ all.length }}</b> {{ t('looseEnds.loose', { n: all.length }) }}</span
        >
        <span v-if="accepted > 0"
          ><b>{{ accepted }}</b> {{ t('looseEnds.acceptedAs', { n: accepted }) }}</span
        >
        <CheckField v-model="areNamedShown" class="named">{{
          t('looseEnds.daysKnownByNameAlone')
        }}</CheckField>
      </p>
      <NamedDays v-if="areNamedShown" :asked="asked" :search="search" />
      <template v-else>
        <UndoBar :acts="acts" />
        <WaitingTasks />
        <WaitingSlips />
        <MatchNote v-model:search="search" :shown="found.length" :of="all.length" />
        <p v-if="all.length === 0" class="none">{{ t('looseEnds.noLooseEndsInTheseDaysEvery') }}</p>
        <section v-if="alike.length > 0" :aria-label="t('looseEnds.similarCases')">
          <h2 class="list-head">
            {{ t('looseEnds.similarCases') }} <span>{{ t('looseEnds.answerAllAtOnceEachKeepsIts') }}</span>
          </h2>
          <ul>
            <AlikeLine
              v-for="ends in alike"
              :key="`${ends[0]?.kind} ${ends[0]?.answers[0]?.reason}`"
              :ends="ends"
              :is-busy="isBusy"
              @answer="answer"
            />
          </ul>
        </section>
        <section v-for="{ day, ends, lines, age } in days" :key="day">
          <h2 class="list-head">
            {{ sayDate(day) }}
            <span
              >{{ ends.length
              }}<template v-if="age > 0">, {{ t('looseEnds.old', { n: age }) }}</template></span
            >
          </h2>
          <ul>
            <template v-for="(line, i) in lines" :key="i">
              <LooseEndLine
                v-if="line.kind === 'one'"
                :key="nameOf(line.end)"
                :end="line.end"
                :is-open="opened === nameOf(line.end)"
                :is-busy="isBusy"
                @open="opened = nameOf(line.end)"
                @answer="(chosen, words) => answerAndGoOn([chosen], words)"
                @accept="acceptThem"
              />
              <OutsidePlanLine v-else :ends="line.ends" :is-busy="isBusy" @accept="acceptThem" />
            </template>
          </ul>
        </section>
        <p v-if="drawn.length < found.length" class="none">
          {{ t('looseEnds.olderOnesAreNotShown', { n: found.length - drawn.length }) }}
          <BButton variant="quiet" size="sm" @click="isAllShown = true">{{
            t('looseEnds.showThemAll')
          }}</BButton>
        </p>
        <section v-if="accepted > 0">
          <h2 class="list-head">
            {{ t('looseEnds.acceptedAsTheyAre') }} <span>{{ accepted }}</span>
          </h2>
          <ul>
            <li v-for="each in query.data.value.accepted" :key="each.id">
              <b>{{ each.name ?? t('looseEnds.somebody') }}</b>
              {{
                t('looseEnds.acceptedOn', {
                  kind: each.kind.replaceAll('-', ' '),
                  day: sayDate(each.day),
                  reason: each.reason,
                })
              }}
              <span class="quiet">{{ each.by }}</span>
              <BButton
                v-if="desk.may('ledger.correct')"
                variant="quiet"
                size="sm"
                :disabled="isBusy"
                @click="withdraw(each.id)"
              >
                {{ t('common.reopen') }}
              </BButton>
            </li>
          </ul>
        </section>
      </template>
    </template>
  </DeskFrame>
</template>

<style scoped>
.named {
  margin-left: auto;
}
.days span {
  position: absolute;
  top: 0;
  bottom: 0;
  width: calc(100% / 14);
  padding: 8px 0 0 6px;
  border-left: 1px solid var(--line);
  font-size: var(--text-xs);
  white-space: nowrap;
}
.days .rest {
  background: var(--band);
}
.days b {
  display: block;
  margin-top: 8px;
  color: var(--attention);
  font-size: var(--text-xl);
}
.none {
  padding: 12px 16px;
}
ul {
  margin: 0;
  padding: 0;
  background: var(--sheet);
  list-style: none;
}
li {
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
}
</style>
