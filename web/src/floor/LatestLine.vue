<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { callRoute, sayClock, sayDay, useDesk, useNow } from '../kit/index.ts';
import type { Instant, Zone } from '@wergon/core/time';
import { sayEntryType } from '../ledger/index.ts';
import { t } from '../words/index.ts';

/** The latest scans as they arrive: one line, or the last dozen. */
const desk = useDesk();
const query = useQuery({ queryKey: ['latest'], queryFn: () => callRoute('latest') });
const now = useNow();
const isOpen = ref(false);
/** What was scanned without the server may come days later: then its day is said. */
const sayTime = (zone: Zone, at: Instant) => {
  const day = zone.dayAt(at);
  return `${day === zone.dayAt(now.value) ? '' : `${sayDay(day)} `}${sayClock(zone, at)}`;
};
const latest = computed(() =>
  (query.data.value?.latest ?? []).map(({ seq, at, type, name, about, station }) => ({
    seq,
    time: desk.zone ? sayTime(desk.zone, at) : '',
    words: [name, sayEntryType(type), about].filter((part) => part).join(' '),
    station,
  })),
);
</script>

<template>
  <div v-if="latest.length > 0" class="latest" :class="{ open: isOpen }">
    <ol :aria-label="t('floor.latestScans')">
      <li v-for="each in isOpen ? latest : latest.slice(0, 2)" :key="each.seq">
        <span class="figure">{{ each.time }}</span> {{ each.words }}
        <span class="quiet">{{ each.station }}</span>
      </li>
    </ol>
    <BButton variant="quiet" size="sm" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      {{ isOpen ? t('floor.fewer') : t('floor.latestScans') }}
    </BButton>
  </div>
</template>

<style scoped>
.latest {
  display: flex;
  gap: 12px;
  align-items: start;
  justify-content: space-between;
  padding: 4px 16px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  font-size: var(--text-s);
}
ol {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 0 28px;
  min-width: 0;
  margin: 0;
  padding: 3px 0;
  list-style: none;
}
@media (max-width: 600px) {
  /* On a phone what people are on comes first; the scans are a press away. */
  .latest:not(.open) ol {
    display: none;
  }
}
</style>
