<script setup lang="ts">
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
      <select v-model="asked.by" class="form-select form-select-sm">
        <option value="">people and jobs by turns</option>
        <option value="people">people</option>
        <option value="jobs">jobs</option>
      </select></label
    >
    <label v-if="divisions.length > 0"
      >of
      <select v-model="asked.division" class="form-select form-select-sm" aria-label="Division">
        <option value="">all divisions</option>
        <option v-for="each in divisions" :key="each" :value="each">{{ each }}</option>
      </select></label
    >
    <label v-if="jobTypes.length > 0"
      >and
      <select v-model="asked.jobType" class="form-select form-select-sm" aria-label="Job type">
        <option value="">all job types</option>
        <option v-for="each in jobTypes" :key="each" :value="each">{{ each }}</option>
      </select></label
    >
    <label
      >lines at once
      <select v-model.number="asked.rows" class="form-select form-select-sm">
        <option v-for="count in [5, 8, 12]" :key="count" :value="count">{{ count }}</option>
      </select></label
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
