<script setup lang="ts">
import { computed } from 'vue';
import type { Presently } from '@wergon/core/floor';
import { useDesk } from '../desk/useDesk.ts';

const props = defineProps<{
  counts: Readonly<Record<Presently, number>>;
  accounted: number | null;
  isToday: boolean;
  /** People who are planned now and not in. */
  away: number;
  /** Who was there on a day gone by, and what that day was charged with, in seconds. */
  people: number;
  charged: number;
}>();
const desk = useDesk();
const percent = computed(() => (props.accounted === null ? null : Math.floor(props.accounted * 100)));
</script>

<template>
  <p class="counts" aria-label="The shop in figures">
    <template v-if="isToday">
      <span
        ><b>{{ counts.work }}</b> on work</span
      >
      <span
        ><b>{{ counts.indirect }}</b> indirect</span
      >
      <span
        ><b>{{ counts.break }}</b> on break</span
      >
      <span :class="{ attention: counts.nothing > 0 }"
        ><b>{{ counts.nothing }}</b> signed in, on nothing</span
      >
      <span v-if="away > 0" class="attention"
        ><b>{{ away }}</b> planned, not in</span
      >
    </template>
    <template v-else>
      <span
        ><b>{{ people }}</b> {{ people === 1 ? 'person' : 'people' }}</span
      >
      <span
        ><b class="figure">{{ desk.hours(charged) }}</b> charged</span
      >
    </template>
    <span class="accounted" title="Share of attended time that was charged to something or written down">
      accounted {{ isToday ? 'today' : 'that day' }} <b>{{ percent === null ? '–' : `${percent}%` }}</b>
    </span>
  </p>
</template>

<style scoped>
b {
  font-size: 21px;
}
.accounted {
  margin-left: auto;
}
</style>
