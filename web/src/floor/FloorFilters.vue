<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { ref } from 'vue';
import type { FloorJson } from '@wergon/contract/floor';
import { useDesk } from '../kit/index.ts';
import { SHOWN } from './floorRows.ts';
import type { Grouping, Shown } from './floorRows.ts';
import WallWays from './WallWays.vue';
import { PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Who is shown, how they are grouped, what that hides, and the ways to the other pages of the floor. */
defineProps<{
  isToday: boolean;
  /** How many of how many people are shown, where a filter or a search hides some. */
  filtered: { readonly shown: number; readonly of: number; readonly search: string } | null;
  details: FloorJson['orderDetails'];
}>();
const shown = defineModel<Shown>('shown', { required: true });
const grouping = defineModel<Grouping>('grouping', { required: true });
const emit = defineEmits<{ showAll: [] }>();
const desk = useDesk();
/** Whether somebody chooses what a big screen shows. */
const isWallAsked = ref(false);
</script>

<template>
  <div class="filters">
    <label v-if="isToday"
      >{{ t('floor.show') }}
      <BFormSelect v-model="shown" size="sm">
        <option v-for="each in SHOWN" :key="each" :value="each">{{ t(`shown.${each}`) }}</option>
      </BFormSelect></label
    >
    <label
      >{{ t('floor.groupedBy') }}
      <BFormSelect v-model="grouping" size="sm">
        <option value="department">{{ t('floor.department') }}</option>
        <option value="crew">{{ t('floor.crew') }}</option>
      </BFormSelect></label
    >
    <span v-if="filtered" class="filtered" role="status"
      >{{ t('floor.ofPeople', { shown: filtered.shown, of: filtered.of })
      }}{{ filtered.search ? ` ${t('common.match', { search: filtered.search })}` : '' }}.
      <BButton variant="quiet" size="sm" @click="emit('showAll')">{{ t('common.showAll') }}</BButton></span
    >
    <span class="ways">
      <RouterLink :to="{ name: 'floor-jobs' }">{{ t('floor.jobsAndTasks') }}</RouterLink>
      <RouterLink :to="{ name: 'floor-days' }">{{ t('floor.peopleByDay') }}</RouterLink>
      <RouterLink v-if="desk.may('work.see')" :to="{ name: 'day-story' }">{{
        t('floor.theDaysStory')
      }}</RouterLink>
      <PlainButton :aria-expanded="isWallAsked" @click="isWallAsked = !isWallAsked">{{
        t('floor.wall')
      }}</PlainButton>
    </span>
  </div>
  <WallWays v-if="isWallAsked" :details="details" />
</template>

<style scoped lang="scss">
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: center;
  padding: 5px 16px;
  border-bottom: 1px solid var(--line);
  color: var(--ink-2);
  font-size: var(--text-s);
  label {
    display: flex;
    gap: 6px;
    align-items: center;
    white-space: nowrap;
  }
}
.filtered {
  color: var(--ink);
}
.ways {
  display: flex;
  gap: 18px;
  margin-left: auto;
  a,
  button {
    color: var(--ink);
  }
  button {
    padding: 0;
    background: none;
    border: 0;
    text-decoration: underline;
  }
}
</style>
