<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref, watch } from 'vue';
import { CAUSES, differenceScale, middleOf, sumDifferences } from '@wergon/core/compare';
import type { DifferenceUnit } from '@wergon/core/compare';
import type { ComparedJob } from '@wergon/contract/compare';
import { callRoute, useDesk } from '../../kit/index.ts';
import { QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { FEW_TASKS, sayMain, sayMoneyMore, sayShare } from '../whyWords.ts';
import CauseLegend from './CauseLegend.vue';
import CompareFrame from './CompareFrame.vue';
import DifferenceRuler from './DifferenceRuler.vue';
import GroupLine from './GroupLine.vue';
import JobLine from './JobLine.vue';
import { JOB_FIELDS, JOB_SORTS, findJobs, groupJobs, sayField, valuesOf } from './jobRows.ts';
import type { JobField, JobSort } from './jobRows.ts';
import { useCompareQuery } from './useCompareQuery.ts';
import { usePeriod } from './usePeriod.ts';

/** What jobs differ by from their estimates, and why: how much in all, the jobs, most over first. */
const desk = useDesk();
const period = usePeriod('weeks');
const { show, narrowed, narrow, showAll } = useCompareQuery();
const query = useQuery({
  queryKey: ['compared-jobs', period.asked, show],
  queryFn: () => callRoute('comparedJobs', { query: { ...period.asked.value, show: show.value } }),
  placeholderData: keepPreviousData,
});
const search = ref('');
const sort = ref<JobSort>('over');
const unit = ref<DifferenceUnit>('money');
const group = ref<JobField | ''>('');
const opened = reactive(new Set<string>());
/** Jobs that are listed at first. */
const PAGE = 100;
const most = ref(PAGE);
watch([search, sort, group, narrowed, period.asked], () => (most.value = PAGE));

const all = computed((): readonly ComparedJob[] => query.data.value?.jobs ?? []);
const shown = computed(() => findJobs(all.value, narrowed.value, search.value, sort.value));
const groups = computed(() => (group.value === '' ? [] : groupJobs(shown.value, group.value)));
const isNarrowed = computed(
  () => search.value !== '' || JOB_FIELDS.some((field) => narrowed.value[field] !== ''),
);
const total = computed(() => sumDifferences(shown.value.map(({ current }) => current)));
const scale = computed(() =>
  differenceScale(
    group.value === ''
      ? shown.value.map(({ current }) => current)
      : groups.value.map(({ difference }) => difference),
    unit.value,
  ),
);
const causes = computed(() => {
  const seen = new Set(total.value.causes.map(({ cause }) => cause));
  for (const { current } of shown.value) for (const { cause } of current.causes) seen.add(cause);
  return CAUSES.filter((cause) => seen.has(cause));
});
const taskCount = computed(() => shown.value.reduce((sum, job) => sum + job.taskCount, 0));
const sentenceOf = ({ hasEstimate, current, main }: ComparedJob) =>
  hasEstimate ? sayMain(current, main, desk) : t('common.noEstimate');
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
        v-if="show === 'finished'"
        :jobs="shown"
        :first-day="period.firstDay.value"
        :last-day="period.lastDay.value"
      />
      <p v-else class="lead">{{ t('compare.onTheFloorLead') }}</p>
    </template>
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="counts">
        <span
          ><b>{{ shown.length }}</b>
          {{
            t(show === 'finished' ? 'compare.jobsFinished' : 'compare.jobsGoOn', { n: shown.length })
          }}</span
        >
        <span v-if="shown.length > 0" :class="{ attention: total.difference > 0 }"
          ><b class="figure">{{ sayMoneyMore(total.difference, desk) }}</b>
          {{
            t(
              show === 'floor'
                ? 'compare.soFarWord'
                : total.difference < 0
                  ? 'compare.lessThanEstimated'
                  : 'compare.moreThanEstimated',
            )
          }}</span
        >
        <span v-if="total.expectedSeconds > 0"
          ><b class="figure">{{ sayShare(total.includedSeconds, total.expectedSeconds) }}</b>
          {{ t('compare.ofTheEstimatedHours') }}</span
        >
        <span v-if="total.includedSeconds > 0"
          ><b class="figure">{{ sayShare(total.measuredSeconds, total.includedSeconds) }}</b>
          {{ t('compare.measuredWord') }}</span
        >
        <span v-if="shown.length > 0 && taskCount < FEW_TASKS">{{
          t('compare.restsOn', { n: taskCount })
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
      <div v-if="all.length > 0" class="narrow">
        <template v-for="field in JOB_FIELDS" :key="field">
          <BFormSelect
            v-if="valuesOf(all, field).length > 1 || narrowed[field] !== ''"
            :model-value="narrowed[field]"
            size="sm"
            :aria-label="t('compare.onlySome', { word: t(`jobFieldsMany.${field}`) })"
            @update:model-value="narrow(field, String($event ?? ''))"
          >
            <option value="">{{ t('compare.all', { word: t(`jobFieldsMany.${field}`) }) }}</option>
            <option v-for="value in valuesOf(all, field)" :key="value" :value="value">
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
          {{ t('compare.ofJobsShown', { n: shown.length, all: all.length }) }}
          <BButton variant="quiet" size="sm" @click="everything">{{ t('common.showAll') }}</BButton>
        </span>
      </div>
      <p v-if="all.length === 0" class="none">
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
        <template v-if="group === ''">
          <JobLine
            v-for="job in shown.slice(0, most)"
            :key="job.id"
            :job="job"
            :difference="job.current"
            :scale="scale"
            :unit="unit"
            :sentence="sentenceOf(job)"
          />
        </template>
        <template v-for="each in groups" :key="each.key">
          <GroupLine
            :name="sayField(group || 'customer', each.key)"
            :note="t('compare.jobsOf', { n: each.items.length })"
            :difference="each.difference"
            :scale="scale"
            :unit="unit"
            :aria-expanded="opened.has(each.key)"
            @click="toggle(each.key)"
          />
          <template v-if="opened.has(each.key)">
            <JobLine
              v-for="job in each.items"
              :key="job.id"
              :job="job"
              :difference="job.current"
              :scale="scale"
              :unit="unit"
              :sentence="sentenceOf(job)"
            />
          </template>
        </template>
        <span class="plot" aria-hidden="true"
          ><span class="middle" :style="{ left: `${middleOf(scale) * 100}%` }"></span
        ></span>
      </div>
      <p v-if="group === '' && shown.length > most" class="none">
        {{ t('compare.ofShown', { n: most, all: shown.length }) }}
        <BButton variant="quiet" size="sm" @click="most += PAGE">{{ t('compare.showMore') }}</BButton>
      </p>
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
