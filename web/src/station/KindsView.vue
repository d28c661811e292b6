<script setup lang="ts">
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import AsideFrame from './AsideFrame.vue';
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

/** Says which kind of work it is that somebody is on, by touch where no label is at hand. */
defineEmits<{ back: []; choose: [kind: WorkType] }>();
const said = useWords();
</script>

<template>
  <AsideFrame :title="said.words.button['work-type']" @back="$emit('back')">
    <ul>
      <li v-for="kind in WORK_TYPES" :key="kind">
        <PlainButton @click="$emit('choose', kind)">{{ said.words.workType[kind] }}</PlainButton>
      </li>
    </ul>
  </AsideFrame>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li > button {
  width: 100%;
  min-height: 84px;
  font-size: var(--far-s);
  font-weight: 600;
}
li > button::first-letter {
  text-transform: uppercase;
}
</style>
