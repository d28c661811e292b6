<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { CUT_FIELDS, MOST_LEVELS, cutsWholeTasks } from '@wergon/core/compare';
import type { CutField } from '@wergon/core/compare';
import type { CutSpec } from '@wergon/contract/compare';
import { cutSpec } from '@wergon/contract/compare';
import { formatCents } from '@wergon/core/money';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, download, useDesk, useWorker } from '../../kit/index.ts';
import { QueryState } from '../../kit/parts/index.ts';
import { t } from '../../words/index.ts';
import { sayShare } from '../whyWords.ts';
import CompareFrame from './CompareFrame.vue';
import CutRows from './CutRows.vue';
import KeptCuts from './KeptCuts.vue';
import { USUAL_CUTS, sayKey } from './cutWords.ts';
import type { CutFunctions } from './cutWorker.ts';
import { usePeriod } from './usePeriod.ts';

/** Hours and cost cut by anything, up to three things within each other. */
const desk = useDesk();
const route = useRoute();
const router = useRouter();
const period = usePeriod('week');
/** The cut stands in the address, so that it can be sent to somebody. */
const cut = computed((): CutSpec => {
  const text = route.query['cut'];
  try {
    const read = cutSpec.safeParse(JSON.parse(typeof text === 'string' ? text : ''));
    if (read.success) return read.data;
  } catch {
    // Whatever stands there is no cut.
  }
  return USUAL_CUTS[0]?.cut ?? { by: ['person'], only: {} };
});
const choose = (next: CutSpec) =>
  void router.replace({ query: { ...route.query, cut: JSON.stringify(next) } });
const levels = computed(() => Array.from({ length: MOST_LEVELS }, (_each, i) => cut.value.by[i] ?? ''));
function setLevel(at: number, field: string): void {
  const next = CUT_FIELDS.find((each) => each === field);
  const by = cut.value.by.filter((each, i) => i !== at && each !== next);
  if (next) by.splice(at, 0, next);
  if (by.length > 0) choose({ ...cut.value, by });
}
/** How filtered keys are said; those of ids are known once they were seen. */
const said = ref<Readonly<Record<string, string>>>({});
function only(field: CutField, key: string, name: string): void {
  said.value = { ...said.value, [key]: name };
  const by = cut.value.by.filter((each) => each !== field);
  choose({ by: by.length > 0 ? by : [field], only: { ...cut.value.only, [field]: key } });
}
const filtered = computed(() => CUT_FIELDS.filter((field) => cut.value.only[field] !== undefined));
const filters = computed(() =>
  filtered.value.map((field) => {
    const key = cut.value.only[field] ?? '';
    return { field, name: said.value[key] ?? sayKey(field, key, key) };
  }),
);
const withoutFilter = (field: CutField) =>
  choose({
    ...cut.value,
    only: Object.fromEntries(Object.entries(cut.value.only).filter(([each]) => each !== field)),
  });

const query = useQuery({
  queryKey: ['cut', computed(() => ({ ...period.asked.value, cut: cut.value, path: [] }))],
  queryFn: () => callRoute('cut', { query: { ...period.asked.value, cut: JSON.stringify(cut.value) } }),
  placeholderData: keepPreviousData,
});
const told = computed(() => query.data.value);
/** Whether groups can be of whole tasks, which have an estimate. */
const hasTasks = computed(() => cutsWholeTasks([...cut.value.by.slice(0, 1), ...filtered.value]));
const longest = computed(() => Math.max(0, ...(told.value?.groups ?? []).map(({ seconds }) => seconds)));

