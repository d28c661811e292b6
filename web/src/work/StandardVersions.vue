<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { callRoute, sayDay, useDesk } from '../kit/index.ts';
import ChangeList from './ChangeList.vue';
import { t } from '../words/index.ts';

const props = defineProps<{ standard: string }>();
const desk = useDesk();
const query = useQuery({
  queryKey: ['standard-versions', props.standard],
  queryFn: () => callRoute('standardVersions', { params: { standard: props.standard } }),
});
</script>

<template>
  <ol v-if="query.data.value" class="versions">
    <li v-for="each in query.data.value.versions" :key="each.version">
      <b>{{ t('work.version', { version: each.version }) }}</b>,
      {{ desk.zone ? sayDay(desk.zone.dayAt(each.savedAt)) : '' }}, {{ each.savedBy }}
      <ChangeList :changes="each.changes" />
    </li>
  </ol>
</template>

<style scoped>
.versions {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
</style>
