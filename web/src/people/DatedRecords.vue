<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { LocalDay } from '@wergon/core/time';
import { sayDate, useDesk, yearOf } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** What holds for somebody from a day on, record by record; each can be taken out again. */
defineProps<{ records: readonly { readonly from: LocalDay; readonly words: string }[] }>();
const emit = defineEmits<{ remove: [from: LocalDay] }>();
const desk = useDesk();
</script>

<template>
  <ul class="records">
    <li v-for="each in records" :key="each.from">
      <span>{{ each.words }}</span>
      <span>{{ t('people.fromDayGroup', { day: sayDate(each.from), year: yearOf(each.from) }) }}</span>
      <BButton v-if="desk.may('people.change')" variant="quiet" size="sm" @click="emit('remove', each.from)">
        {{ t('common.remove') }}
      </BButton>
    </li>
  </ul>
</template>

<style scoped>
.records {
  max-width: 640px;
  padding: 0;
  list-style: none;
}
.records li {
  display: grid;
  grid-template-columns: 1fr 200px auto;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
