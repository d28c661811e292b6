<script setup lang="ts">
import type { Instant } from '@wergon/core/time';
import type { OrderRow } from '@wergon/contract/compare';
import { sayClock, useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

defineProps<{ people: OrderRow['signedOut'] }>();
const desk = useDesk();
const clock = (at: Instant) => (desk.zone ? sayClock(desk.zone, at) : '');
</script>

<template>
  <span v-if="people.length > 0" class="attention">
    <template v-for="(person, i) in people" :key="i"
      >{{ i > 0 ? '; ' : ''
      }}{{
        t('compare.signedOutAtStillRunning', {
          name: person.name,
          time: clock(person.at),
          hours: desk.hours(person.seconds),
        })
      }}</template
    >
  </span>
</template>
