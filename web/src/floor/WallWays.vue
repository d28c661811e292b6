<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive } from 'vue';
import type { FloorJson } from '@wergon/contract/floor';
import { writeAsked } from './wall/wallPages.ts';

/** What a big screen is to show: chosen here, because it has neither mouse nor keys. */
const props = defineProps<{ details: FloorJson['orderDetails'] }>();
const asked = reactive({ by: '', division: '', jobType: '', rows: 8 });
const wordsOf = (of: (each: FloorJson['orderDetails'][number]) => string) =>
  [...new Set(props.details.map(of))].filter((word) => word !== '').sort();
const divisions = computed(() => wordsOf(({ division }) => division));
const jobTypes = computed(() => wordsOf(({ jobType }) => jobType));
const address = computed(() => writeAsked(asked));
</script>

<template>
  <div class="wall-ways">
    <label
      >On the wall
      <BFormSelect v-model="asked.by" size="sm">
        <option value="">people and jobs by turns</option>
        <option value="people">people</option>
        <option value="jobs">jobs</option>
      </BFormSelect></label
    >
    <label v-if="divisions.length > 0"
      >of
      <BFormSelect v-model="asked.division" size="sm" aria-label="Division">
        <option value="">all divisions</option>
        <option v-for="each in divisions" :key="each" :value="each">{{ each }}</option>
      </BFormSelect></label
    >
    <label v-if="jobTypes.length > 0"
      >and
      <BFormSelect v-model="asked.jobType" size="sm" aria-label="Job type">
        <option value="">all job types</option>
        <option v-for="each in jobTypes" :key="each" :value="each">{{ each }}</option>
      </BFormSelect></label
    >
    <label
      >lines at once
      <BFormSelect v-model.number="asked.rows" size="sm">
        <option v-for="count in [5, 8, 12]" :key="count" :value="count">{{ count }}</option>
      </BFormSelect></label
    >
    <a :href="address" class="btn btn-primary btn-sm">Open the wall</a>
    <span class="mono">{{ address }}</span>
  </div>
</template>

<style scoped>
.wall-ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  padding: 6px 16px;
  background: var(--action-tint);
  border-bottom: 1px solid var(--line);
  font-size: 14px;
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
  white-space: nowrap;
}
</style>
