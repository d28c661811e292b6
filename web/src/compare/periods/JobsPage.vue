<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref, watch } from 'vue';
import { CAUSES, JOB_FIELDS, JOB_SORTS, middleOf } from '@wergon/core/compare';
import type { DifferenceUnit, JobField, JobSort } from '@wergon/core/compare';
import { JOBS_AT_FIRST } from '@wergon/contract/compare';
import { callRoute, useDesk } from '../../kit/index.ts';
import { QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { FEW_TASKS, sayMoneyMore, sayShare } from '../whyWords.ts';
import CauseLegend from './CauseLegend.vue';
import CompareFrame from './CompareFrame.vue';
import DifferenceRuler from './DifferenceRuler.vue';
import GroupJobs from './GroupJobs.vue';
import GroupLine from './GroupLine.vue';
import JobLines from './JobLines.vue';
import { sayField } from './jobRows.ts';
import { useCompareQuery } from './useCompareQuery.ts';
import { usePeriod } from './usePeriod.ts';

/** What jobs differ by from their estimates, and why: how much in all, the jobs, most over first. */
const desk = useDesk();
const period = usePeriod('weeks');
const { show, narrowed, narrow, showAll } = useCompareQuery();
const search = ref('');
const SEARCH_MS = 250;
const searched = refDebounced(search, SEARCH_MS);
const sort = ref<JobSort>('over');
const unit = ref<DifferenceUnit>('money');
const group = ref<JobField | ''>('');
const opened = reactive(new Set<string>());
const asked = computed(() => ({
  ...period.asked.value,
  ...narrowed.value,
  show: show.value,
  search: searched.value,
  sort: sort.value,
  ...(group.value === '' ? {} : { by: group.value }),
}));
const most = ref(JOBS_AT_FIRST);
watch(asked, () => (most.value = JOBS_AT_FIRST));
watch(group, () => opened.clear());
const page = computed(() => ({ ...asked.value, most: String(most.value) }));
const query = useQuery({
  queryKey: ['compared-jobs', page],
  queryFn: () => callRoute('comparedJobs', { query: page.value }),
  placeholderData: keepPreviousData,
});
const told = computed(() => query.data.value);
const isNarrowed = computed(() => search.value !== '' || Object.keys(narrowed.value).length > 0);
const isChoice = (field: JobField) =>
  (told.value?.all.values[field].length ?? 0) > 1 || narrowed.value[field] !== undefined;
const scale = computed(() => told.value?.scales[unit.value] ?? { less: 0, more: 0 });
/** Causes that a bar shows, even where they cancel each other out in the sum. */
const causes = computed(() => {
  const shown = [
    ...(told.value ? [told.value.total] : []),
    ...(told.value?.groups ?? []).map(({ difference }) => difference),
    ...(told.value?.jobs ?? []).map(({ current }) => current),
  ];
  const seen = new Set(shown.flatMap((each) => each.causes.map(({ cause }) => cause)));
  return CAUSES.filter((cause) => seen.has(cause));
});
const toggle = (key: string) => (opened.has(key) ? opened.delete(key) : opened.add(key));
function everything(): void {
  search.value = '';
  showAll();
}
</script>

<template>
  <CompareFrame
    v-model:search="search"
    v-bind="show === 'finished' ? { period } : { title: t('compare.onTheFloor') }"
    :lead="t('compare.jobsLead')"
    :search-label="t('compare.findOrderCustomer')"
  >
    <template #ruler>
      <DifferenceRuler
        v-if="show === 'finished' && told"
        :is-monthly="told.ruler.isMonthly"
        :steps="told.ruler.steps"
      />
      <p v-else-if="show === 'floor'" class="lead">{{ t('compare.onTheFloorLead') }}</p>
    </template>
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="counts">
        <span
          ><b>{{ told.jobCount }}</b>
          {{
            t(show === 'finished' ? 'compare.jobsFinished' : 'compare.jobsGoOn', { n: told.jobCount })
          }}</span
        >
        <span v-if="told.jobCount > 0" :class="{ attention: told.total.difference > 0 }"
          ><b class="figure">{{ sayMoneyMore(told.total.difference, desk) }}</b>
          {{
            t(
              show === 'floor'
                ? 'compare.soFarWord'
                : told.total.difference < 0
                  ? 'compare.lessThanEstimated'
                  : 'compare.moreThanEstimated',
            )
          }}</span
        >
        <span v-if="told.total.expectedSeconds > 0"
          ><b class="figure">{{ sayShare(told.total.includedSeconds, told.total.expectedSeconds) }}</b>
          {{ t('compare.ofTheEstimatedHours') }}</span
        >
        <span v-if="told.total.includedSeconds > 0"
          ><b class="figure">{{ sayShare(told.total.measuredSeconds, told.total.includedSeconds) }}</b>
          {{ t('compare.measuredWord') }}</span
        >
        <span v-if="told.jobCount > 0 && told.taskCount < FEW_TASKS">{{
          t('compare.restsOn', { n: told.taskCount })
        }}</span>
        <div class="choices">
          <BFormSelect
            :model-value="show"
            size="sm"
            :aria-label="t('compare.whichJobs')"
            @update:model-value="show = $event === 'floor' ? 'floor' : 'finished'"
          >
            <option value="finished">{{ t('compare.finished') }}</option>
            <option value="floor">{{ t('compare.onTheFloor') }}</option>
          </BFormSelect>
        </div>
      </div>
      <div v-if="told.all.jobCount > 0" class="narrow">
        <template v-for="field in JOB_FIELDS" :key="field">
          <BFormSelect
            v-if="isChoice(field)"
            :model-value="narrowed[field] ?? ''"
            size="sm"
            :aria-label="t('compare.onlySome', { word: t(`jobFieldsMany.${field}`) })"
            @update:model-value="narrow(field, String($event ?? ''))"
          >
            <option value="">{{ t('compare.all', { word: t(`jobFieldsMany.${field}`) }) }}</option>
            <option v-for="value in told.all.values[field]" :key="value" :value="value">
              {{ sayField(field, value) }}
            </option>
          </BFormSelect>
        </template>
        <div class="choices">
          <BFormSelect v-model="sort" size="sm" :aria-label="t('compare.inWhichOrder')">
            <option v-for="each in JOB_SORTS" :key="each" :value="each">{{ t(`jobSorts.${each}`) }}</option>
          </BFormSelect>
          <BFormSelect v-model="group" size="sm" :aria-label="t('compare.groupedBy')">
            <option value="">{{ t('compare.notGrouped') }}</option>
            <option v-for="field in JOB_FIELDS" :key="field" :value="field">
              {{ t('compare.byField', { field: t(`jobFields.${field}`) }) }}
            </option>
          </BFormSelect>
          <BButton
            variant="quiet"
            size="sm"
            :aria-pressed="unit === 'hours'"
            @click="unit = unit === 'money' ? 'hours' : 'money'"
            >{{ unit === 'money' ? t('compare.inHours') : t('compare.inMoney') }}</BButton
          >
        </div>
        <span v-if="isNarrowed" role="status">
          {{ t('compare.ofJobsShown', { n: told.jobCount, all: told.all.jobCount }) }}
          <BButton variant="quiet" size="sm" @click="everything">{{ t('common.showAll') }}</BButton>
        </span>
      </div>
      <p v-if="told.all.jobCount === 0" class="none">
        {{ t(show === 'finished' ? 'compare.noJobsFinished' : 'compare.noJobsOnTheFloor') }}
        <BButton
          v-if="show === 'finished' && period.kind.value !== 'year'"
          variant="quiet"
          size="sm"
          @click="period.choose('year')"
          >{{ t('compare.lookAtTheYear') }}</BButton
        >
      </p>
      <div v-else class="differences">
        <div class="row-head" aria-hidden="true">
          <span>{{ t('common.order') }}</span><span></span><span>{{ t('compare.lessMoreAndWhy') }}</span
          ><span>{{ t('common.hours') }}</span
          ><span>{{ desk.costWords }}</span>
        </div>
        <JobLines
          v-if="group === ''"
          v-model:most="most"
          :jobs="told.jobs"
          :count="told.jobCount"
          :scale="scale"
          :unit="unit"
        />
        <template v-for="each in group === '' ? [] : told.groups" :key="each.key">
          <GroupLine
            :name="sayField(group || 'customer', each.key)"
            :note="t('compare.jobsOf', { n: each.jobCount })"
            :difference="each.difference"
            :scale="scale"
            :unit="unit"
            :aria-expanded="opened.has(each.key)"
            @click="toggle(each.key)"
          />
          <GroupJobs
            v-if="opened.has(each.key)"
            :asked="asked"
            :group="each.key"
            :count="each.jobCount"
            :scale="scale"
            :unit="unit"
          />
        </template>
        <span class="plot" aria-hidden="true"
          ><span class="middle" :style="{ left: `${middleOf(scale) * 100}%` }"></span
        ></span>
      </div>
      <CauseLegend v-if="causes.length > 0" :causes="causes">
        <span>{{
          desk.may('rates.see') ? t('compare.causesExplained') : t('compare.causesAtStandard')
        }}</span>
      </CauseLegend>
    </template>
  </CompareFrame>
</template>

<style src="./differences.scss" lang="scss"></style>
<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}
.form-select {
  width: auto;
}
.narrow {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  padding: 6px 16px;
  font-size: var(--text-s);
}
.narrow .form-select {
  max-width: 136px;
}
.lead,
.none {
  margin: 0;
  padding: 12px 16px;
}
</style>
