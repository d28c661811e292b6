<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { StoryJson } from '@wergon/contract/compare';
import { formatDay, parseDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { callRoute, sayClock, sayDate, sayDay, useDesk, useToday, linkToDay } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import { sayEvent } from './storyWords.ts';
import { t } from '../words/index.ts';

/** Notes and findings as a story that can be read and printed: of one job, or of one day of the shop. */
const desk = useDesk();
const route = useRoute();
const router = useRouter();
const order = computed(() => String(route.params['order'] ?? ''));
const today = useToday();
const day = computed((): LocalDay => {
  const read = parseDay(String(route.params['day'] ?? ''));
  return read.ok ? read.value : today.value;
});
const asked = computed((): Record<string, string> =>
  order.value === '' ? { day: formatDay(day.value) } : { order: order.value },
);
const query = useQuery({
  queryKey: ['story', asked],
  queryFn: () => callRoute('story', { query: asked.value }),
});
const go = (to: LocalDay) =>
  order.value === '' && void router.push({ name: 'day-story', params: { day: formatDay(to) } });

type Event = StoryJson['days'][number]['events'][number];
/** What was said and found, in the order of the day; behind it each person's hours, in one line. */
const days = computed(() =>
  (query.data.value?.days ?? []).map(({ day: of, events }) => {
    const hours = new Map<string, Event[]>();
    for (const event of events)
      if (event.kind === 'labor')
        hours.set(event.technician ?? '', [...(hours.get(event.technician ?? '') ?? []), event]);
    return {
      day: of,
      told: events.flatMap((event) =>
        event.kind === 'labor' ? [] : [{ ...event, said: sayEvent({ ...event, kind: event.kind }) }],
      ),
      hours: [...hours]
        .map(([technician, own]) => ({ technician, who: own[0]?.who ?? t('compare.others'), own }))
        .sort((a, b) => a.who.localeCompare(b.who)),
    };
  }),
);
const clock = (at: Instant | null) => (at !== null && desk.zone ? sayClock(desk.zone, at) : '');
const print = () => window.print();
</script>

<template>
  <DeskFrame
    :title="order === '' ? sayDay(day) : t('compare.history')"
    :step="order === '' ? 'day' : ''"
    :today="t('kit.toToday')"
    @back="go((day - 1) as LocalDay)"
    @on="go(Math.min(day + 1, today) as LocalDay)"
    @today="go(today)"
  >
    <template #ruler>
      <p class="lead">
        <b>{{ order === '' ? t('compare.whatHappenedInTheShop') : query.data.value?.title }}</b>
        <RouterLink v-if="order !== ''" :to="{ name: 'order', params: { order } }">{{
          t('compare.toTheOrder')
        }}</RouterLink>
        <BButton variant="quiet" size="sm" class="print" @click="print">{{ t('common.print') }}</BButton>
      </p>
    </template>
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <article v-else class="story">
      <section v-for="each in days" :key="each.day">
        <h2>{{ sayDate(each.day) }}</h2>
        <p v-for="(event, i) in each.told" :key="i" :class="event.kind">
          <span class="figure time">{{ clock(event.at) }}</span>
          <span>
            <b>{{ event.who === null ? t('compare.somebodyElse') : event.who || t('compare.theDesk') }}</b>
            {{ event.said }}.
          </span>
        </p>
        <p v-for="{ technician, who, own } in each.hours" :key="technician" class="labor">
          <span class="time">{{ t('compare.hours') }}</span>
          <span>
            <RouterLink
              v-if="technician !== '' && desk.may('reconcile.see')"
              :to="linkToDay(technician, each.day)"
              ><b>{{ who }}</b></RouterLink
            ><b v-else>{{ who }}</b>
            <template v-for="(event, i) in own" :key="i"
              >{{ i === 0 ? ' ' : ', ' }}{{ event.about }}
              <span class="figure">{{ desk.hours(event.seconds ?? 0) }}</span></template
            >.
          </span>
        </p>
      </section>
      <p v-if="query.data.value.days.length === 0" class="quiet">{{ t('compare.nothingRecordedYet') }}</p>
    </article>
  </DeskFrame>
</template>

<style scoped>
.lead {
  display: flex;
  gap: 16px;
  align-items: center;
  margin: 0;
  padding: 18px 14px 0;
  font-size: var(--text-l);
}
.print {
  margin-left: auto;
  margin-right: 14px;
}
.story {
  max-width: 820px;
  padding: 4px 16px 32px;
}
h2 {
  margin: 18px 0 4px;
  font-size: var(--text-xl);
  font-weight: 700;
}
p {
  display: grid;
  grid-template-columns: 64px 1fr;
  margin: 0;
  padding: 2px 0;
}
.lead {
  grid-template-columns: none;
}
.time {
  color: var(--ink-2);
}
.labor {
  color: var(--ink-2);
}
.note,
.reading {
  background: var(--sheet);
  border-left: 4px solid var(--ink);
  padding-left: 8px;
}
.order {
  color: var(--ink-2);
}
@media print {
  .print,
  .lead a {
    display: none;
  }
  a {
    color: inherit;
    text-decoration: none;
  }
}
</style>