const isWriting = ref(false);
const problem = ref('');
const worker = useWorker<CutFunctions>(
  () => new Worker(new URL('./cutWorker.ts', import.meta.url), { type: 'module' }),
  () => {
    isWriting.value = false;
    problem.value = t('compare.fileFailed');
  },
);
const FORMATS = ['csv', 'xlsx'] as const;
async function write(format: (typeof FORMATS)[number]): Promise<void> {
  isWriting.value = true;
  problem.value = '';
  const asked = new URLSearchParams({ ...period.asked.value, cut: JSON.stringify(cut.value), whole: 'yes' });
  const blob = await worker.functions().write({
    path: `/api/compare/cut?${asked.toString()}`,
    format,
    name: t('compare.hoursWay'),
    heads: [
      ...cut.value.by.map((field) => t(`cutFields.${field}`)),
      t('common.hours'),
      t('compare.secondsHead'),
      t('compare.measuredHead'),
      t('compare.sharedHead'),
      t('compare.writtenHead'),
      desk.costWords,
      ...(cutsWholeTasks([...cut.value.by, ...filtered.value])
        ? [
            t('compare.estimatedHead'),
            t('compare.moreOrLess'),
            t('compare.costMoreOrLess'),
            t('compare.goodHead'),
            t('compare.scrapHead'),
          ]
        : []),
    ],
    words: {
      ...Object.fromEntries(WORK_TYPES.map((type) => [type, t(`workTypes.${type}`)])),
      job: t('compare.onJobsHead'),
      indirect: t('compare.indirectHead'),
    },
  });
  isWriting.value = false;
  if (blob) download(blob, `hours-${period.asked.value.from}-${period.asked.value.to}.${format}`);
  else problem.value = t('compare.fileFailed');
}
function cancel(): void {
  worker.end();
  isWriting.value = false;
}
const print = () => window.print();
</script>

<template>
  <CompareFrame :period="period" :lead="t('compare.hoursLead')">
    <div class="choose">
      <KeptCuts :cut="cut" @choose="choose" />
      <span class="levels">
        <template v-for="(field, i) in levels" :key="i">
          <BFormSelect
            v-if="i <= cut.by.length"
            :model-value="field"
            size="sm"
            :aria-label="t('compare.levelOf', { n: i + 1 })"
            @update:model-value="setLevel(i, String($event))"
          >
            <option v-if="i > 0 || field === ''" value="">{{ t('compare.noLevel') }}</option>
            <option v-for="each in CUT_FIELDS" :key="each" :value="each">{{ t(`cutFields.${each}`) }}</option>
          </BFormSelect>
        </template>
      </span>
      <span class="acts">
        <span v-if="isWriting" role="status"
          >{{ t('compare.writingFile') }}
          <BButton variant="quiet" size="sm" @click="cancel">{{ t('common.cancel') }}</BButton></span
        >
        <template v-else>
          <BButton v-for="format in FORMATS" :key="format" variant="quiet" size="sm" @click="write(format)">{{
            format.toUpperCase()
          }}</BButton>
          <BButton variant="quiet" size="sm" @click="print">{{ t('common.print') }}</BButton>
        </template>
      </span>
    </div>
    <p v-if="problem" class="attention none" role="alert">{{ problem }}</p>
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <p class="counts">
        <span
          ><b class="figure">{{ desk.hours(told.total.seconds) }}</b> {{ t('compare.hoursWord') }}</span
        >
        <span v-if="told.total.seconds > 0"
          ><b class="figure">{{ sayShare(told.total.measuredSeconds, told.total.seconds) }}</b>
          {{ t('compare.measuredWord') }}</span
        >
        <span
          ><b class="figure">{{ desk.money(formatCents(told.total.cost)) }}</b> {{ desk.costWord }}</span
        >
        <span v-for="{ field, name } in filters" :key="field" class="filter"
          >{{ t('compare.onlyOf', { field: t(`cutFields.${field}`), name }) }}
          <BButton
            variant="quiet"
            size="sm"
            :aria-label="t('compare.withoutFilter', { field: t(`cutFields.${field}`) })"
            @click="withoutFilter(field)"
            >{{ t('common.showAll') }}</BButton
          ></span
        >
      </p>
      <p v-if="told.groups.length === 0" class="none">{{ t('compare.noHours') }}</p>
      <div v-else class="cut" :class="{ 'with-tasks': hasTasks }">
        <div class="cut-line cut-head">
          <span>{{ cut.by.map((field) => t(`cutFields.${field}`)).join(' › ') }}</span>
          <span class="track"></span>
          <span>{{ t('common.hours') }}</span>
          <span>{{ t('compare.measuredHead') }}</span>
          <template v-if="hasTasks">
            <span>{{ t('compare.estimatedHead') }}</span>
            <span>{{ t('compare.moreOrLess') }}</span>
          </template>
          <span>{{ desk.costWords }}</span>
        </div>
        <CutRows
          :key="JSON.stringify([cut, period.asked.value])"
          :cut="cut"
          :asked="period.asked.value"
          :path="[]"
          :longest="longest"
          :has-tasks="hasTasks"
          @only="only"
        />
      </div>
      <p class="quiet none">{{ t('compare.cutExplained') }}</p>
    </template>
  </CompareFrame>
