<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, onMounted, onUnmounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { callRoute, useDesk } from '../kit/index.ts';
import { LanguageChoice, PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const emit = defineEmits<{ signOut: [] }>();
const desk = useDesk();
const router = useRouter();
const PLACES = [
  { to: '/floor', key: 'f', word: t('app.floor'), right: 'floor.see' },
  { to: '/work', key: 'w', word: t('common.work'), right: 'work.see' },
  { to: '/reconcile', key: 'r', word: t('common.reconcile'), right: 'reconcile.see' },
  { to: '/compare', key: 'c', word: t('app.compare'), right: 'work.see' },
  { to: '/pay', key: 'p', word: t('common.pay'), right: 'pay.see' },
  // Whoever plans people and sees no pay comes to what people ask for all the same.
  { to: '/pay/time-off', key: 'p', word: t('pay.timeOff'), right: 'people.see' },
  { to: '/shop', key: 's', word: t('app.shop'), right: 'floor.see' },
  { to: '/own', key: 'm', word: t('attendance.myTime'), right: 'own.time' },
] as const;
const { data } = useQuery({
  queryKey: ['rail'],
  queryFn: () => callRoute('rail'),
  refetchInterval: 30_000,
});
const isHelpOpen = ref(false);

const places = computed(() =>
  PLACES.filter(({ to, right }) => {
    if (!desk.may(right)) return false;
    if (to === '/own') return desk.session?.isTechnician;
    return to !== '/pay/time-off' || !desk.may('pay.see');
  }).map((place) => ({ ...place, figure: figures.value[place.to] ?? '' })),
);
const figures = computed((): Partial<Record<string, string>> => {
  const { peopleIn, openOrders, looseEnds, nearTasks, periodsOver, timeOff } = data.value ?? {};
  return {
    '/floor': peopleIn == null ? '' : t('common.peopleIn', { n: peopleIn }),
    '/work': openOrders == null ? '' : t('app.open', { n: openOrders }),
    '/reconcile': looseEnds == null ? '' : t('app.loose', { n: looseEnds }),
    '/compare': nearTasks == null ? '' : t('app.near', { n: nearTasks }),
    '/pay':
      periodsOver == null ? '' : periodsOver > 0 ? t('app.due', { n: periodsOver }) : t('timesheet.closed'),
    '/pay/time-off': timeOff ? t('app.asked', { n: timeOff }) : '',
  };
});
const KEYS = [
  ['f  w  r  c  p  s  m', t('app.goToFloorWorkReconcilePayShop')],
  ['← →', t('app.aDayOrAWeekBackOrOn')],
  ['0', t('kit.toToday')],
  ['/', t('app.search')],
  ['h', t('app.hoursAs64564530Or675')],
  ['?', t('app.showOrHideTheseKeys')],
] as const;

function onKey(event: KeyboardEvent): void {
  const isTyping = event.target instanceof HTMLElement && event.target.matches('input, select, textarea');
  if (isTyping || event.ctrlKey || event.altKey || event.metaKey) return;
  if (event.key === '?') isHelpOpen.value = !isHelpOpen.value;
  else if (event.key === 'Escape') isHelpOpen.value = false;
  else if (event.key === 'h') desk.nextHoursStyle();
  else {
    const place = places.value.find(({ key }) => key === event.key);
    if (place) void router.push(place.to);
  }
}
onMounted(() => window.addEventListener('keydown', onKey));
onUnmounted(() => window.removeEventListener('keydown', onKey));
</script>

<template>
  <nav class="rail" :aria-label="t('app.places')">
    <RouterLink to="/" class="mark" :aria-label="t('app.wergonToTheFloor')">
      <svg viewBox="0 0 32 32" width="36" height="36" aria-hidden="true">
        <path d="M2 8l5 15 5-13 5 13 4-12" fill="none" stroke="currentColor" stroke-width="2.4" />
        <path d="M28 4v22" stroke="var(--rail-mark)" stroke-width="2.6" />
      </svg>
    </RouterLink>
    <ul>
      <li v-for="place in places" :key="place.to">
        <RouterLink :to="place.to" class="place" :class="{ here: $route.path.startsWith(place.to) }">
          <span class="word">{{ place.word }}</span>
          <span class="mono figure">{{ place.figure }}</span>
        </RouterLink>
      </li>
    </ul>
    <div class="foot">
      <PlainButton
        :title="t('app.hoursAreShownAs', { style: desk.hoursStyle })"
        @click="desk.nextHoursStyle()"
      >
        {{ t('common.hours') }} <span class="mono">{{ desk.hours(24_330) }}</span>
      </PlainButton>
      <PlainButton :aria-expanded="isHelpOpen" @click="isHelpOpen = !isHelpOpen">
        {{ t('app.keys') }} <span class="mono">?</span>
      </PlainButton>
      <LanguageChoice />
      <RouterLink to="/password">{{ t('common.password') }}</RouterLink>
      <PlainButton @click="emit('signOut')">{{ t('common.signOut') }}</PlainButton>
    </div>
    <section v-if="isHelpOpen" class="keys" :aria-label="t('app.keys')">
      <dl>
        <template v-for="[keys, meaning] in KEYS" :key="keys">
          <dt class="mono">{{ keys }}</dt>
          <dd>{{ meaning }}</dd>
        </template>
      </dl>
    </section>
  </nav>
</template>

<style scoped lang="scss">
.rail {
  position: relative;
  display: flex;
  flex-direction: column;
  background: var(--rail);
  color: var(--rail-ink-2);
}
.mark {
  display: grid;
  place-items: center;
  height: 74px;
  border-bottom: 1px solid #3a372f;
  color: var(--rail-ink);
}
ul {
  flex: 1;
  margin: 14px 0;
  padding: 0;
  list-style: none;
}
.place {
  position: relative;
  display: block;
  padding: 5px 0 5px 24px;
  color: inherit;
  line-height: 1.25;
  text-decoration: none;

  &::before {
    position: absolute;
    top: 15px;
    left: 0;
    width: 10px;
    height: 1px;
    background: var(--rail-ink-2);
    content: '';
  }
  &.here {
    color: var(--rail-ink);
    .word {
      font-weight: 700;
    }
    &::before {
      top: 14px;
      width: 16px;
      height: 3px;
      background: var(--rail-mark);
    }
  }
  &:hover {
    color: var(--rail-ink);
  }
  &:focus-visible {
    outline-color: var(--rail-mark);
    outline-offset: -3px;
  }
}
.word {
  display: block;
  font-size: var(--text-m);
}
.figure {
  display: block;
  min-height: 17px;
  font-size: var(--text-xs);
}
li {
  margin-bottom: 8px;
}
.foot {
  padding-bottom: 12px;
}
.foot :deep(button),
.foot a {
  display: block;
  width: 100%;
  padding: 5px 0 5px 24px;
  background: none;
  border: 0;
  color: inherit;
  font-size: var(--text-s);
  text-align: left;
  text-decoration: none;
  &:hover {
    color: var(--rail-ink);
  }
  &:focus-visible {
    outline-color: var(--rail-mark);
    outline-offset: -3px;
  }
  .mono {
    display: block;
    font-size: var(--text-xs);
  }
}
.keys {
  position: absolute;
  bottom: 12px;
  left: 100%;
  z-index: 9;
  width: 380px;
  padding: 18px 20px 4px;
  background: var(--sheet);
  border: 1px solid var(--ink);
  color: var(--ink);
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 6px 12px;
}
dd {
  margin: 0;
}
@media (max-width: 760px) {
  .rail {
    flex-flow: row wrap;
    align-items: center;
    justify-content: space-between;
    min-width: 0;
  }
  .mark {
    display: none;
  }
  ul {
    display: flex;
    flex: none;
    margin: 0;
  }
  li {
    margin: 0;
  }
  .place {
    padding: 6px 8px;
    white-space: nowrap;
    &::before {
      display: none;
    }
  }
  .foot {
    display: flex;
    flex: none;
    padding: 0;
  }
  .foot :deep(button),
  .foot a {
    width: auto;
    padding: 4px 8px;
    white-space: nowrap;
  }
  .foot .mono {
    display: inline;
  }
}
</style>
