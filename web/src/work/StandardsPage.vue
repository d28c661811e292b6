<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { StandardJobJson, StandardTaskJson } from '@wergon/contract/work';
import { formatCents, sumCents } from '@wergon/core/money';
import { callRoute, useDesk } from '../kit/index.ts';
import { CheckField, PlainButton, QueryState, ShopLayout, DataTable } from '../kit/parts/index.ts';
import { centsIn, estimateDraft, newOrder, stepDraft } from './orderDraft.ts';
import { sayScope } from './scopeDraft.ts';
import StandardJobForm from './StandardJobForm.vue';
import StandardTaskForm from './StandardTaskForm.vue';
import StandardVersions from './StandardVersions.vue';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const query = useQuery({ queryKey: ['standards'], queryFn: () => callRoute('standards') });
const preparation = useQuery({ queryKey: ['preparation'], queryFn: () => callRoute('preparation') });
const search = ref('');
const showsOff = ref(false);
const openedJob = ref<string | null>(null);
/** What is being written: a task or a job by id, `''` for a new one. */
const editedTask = ref<string | null>(null);
const editedJob = ref<string | null>(null);
const history = ref<string | null>(null);

const tasks = computed(() => query.data.value?.tasks ?? []);
const taskById = computed(() => new Map(tasks.value.map((task) => [task.id, task])));
const matches = (title: string, isOff: boolean) =>
  // Whoever looks for one by its name is told that it is switched off, not that there is none.
  (showsOff.value || !isOff || search.value.trim() !== '') &&
  title.toLowerCase().includes(search.value.trim().toLowerCase());
const jobs = computed(() =>
  (query.data.value?.jobs ?? []).filter(({ title, isOff }) => matches(title, isOff)),
);
const shownTasks = computed(() => tasks.value.filter(({ title, isOff }) => matches(title, isOff)));

/** What a job takes for one piece, its required steps alone and with all of them. */
function estimateOf(job: StandardJobJson, isRequiredOnly: boolean) {
  const steps = job.steps.filter(({ isRequired }) => isRequired || !isRequiredOnly);
  const drafts = steps.flatMap(({ task }) => {
    const found = taskById.value.get(task);
    return found ? [stepDraft(found)] : [];
  });
  return estimateDraft({ ...newOrder(''), tasks: drafts }, preparation.data.value?.grades ?? []);
}
/** What the prices of its tasks come to, of the required ones alone. */
const priceOf = (job: StandardJobJson) =>
  sumCents(
    job.steps
      .filter(({ isRequired }) => isRequired)
      .map(({ task }) => ({ cost: centsIn(taskById.value.get(task)?.price ?? '') })),
  );
const taskEstimate = (task: StandardTaskJson) =>
  estimateDraft({ ...newOrder(''), tasks: [stepDraft(task)] }, preparation.data.value?.grades ?? []);
