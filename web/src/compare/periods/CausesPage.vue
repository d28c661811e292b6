<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { CAUSES, differenceScale, middleOf } from '@wergon/core/compare';
import type { Cause, CausedDifference, DifferenceUnit } from '@wergon/core/compare';
import { CAUSE_CUTS } from '@wergon/contract/compare';
import { toCents } from '@wergon/core/money';
import { toSeconds } from '@wergon/core/time';
import { callRoute, sayMonth, useDesk } from '../../kit/index.ts';
import type { Column } from '../../kit/index.ts';
import { DataTable, PlainButton, QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { FEW_TASKS, sayHoursMore, sayMoneyMore } from '../whyWords.ts';
import CauseLegend from './CauseLegend.vue';
import CompareFrame from './CompareFrame.vue';
import DifferenceBar from './DifferenceBar.vue';
import GroupLine from './GroupLine.vue';
import JobLine from './JobLine.vue';
import StackedBars from './StackedBars.vue';
import { partsOfCauses } from './stackedParts.ts';
import { sayMonthText } from './jobRows.ts';
import { usePeriod } from './usePeriod.ts';

/** The same difference cut the other way: which cause costs most, where, and how it goes from month to month. */
const desk = useDesk();
const route = useRoute();
const router = useRouter();
const period = usePeriod('quarter');
const unit = ref<DifferenceUnit>('money');
const isTable = ref(false);
const textOf = (name: string) =>
  typeof route.query[name] === 'string' ? String(route.query[name]) : undefined;
const go = (query: Readonly<Record<string, string | undefined>>) =>
  void router.replace({ query: { ...route.query, ...query } });
const by = computed(() => CAUSE_CUTS.find((each) => each === textOf('by')) ?? 'workCenter');
const cause = computed(() => CAUSES.find((each) => each === textOf('cause')));
const group = computed(() => textOf('group'));
const asked = computed(() => ({
  ...period.asked.value,
  by: by.value,
  ...(group.value === undefined ? {} : { group: group.value }),
  ...(cause.value === undefined ? {} : { cause: cause.value }),
}));
const query = useQuery({
  queryKey: ['compared-causes', asked],
  queryFn: () => callRoute('comparedCauses', { query: asked.value }),
  placeholderData: keepPreviousData,
});
const told = computed(() => query.data.value);

/** A difference with the chosen cause alone. */
function only(difference: CausedDifference): CausedDifference {
  if (cause.value === undefined) return difference;
  const own = difference.causes.filter((each) => each.cause === cause.value);
  return {
    ...difference,
    causes: own,
    difference: own[0]?.cents ?? toCents(0),
    differenceSeconds: own[0]?.seconds ?? toSeconds(0),
  };
}
const sizeOf = ({ difference, differenceSeconds }: CausedDifference) =>
  unit.value === 'money' ? difference : differenceSeconds;
const causes = computed(() =>
  [...(told.value?.total.causes ?? [])]
    .flatMap((share) => (told.value ? [{ share, difference: { ...told.value.total, causes: [share] } }] : []))
    .sort((a, b) => b.share.cents - a.share.cents),
);
const causeScale = computed(() =>
  differenceScale(
    causes.value.map(({ difference }) => difference),
    unit.value,
  ),
);
const groups = computed(() =>
  (told.value?.groups ?? [])
    .map((each) => ({ ...each, difference: only(each.difference) }))
    .sort((a, b) => sizeOf(b.difference) - sizeOf(a.difference)),
);
const scale = computed(() =>
  differenceScale(
    groups.value.map(({ difference }) => difference),
    unit.value,
  ),
);
const jobs = computed(() =>
  (told.value?.jobs ?? []).map((job) => ({ ...job, difference: only(job.difference) })),
);
const months = computed(() =>
  (told.value?.months ?? []).map(({ month, difference }) => ({ name: sayMonth(month), difference })),
);
const say = (length: number) =>
  unit.value === 'money' ? sayMoneyMore(length, desk) : sayHoursMore(length, desk);
const parts = computed(() =>
  partsOfCauses(
    months.value.map(({ difference }) => difference),
    unit.value,
    cause.value,
  ),
);
const sayScale = (length: number) =>
  unit.value === 'money' ? desk.wholeMoney(length / 100) : desk.hours(length);
const sayKey = (key: string) =>
  key === '' ? t(`noCauseCut.${by.value}`) : by.value === 'month' ? sayMonthText(key) : key;
const toggleCause = (chosen: Cause) => go({ cause: chosen === cause.value ? undefined : chosen });
const toggleGroup = (key: string) => go({ group: key === group.value ? undefined : key });
const seen = computed(() =>
  CAUSES.filter((each) => told.value?.total.causes.some((own) => own.cause === each)),
);
const monthColumns = computed((): readonly Column<(typeof months.value)[number]>[] => [
  { id: 'month', title: t('jobFields.month'), value: ({ name }) => name, isRowHead: true },
  ...seen.value
    .filter((each) => cause.value === undefined || each === cause.value)
    .map((each) => ({
      id: each,
      title: t(`causes.${each}`),
      class: 'number figure',
      value: ({ difference }: (typeof months.value)[number]) => {
        const own = difference.causes.find((share) => share.cause === each);
        return own ? say(unit.value === 'money' ? own.cents : own.seconds) : '';
      },
    })),
]);
</script>

<template>
  <CompareFrame :period="period" :lead="t('compare.causesLead')">
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="counts">
        <span :class="{ attention: told.total.difference > 0 }"
          ><b class="figure">{{ sayMoneyMore(told.total.difference, desk) }}</b>
          {{ t(told.total.difference < 0 ? 'compare.lessThanEstimated' : 'compare.moreThanEstimated') }}</span
        >
        <span
          ><b class="figure">{{ sayHoursMore(told.total.differenceSeconds, desk) }}</b>
          {{ t('compare.hoursWord') }}</span
        >
        <span
          ><b>{{ told.jobCount }}</b> {{ t('compare.jobsFinished', { n: told.jobCount }) }}</span
        >
        <span v-if="told.taskCount > 0 && told.taskCount < FEW_TASKS">{{
          t('compare.restsOn', { n: told.taskCount })
        }}</span>
        <BButton
          class="end"
          variant="quiet"
          size="sm"
          :aria-pressed="unit === 'hours'"
          @click="unit = unit === 'money' ? 'hours' : 'money'"
          >{{ unit === 'money' ? t('compare.inHours') : t('compare.inMoney') }}</BButton
        >
      </div>
      <p v-if="told.jobCount === 0" class="none">
        {{ t('compare.noJobsFinished') }}
        <BButton
          v-if="period.kind.value !== 'year'"
          variant="quiet"
          size="sm"
          @click="period.choose('year')"
          >{{ t('compare.lookAtTheYear') }}</BButton
        >
      </p>
      <template v-else>
        <div class="both">
          <section class="differences narrow-list">
            <h2 class="list-head">{{ t('compare.whichCauses') }}</h2>
            <PlainButton
              v-for="{ share, difference } in causes"
              :key="share.cause"
              class="group-line"
              :aria-pressed="cause === share.cause"
              @click="toggleCause(share.cause)"
            >
              <span class="name"
                ><span>{{ t(`causes.${share.cause}`) }}</span></span
              >
              <span class="bar">
                <DifferenceBar
                  :difference="difference"
                  :scale="causeScale"
                  :unit="unit"
                  :label="t(`causes.${share.cause}`)"
                />
              </span>
              <span class="figure">{{ share.seconds === 0 ? '' : sayHoursMore(share.seconds, desk) }}</span>
              <span class="figure" :class="{ attention: share.cents > 0 }">{{
                sayMoneyMore(share.cents, desk)
              }}</span>
            </PlainButton>
            <p class="quiet hint">{{ t('compare.pressACause') }}</p>
          </section>
          <section>
            <h2 class="list-head">
              {{ cause ? t('compare.causeByMonth', { cause: t(`causes.${cause}`) }) : t('compare.byMonth') }}
              <BButton variant="quiet" size="sm" :aria-pressed="isTable" @click="isTable = !isTable">{{
                isTable ? t('compare.asChart') : t('compare.asTable')
              }}</BButton>
            </h2>
            <DataTable
              v-if="isTable"
              class="across"
              :rows="months"
              :columns="monthColumns"
              :row-key="({ name }) => name"
            />
            <StackedBars
              v-else
              :names="months.map(({ name }) => name)"
              :parts="parts"
              :say="say"
              :say-scale="sayScale"
              :label="t('compare.byMonth')"
            />
          </section>
        </div>
        <h2 class="list-head where">
          {{ cause ? t('compare.whereCause', { cause: t(`causes.${cause}`) }) : t('compare.where') }}
          <BFormSelect
            :model-value="by"
            size="sm"
            :aria-label="t('compare.cutBy')"
            @update:model-value="go({ by: String($event), group: undefined })"
          >
            <option v-for="cut in CAUSE_CUTS" :key="cut" :value="cut">
              {{ t('compare.byField', { field: t(`causeCuts.${cut}`) }) }}
            </option>
          </BFormSelect>
        </h2>
        <div class="differences">
          <template v-for="each in groups" :key="each.key">
            <GroupLine
              :name="sayKey(each.key)"
              :note="
                t('compare.tasksOfJobs', {
                  tasks: t('compare.tasksOf', { n: each.taskCount }),
                  n: each.jobCount,
                })
              "
              :difference="each.difference"
              :scale="scale"
              :unit="unit"
              :aria-expanded="group === each.key"
              @click="toggleGroup(each.key)"
            />
            <template v-if="group === each.key">
              <JobLine
                v-for="job in jobs"
                :key="job.id"
                :job="job"
                :difference="job.difference"
                :scale="scale"
                :unit="unit"
              />
              <p v-if="each.jobCount > jobs.length && jobs.length > 0" class="none">
                {{ t('compare.ofShown', { n: jobs.length, all: each.jobCount }) }}
              </p>
            </template>
          </template>
          <span class="plot" aria-hidden="true"
            ><span class="middle" :style="{ left: `${middleOf(scale) * 100}%` }"></span
          ></span>
        </div>
        <CauseLegend :causes="seen">
          <span>{{
            desk.may('rates.see') ? t('compare.causesExplained') : t('compare.causesAtStandard')
          }}</span>
        </CauseLegend>
      </template>
    </template>
  </CompareFrame>
</template>

<style src="./differences.scss" lang="scss"></style>
<style scoped>
.end {
  margin-left: auto;
}
.none,
.hint {
  margin: 0;
  padding: 8px 16px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  border-bottom: 1px solid var(--line);
}
.narrow-list {
  --number: 0px;
  --title: 110px;
  --hours: 84px;
  --money: 108px;
  border-right: 1px solid var(--line);
}
.list-head {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 34px;
}
.list-head .btn,
.list-head .form-select {
  width: auto;
  margin-left: auto;
}
.where .form-select {
  margin-left: 0;
}
.group-line[aria-pressed='true'] {
  background: var(--action-tint);
}
@media (max-width: 1000px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
