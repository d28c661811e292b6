<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive } from 'vue';
import type { FloorJson } from '@wergon/contract/floor';
import { writeAsked } from './wall/wallPages.ts';
import { t } from '../words/index.ts';

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
      >{{ t('floor.onTheWall') }}
      <BFormSelect v-model="asked.by" size="sm">
        <option value="">{{ t('floor.byTurns') }}</option>
        <option value="people">{{ t('floor.people') }}</option>
        <option value="jobs">{{ t('floor.jobs') }}</option>
        <option value="tasks">{{ t('floor.jobsAndTasks') }}</option>
        <option value="compare">{{ t('floor.againstEstimates') }}</option>
      </BFormSelect></label
    >
    <label v-if="divisions.length > 0"
      >{{ t('common.of') }}
      <BFormSelect v-model="asked.division" size="sm" :aria-label="t('common.division')">
        <option value="">{{ t('common.allDivisions') }}</option>
        <option v-for="each in divisions" :key="each" :value="each">{{ each }}</option>
      </BFormSelect></label
    >
    <label v-if="jobTypes.length > 0"
      >{{ t('floor.and') }}
      <BFormSelect v-model="asked.jobType" size="sm" :aria-label="t('common.jobType')">
        <option value="">{{ t('floor.allJobTypes') }}</option>
        <option v-for="each in jobTypes" :key="each" :value="each">{{ each }}</option>
      </BFormSelect></label
    >
    <label
      >{{ t('floor.linesAtOnce') }}
      <BFormSelect v-model.number="asked.rows" size="sm">
        <option v-for="count in [5, 8, 12]" :key="count" :value="count">{{ count }}</option>
      </BFormSelect></label
    >
    <a :href="address" class="btn btn-primary btn-sm">{{ t('floor.openTheWall') }}</a>
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
  font-size: var(--text-s);
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
  white-space: nowrap;
}
</style>
