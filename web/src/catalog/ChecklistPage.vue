<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Checklist } from '@wergon/contract/shop';
import { callRoute, useDesk } from '../kit/index.ts';
import { QueryState, ShopLayout } from '../kit/parts/index.ts';
import BackupLine from './BackupLine.vue';
import { t } from '../words/index.ts';

const desk = useDesk();
const query = useQuery({
  queryKey: ['checklist'],
  queryFn: () => callRoute('checklist'),
  enabled: computed(() => desk.may('shop.see')),
});
type Kind = Checklist['items'][number]['kind'];

/** What each thing that is missing means, and where it is put right. */
const WORDS: Readonly<Record<Kind, { readonly what: string; readonly why: string; readonly to: string }>> = {
  'no-people': {
    what: t('catalog.nobodyWorksHereYet'),
    why: t('catalog.addTheFirstPerson'),
    to: '/shop/people',
  },
  'no-grade': {
    what: t('catalog.thereIsNoGradeYet'),
    why: t('catalog.aTaskNeedsOneItsEstimatedCost'),
    to: '/shop/lists',
  },
  'no-station': {
    what: t('catalog.thereIsNoStationYet'),
    why: t('catalog.anyTabletOrComputerWithABrowser'),
    to: '/shop/stations',
  },
  'no-order': {
    what: t('catalog.thereIsNoWorkOrderYet'),
    why: t('catalog.makeTheFirstOne'),
    to: '/work/new',
  },
  'no-badge': {
    what: t('catalog.peopleWithoutABadge'),
    why: t('catalog.theyCannotStartWorkAtAStation'),
    to: '/shop/people',
  },
  'no-rate': {
    what: t('catalog.peopleWithoutACostRateToday'),
    why: t('catalog.theirHoursCountAndTheirCost'),
    to: '/shop/people',
  },
  'no-pattern': {
    what: t('catalog.peopleWithoutAPlannedPattern'),
    why: t('catalog.nobodyCanTellWhetherTheyAre'),
    to: '/shop/people',
  },
  'no-estimate': {
    what: t('catalog.tasksWithoutAnEstimate'),
    why: t('catalog.theirHoursHaveNothingToBeCompared'),
    to: '/work',
  },
  'station-untested': {
    what: t('catalog.stationsThatHaveNotRecorded'),
    why: t('catalog.scanABadgeThereOnceTheScanner'),
    to: '/shop/stations',
  },
};

/** From an empty shop to the first scan, in this order. */
const FIRST_STEPS: readonly {
  readonly kinds: readonly Kind[];
  readonly word: string;
  readonly to: string;
}[] = [
  { kinds: ['no-people'], word: t('catalog.addAPersonABadgeComesWithIt'), to: '/shop/people' },
  { kinds: ['no-grade'], word: t('catalog.addAGradeWithItsStandardRate'), to: '/shop/lists' },
  { kinds: ['no-order'], word: t('catalog.makeAWorkOrderAndReleaseIt'), to: '/work/new' },
  { kinds: ['no-station'], word: t('catalog.addAStationAndPairADeviceWith'), to: '/shop/stations' },
  {
    kinds: ['station-untested'],
    word: t('catalog.printTheBadgeAndTheTraveler'),
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
/** The names that are told, and how many more there are. */
const sayNames = (names: readonly string[], count: number) =>
  count > names.length
    ? t('looseEnds.andMore', { names: names.join(', '), more: count - names.length })
    : names.join(', ');
</script>

<template>
  <ShopLayout :title="t('common.whatIsMissing')" :lead="t('catalog.beforeTheNumbersCanBeRelied')">
    <p v-if="!desk.may('shop.see')">{{ t('catalog.whatIsSetUpHereIsNotYoursTo') }}</p>
    <QueryState
      v-else-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <section v-if="isNew" class="first">
        <h2>{{ t('catalog.fiveStepsToTheFirstScan') }}</h2>
        <ol>
          <li v-for="(step, i) in steps" :key="step.word" :class="{ done: step.isDone, next: i === next }">
            <span class="mono nr">{{ i + 1 }}</span>
            <span class="word">{{ step.word }}</span>
            <span v-if="step.isDone" class="state">{{ t('common.done') }}</span>
            <RouterLink v-else :to="step.to" class="btn" :class="i === next ? 'btn-primary' : 'btn-quiet'">{{
              i === next ? t('catalog.doThisNext') : t('catalog.open')
            }}</RouterLink>
          </li>
        </ol>
      </section>
      <section v-if="items.length > 0">
        <h2 v-if="isNew">{{ t('catalog.allThatIsMissing') }}</h2>
        <div v-for="item in items" :key="item.kind" class="item">
          <p class="what">
            <b v-if="item.count > 0" class="figure">{{ item.count }}</b> {{ WORDS[item.kind].what }}
          </p>
          <p class="why">
            {{ WORDS[item.kind].why }}
            <RouterLink :to="WORDS[item.kind].to">{{ t('catalog.putRight') }}</RouterLink>
          </p>
          <p v-if="item.names.length > 0" class="names">
            {{ sayNames(item.names, item.count) }}
          </p>
        </div>
      </section>
      <p v-else class="all-there">
        {{ t('catalog.nothingIsMissingEveryPerson') }}
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
  font-size: var(--text-xl);
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
    font-size: var(--text-2xl);
  }
}
.why {
  color: var(--ink-2);
}
.names {
  grid-column: 2;
}
.all-there {
  font-size: var(--text-xl);
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
