<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Checklist } from '@wergon/contract/shop';
import { callRoute, useDesk } from '../kit/index.ts';
import { QueryState, ShopLayout } from '../kit/parts/index.ts';
import BackupLine from './BackupLine.vue';

const desk = useDesk();
const query = useQuery({
  queryKey: ['checklist'],
  queryFn: () => callRoute('checklist'),
  enabled: computed(() => desk.may('shop.see')),
});
type Kind = Checklist['items'][number]['kind'];

/** What each thing that is missing means, and where it is put right. */
const WORDS: Readonly<Record<Kind, { readonly what: string; readonly why: string; readonly to: string }>> = {
  'no-people': { what: 'Nobody works here yet', why: 'Add the first person.', to: '/shop/people' },
  'no-grade': {
    what: 'There is no grade yet',
    why: 'A task needs one: its estimated cost is its hours at the grade’s standard rate.',
    to: '/shop/lists',
  },
  'no-station': {
    what: 'There is no station yet',
    why: 'Any tablet or computer with a browser and a scanner can be one.',
    to: '/shop/stations',
  },
  'no-order': { what: 'There is no work order yet', why: 'Make the first one.', to: '/work/new' },
  'no-badge': {
    what: 'People without a badge',
    why: 'They cannot start work at a station.',
    to: '/shop/people',
  },
  'no-rate': {
    what: 'People without a cost rate today',
    why: 'Their hours count, and their cost is left out of every sum.',
    to: '/shop/people',
  },
  'no-pattern': {
    what: 'People without a planned pattern',
    why: 'Nobody can tell whether they are late or missing.',
    to: '/shop/people',
  },
  'no-estimate': {
    what: 'Tasks without an estimate',
    why: 'Their hours have nothing to be compared with.',
    to: '/work',
  },
  'station-untested': {
    what: 'Stations that have not recorded a scan',
    why: 'Scan a badge there once; the scanner check says what is wrong if nothing happens.',
    to: '/shop/stations',
  },
};

/** From an empty shop to the first scan, in this order. */
const FIRST_STEPS: readonly {
  readonly kinds: readonly Kind[];
  readonly word: string;
  readonly to: string;
}[] = [
  { kinds: ['no-people'], word: 'Add a person; a badge comes with it', to: '/shop/people' },
  { kinds: ['no-grade'], word: 'Add a grade with its standard rate', to: '/shop/lists' },
  { kinds: ['no-order'], word: 'Make a work order and release it', to: '/work/new' },
  { kinds: ['no-station'], word: 'Add a station and pair a device with it', to: '/shop/stations' },
  {
    kinds: ['station-untested'],
    word: 'Print the badge and the traveler, and scan both at the station',
    to: '/shop/labels',
  },
];

const items = computed(() => query.data.value?.items ?? []);
const has = (kinds: readonly Kind[]) => items.value.some(({ kind }) => kinds.includes(kind));
const isNew = computed(() => query.data.value && !query.data.value.hasScans);
const steps = computed(() =>
  FIRST_STEPS.map((step, i) => ({
    ...step,
    // The last step can only be done once there is a station to scan at.
    isDone: !has(step.kinds) && (i < FIRST_STEPS.length - 1 || !has(['no-station'])),
  })),
);
// While it is asked anew nothing is called next: it may be what has just been done.
const next = computed(() => (query.isFetching.value ? -1 : steps.value.findIndex(({ isDone }) => !isDone)));
</script>

<template>
  <ShopLayout
    title="What is missing"
    lead="Before the numbers can be relied on, everybody needs a badge and a rate, every task an estimate, and every station a scanner that is heard."
  >
    <p v-if="!desk.may('shop.see')">What is set up here is not yours to see. The pages at the left are.</p>
    <QueryState
      v-else-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <section v-if="isNew" class="first">
        <h2>Five steps to the first scan</h2>
        <ol>
          <li v-for="(step, i) in steps" :key="step.word" :class="{ done: step.isDone, next: i === next }">
            <span class="mono nr">{{ i + 1 }}</span>
            <span class="word">{{ step.word }}</span>
            <span v-if="step.isDone" class="state">done</span>
            <RouterLink v-else :to="step.to" class="btn" :class="i === next ? 'btn-primary' : 'btn-quiet'">{{
              i === next ? 'Do this next' : 'Open'
            }}</RouterLink>
          </li>
        </ol>
      </section>
      <section v-if="items.length > 0">
        <h2 v-if="isNew">All that is missing</h2>
        <div v-for="item in items" :key="item.kind" class="item">
          <p class="what">
            <b v-if="item.count > 0" class="figure">{{ item.count }}</b> {{ WORDS[item.kind].what }}
          </p>
          <p class="why">
            {{ WORDS[item.kind].why }} <RouterLink :to="WORDS[item.kind].to">Put right</RouterLink>
          </p>
          <p v-if="item.names.length > 0" class="names">
            {{ item.names.join(', ')
            }}<template v-if="item.count > item.names.length">
              and {{ item.count - item.names.length }} more</template
            >
          </p>
        </div>
      </section>
      <p v-else class="all-there">
        Nothing is missing. Every person has a badge, a rate and a plan, every open task an estimate, and
        every station has been heard.
      </p>
      <BackupLine />
    </template>
  </ShopLayout>
</template>

<style scoped lang="scss">
.first ol {
  max-width: 760px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.first li {
  display: grid;
  grid-template-columns: 40px 1fr auto;
  align-items: center;
  min-height: 56px;
  border-bottom: 1px solid var(--line);
  font-size: 18px;
}
.first .done {
  color: var(--ink-2);
}
.first .next .word {
  font-weight: 700;
}
.nr {
  color: var(--ink-2);
}
.item {
  display: grid;
  grid-template-columns: minmax(240px, 320px) 1fr;
  gap: 2px 24px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
  p {
    margin: 0;
  }
}
.what {
  font-weight: 700;
  b {
    margin-right: 4px;
    font-size: 21px;
  }
}
.why {
  color: var(--ink-2);
}
.names {
  grid-column: 2;
}
.all-there {
  font-size: 18px;
}
@media (max-width: 760px) {
  .item {
    grid-template-columns: 1fr;
  }
  .names {
    grid-column: 1;
  }
}
</style>