</template>

<style lang="scss">
.cut {
  background: var(--sheet);
}
.cut-line {
  display: grid;
  grid-template-columns: minmax(180px, 380px) minmax(0, 1fr) 92px 74px 130px;
  .with-tasks & {
    grid-template-columns: minmax(180px, 380px) minmax(0, 1fr) 92px 74px 92px 110px 130px;
  }
  gap: 12px;
  align-items: center;
  padding: 3px 16px;
  border-bottom: 1px solid var(--line);
  /* Of a thousand lines only those in sight are laid out. */
  content-visibility: auto;
  contain-intrinsic-size: auto 36px;
  &:hover {
    background: var(--band);
  }
  > :nth-child(n + 3) {
    text-align: right;
  }
  small {
    display: block;
    font-size: var(--text-xs);
  }
  &.level-0 .opens {
    font-weight: 700;
  }
  &.level-1 .name {
    padding-left: 22px;
  }
  &.level-2 .name {
    padding-left: 44px;
  }
  .name {
    display: flex;
    flex-wrap: wrap;
    gap: 0 10px;
    align-items: center;
    min-width: 0;
  }
  .name small {
    flex-basis: 100%;
    color: var(--ink-2);
  }
  .opens {
    overflow: hidden;
    padding: 0;
    background: none;
    border: 0;
    color: inherit;
    text-align: left;
    text-overflow: ellipsis;
  }
  a {
    color: var(--ink);
  }
  .only {
    padding: 0 6px;
    opacity: 0;
  }
  &:hover .only,
  .only:focus-visible {
    opacity: 1;
  }
  .track {
    height: 10px;
  }
  .track i {
    display: block;
    height: 100%;
    background: var(--bar);
  }
  &.level-1 .track i {
    background: color-mix(in srgb, var(--bar) 70%, var(--sheet));
  }
  &.level-2 .track i {
    background: color-mix(in srgb, var(--bar) 45%, var(--sheet));
  }
}
.cut-head {
  background: var(--band);
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.cut-more {
  margin: 0;
  padding: 6px 16px;
  color: var(--ink-2);
}
@media (max-width: 1000px) {
  .with-tasks .cut-line {
    grid-template-columns: minmax(0, 1fr) 84px 84px 100px 120px;
    .track,
    > :nth-child(4) {
      display: none;
    }
  }
}
@media (max-width: 760px) {
  .cut-line,
  .with-tasks .cut-line {
    grid-template-columns: minmax(0, 1fr) auto auto;
    .track,
    > :nth-child(4):not(:last-child),
    > :nth-child(5):not(:last-child),
    > :nth-child(6) {
      display: none;
    }
  }
}
@media print {
  .cut-line .only {
    display: none;
  }
}
</style>
<style scoped>
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding: 8px 16px;
  border-bottom: 1px solid var(--line);
}
.choose > :deep(.form-select),
.levels .form-select {
  width: auto;
}
.levels {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.acts {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.filter {
  padding: 0 8px;
  background: var(--action-tint);
}
.none {
  margin: 0;
  padding: 12px 16px;
}
@media print {
  .choose {
    display: none;
  }
}
</style>