const longest = computed(() => Math.max(1, ...jobs.value.map((job) => estimateOf(job, false).seconds)));
const mayChange = computed(() => desk.may('work.change'));
const columns = computed((): readonly Column<StandardTaskJson>[] => [
  { id: 'task', title: t('work.taskHead') },
  { id: 'for', title: t('common.for'), value: (task) => sayScope(task.scope) },
  { id: 'workCenter', title: t('common.workCenter'), value: (task) => task.workCenter },
  { id: 'setup', title: t('work.setup'), class: 'number figure', value: (task) => task.setupHours },
  { id: 'run', title: t('work.run'), class: 'number figure', value: (task) => task.runHours },
  {
    id: 'perPiece',
    title: t('work.perPiece'),
    class: 'number figure',
    value: (task) => task.runHoursPerPiece,
  },
  {
    id: 'steps',
    title: t('work.steps'),
    class: 'number figure',
    value: (task) => task.instructions.length || '',
  },
  {
    id: 'in',
    title: t('common.inHead'),
    value: (task) =>
      task.usedBy.length === 1
        ? task.usedBy[0]
        : task.usedBy.length === 0
          ? ''
          : t('work.jobs', { n: task.usedBy.length }),
  },
  { id: 'version', title: t('work.versionHead'), class: 'number figure', value: (task) => task.version },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <ShopLayout :title="t('common.standards')" :lead="t('work.stepsThatComeBackWithWhatThey')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="inline">
        <BFormInput
          v-model="search"
          type="search"
          :aria-label="t('work.findAStandard')"
          :placeholder="t('work.findAStandard')"
        />
        <CheckField v-model="showsOff" class="check">{{ t('work.alsoThoseSwitchedOff') }}</CheckField>
        <span v-if="search" class="quiet" role="status"
          >{{ t('work.match', { n: jobs.length + shownTasks.length }) }}
          <BButton variant="quiet" size="sm" @click="search = ''">{{ t('common.showAll') }}</BButton></span
        >
        <template v-if="mayChange">
          <BButton
            v-if="tasks.length > 0"
            variant="primary"
            :disabled="editedJob === ''"
            @click="editedJob = ''"
            >{{ t('work.newStandardJob') }}</BButton
          >
          <BButton
            :variant="tasks.length > 0 ? 'quiet' : 'primary'"
            :disabled="editedTask === ''"
            @click="editedTask = ''"
          >
            {{ t('work.newStandardTask') }}
          </BButton>
        </template>
      </div>
      <StandardJobForm v-if="editedJob === ''" :tasks="tasks" @done="editedJob = null" />
      <StandardTaskForm
        v-if="editedTask === ''"
        :preparation="preparation.data.value"
        @done="editedTask = null"
      />

      <h2>{{ t('work.standardJobs') }}</h2>
      <p v-if="jobs.length === 0" class="quiet">
        {{ search ? t('work.noneOfThisName') : t('work.noneYetAJobIsAnOrderedSetOf') }}
      </p>
      <article v-for="job in jobs" :key="job.id" class="job" :class="{ off: job.isOff }">
        <StandardJobForm v-if="editedJob === job.id" :tasks="tasks" :job="job" @done="editedJob = null" />
        <template v-else>
          <PlainButton
            class="line"
            :aria-expanded="openedJob === job.id"
            @click="openedJob = openedJob === job.id ? null : job.id"
          >
            <span class="name"
              ><b>{{ job.title }}</b
              ><small>{{
                t('work.forVersion', {
                  scope: sayScope(job.scope),
                  version: job.version,
                  more: job.isOff ? ` · ${t('common.switchedOff')}` : '',
                })
              }}</small></span
            >
            <span class="length">
              <span
                class="bar all"
                :style="{ width: `${(estimateOf(job, false).seconds / longest) * 100}%` }"
              ></span>
              <span
                class="bar"
                :style="{ width: `${(estimateOf(job, true).seconds / longest) * 100}%` }"
              ></span>
            </span>
            <span class="figure number"
              >{{ desk.hours(estimateOf(job, true).seconds)
              }}<small v-if="estimateOf(job, false).seconds > estimateOf(job, true).seconds">{{
                t('work.to', { hours: desk.hours(estimateOf(job, false).seconds) })
              }}</small></span
            >
            <span class="figure number"
              >{{ desk.money(formatCents(estimateOf(job, true).cost))
              }}<small v-if="priceOf(job) > 0" :title="t('work.pricesOfItsTasks')">{{
                t('work.priced', { price: desk.money(formatCents(priceOf(job))) })
              }}</small></span
            >
          </PlainButton>
          <div v-if="openedJob === job.id" class="inside">
            <ol>
              <li v-for="step in job.steps" :key="step.task">
                {{ taskById.get(step.task)?.title ?? t('work.aTaskThatIsGone') }}
                <span v-if="!step.isRequired" class="quiet">{{ t('work.optional') }}</span>
                <span v-if="taskById.get(step.task)" class="figure quiet">{{
                  desk.hours(taskEstimate(taskById.get(step.task)!).seconds)
                }}</span>
              </li>
            </ol>
            <div class="acts">
              <RouterLink
                v-if="mayChange && !job.isOff"
                :to="{ name: 'new-order', query: { standard: job.id } }"
                class="btn btn-primary"
                >{{ t('work.makeAnOrderFromIt') }}</RouterLink
              >
              <BButton v-if="mayChange" variant="quiet" @click="editedJob = job.id">
                {{ t('common.change') }}
              </BButton>
              <BButton variant="quiet" @click="history = history === job.id ? null : job.id">
                {{ t('work.versions') }}
              </BButton>
            </div>
            <StandardVersions v-if="history === job.id" :standard="job.id" />
          </div>
        </template>
      </article>

      <h2>{{ t('work.standardTasks') }}</h2>
      <p v-if="shownTasks.length === 0" class="quiet">
        {{ search ? t('work.noneOfThisName') : t('work.noneYetBeginWithTheStepsThat') }}
      </p>
      <DataTable
        v-else
        :rows="shownTasks"
        :columns="columns"
        :row-key="(task) => task.id"
        :row-class="(task) => ({ off: task.isOff })"
        :is-expanded="(task) => editedTask === task.id || history === task.id"
        is-sortable
        ><template #task="{ row: task }"
          >{{ task.title }}<template v-if="task.isOff">, {{ t('common.switchedOff') }}</template></template
        >
        <template #acts="{ row: task }"
          ><BButton
            v-if="mayChange"
            variant="quiet"
            size="sm"
            @click="editedTask = editedTask === task.id ? null : task.id"
          >
            {{ t('common.change') }}
          </BButton>
          <BButton variant="quiet" size="sm" @click="history = history === task.id ? null : task.id">
            {{ t('work.versions') }}
          </BButton></template
        ><template #expanded="{ row: task }"
          ><template v-if="editedTask === task.id"
            ><StandardTaskForm
              :preparation="preparation.data.value"
              :task="task"
              @done="editedTask = null" /></template
          ><template v-if="history === task.id"><StandardVersions :standard="task.id" /></template></template
      ></DataTable>
    </template>
  </ShopLayout>
</template>

<style scoped lang="scss">
.job {
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
.line {
  display: grid;
  grid-template-columns: minmax(220px, 300px) minmax(0, 1fr) 90px 150px;
  gap: 16px;
  align-items: center;
  width: 100%;
  min-height: 48px;
  padding: 4px 10px;
  background: none;
  border: 0;
  color: inherit;
  text-align: left;
  &:hover {
    background: var(--band);
  }
}
small {
  display: block;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.length {
  position: relative;
  height: 14px;
}
.bar {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--bar);
}
.bar.all {
  background: none;
  border: 1px dashed var(--ink-2);
}
.inside {
  padding: 0 10px 14px;
}
.inside li {
  padding: 1px 0;
}
.number {
  text-align: right;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: minmax(0, 1fr) 90px;
  }
  .length,
  .line > .number:last-child {
    display: none;
  }
}
</style>
