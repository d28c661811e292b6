<script setup lang="ts">
import type { OrderRow } from '@wergon/contract/compare';
import { readInstant } from '@wergon/contract/wire';
import { sayClock, useDesk } from '../kit/index.ts';

defineProps<{ people: OrderRow['signedOut'] }>();
const desk = useDesk();
const clock = (at: string) => (desk.zone ? sayClock(desk.zone, readInstant(at)) : '');
</script>

<template>
  <span v-if="people.length > 0" class="attention">
    <template v-for="(person, i) in people" :key="i"
      >{{ i > 0 ? '; ' : '' }}{{ person.name }} signed out at {{ clock(person.at) }}, still running:
      {{ desk.hours(person.seconds) }}</template
    >
  </span>
</template>
