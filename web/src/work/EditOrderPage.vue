<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect, BFormTextarea } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { OrderJson } from '@wergon/contract/compare';
import { formatCents } from '@wergon/core/money';
import { toSeconds } from '@wergon/core/time';
import { WORK_TYPES, splitHoursOf } from '@wergon/core/work';
import { callRoute, useDesk, useForm } from '../kit/index.ts';
import { CheckField, DateField, FormField, QueryState } from '../kit/parts/index.ts';
import { ChargeFields } from '../shop/index.ts';
import ConflictPanel from './ConflictPanel.vue';
import { HOURS, areHours, draftOf, estimateDraft, joinDrafts, newOrder, orderBody } from './orderDraft.ts';
import type { Conflict, OrderDraft, TaskDraft } from './orderDraft.ts';
import PartsFields from './PartsFields.vue';
import StandardChooser from './StandardChooser.vue';
import TaskEditor from './TaskEditor.vue';
import { t } from '../words/index.ts';

const desk = useDesk();
const route = useRoute();
const router = useRouter();
const id = computed(() => (route.name === 'edit-order' ? String(route.params['order']) : null));
const preparation = useQuery({ queryKey: ['preparation'], queryFn: () => callRoute('preparation') });
/** The order as it was when writing began; what others save meanwhile is not taken in behind the writer's back. */
const begun = ref<OrderJson | null>(null);
const loadError = ref<unknown>(null);
const form = useForm<OrderDraft, 'addOrder'>(newOrder(''), 'addOrder', orderBody);
const conflicts = ref<readonly Conflict[]>([]);
const taken = ref<readonly string[]>([]);

async function load(): Promise<void> {
  if (id.value === null) return;
  loadError.value = null;
  try {
    begun.value = await callRoute('order', { params: { order: id.value } });
    form.reset(draftOf(begun.value));
  } catch (error) {
    loadError.value = error;
  }
}
void load();
watch(
  () => preparation.data.value,
  (known) => {
    if (id.value === null && known && form.fields.value.number === '')
      form.reset({
        ...form.fields.value,
        number: known.nextNumber,
        estimateIncludes: [...known.estimateIncludes],
      });
  },
  { immediate: true },
);

const draft = computed(() => form.fields.value);
const quantity = computed(() => Math.max(0, Math.trunc(Number(draft.value.quantity)) || 0));
const estimate = computed(() => estimateDraft(draft.value, preparation.data.value?.grades ?? []));
/** Tasks that are not in the sums, because their hours cannot be read. */
const unread = computed(
  () => draft.value.tasks.filter((task) => !HOURS.every((field) => areHours(task[field]))).length,
);
const isReady = computed(() => preparation.data.value && (id.value === null || begun.value));
const unit = computed(() => preparation.data.value?.units.find((each) => each.id === draft.value.unit));
watch(unit, (chosen) => {
  if (chosen?.owner && draft.value.customer === '') draft.value.customer = chosen.owner;
});
const subject = computed(() => ({
  item: draft.value.item,
  unitType: unit.value?.type ?? '',
  customer: draft.value.customer,
}));

/** What is used stays with the first part; a task without labor is halved by nobody. */
function split(task: TaskDraft): readonly [string, string] | undefined {
  const stored = begun.value?.tasks.find((each) => each.id === task.id);
  if (!stored || stored.lines.length === 0) return undefined;
  return splitHoursOf(
    toSeconds(stored.comparison.estimatedSeconds),
    toSeconds(stored.comparison.actualSeconds),
  );
}

function takeStandard(tasks: readonly TaskDraft[], title: string): void {
  draft.value.tasks.push(...tasks);
  if (draft.value.title === '') draft.value.title = title;
}

async function save(): Promise<void> {
  const order = id.value;
  const version = begun.value?.order.version ?? 1;
  const sent = await form.send(async (fields) =>
    order === null
      ? (await callRoute('addOrder', { body: orderBody(fields) })).id
      : (await callRoute('saveOrder', { params: { order }, body: { ...orderBody(fields), version } }), order),
  );
  if (sent) await router.push({ name: 'order', params: { order: sent.answer } });
  else if (form.code.value === 'record.changed') await meet();
}

/** Somebody else has saved: what only they changed is taken over, and where both wrote, both are shown. */
async function meet(): Promise<void> {
  const before = begun.value;
  if (!before || id.value === null) return;
  const theirs = await callRoute('order', { params: { order: id.value } });
  const {
    joined,
    taken: fields,
    conflicts: found,
  } = joinDrafts(draftOf(before), draft.value, draftOf(theirs));
  begun.value = theirs;
  form.fields.value = joined;
  conflicts.value = found;
  taken.value = fields;
}
function takeTheirs(field: Conflict['field']): void {
  if (!begun.value) return;
  form.fields.value = { ...draft.value, [field]: draftOf(begun.value)[field] };
  conflicts.value = conflicts.value.filter((each) => each.field !== field);
}
const keepMine = (field: Conflict['field']) => {
  conflicts.value = conflicts.value.filter((each) => each.field !== field);
};
const headProblem = computed(() =>
  form.code.value === 'record.changed' ||
  Object.keys(form.errors.value).some((field) => field.startsWith('tasks['))
    ? ''
    : form.problem.value,
);
</script>

<template>
  <main class="order-form">
    <h1>
      {{
        id === null ? t('work.newWorkOrder') : t('work.orderNumber', { number: begun?.order.number ?? '' })
      }}
    </h1>
    <QueryState
      v-if="!isReady"
      :is-pending="preparation.isPending.value || (id !== null && !loadError)"
      :error="preparation.error.value ?? loadError"
      @retry="(preparation.refetch(), load())"
    />
    <form v-else novalidate @submit.prevent="save">
      <ConflictPanel
        v-if="conflicts.length > 0 || taken.length > 0"
        :conflicts="conflicts"
        :taken="taken"
        @theirs="takeTheirs"
        @mine="keepMine"
      />
      <div class="fields">
        <FormField v-slot="{ id: field, described }" :label="t('common.number')" field="number">
          <BFormInput
            :id="field"
            v-model="draft.number"
            class="figure"
            :aria-describedby="described"
            required
          />
        </FormField>
        <FormField v-slot="{ id: field }" :label="t('work.description')" class="wide" field="title">
          <BFormInput :id="field" v-model="draft.title" required />
        </FormField>
        <FormField v-slot="{ id: field }" :label="t('common.customer')" field="customer">
          <BFormInput :id="field" v-model="draft.customer" list="customers" required />
        </FormField>
        <FormField v-slot="{ id: field }" :label="t('work.pieces')" field="quantity">
          <BFormInput :id="field" v-model="draft.quantity" class="figure" type="number" min="0" required />
        </FormField>
        <FormField v-slot="{ id: field }" :label="t('work.due')" field="due">
          <DateField :id="field" v-model="draft.due" :label="t('work.due')" />
        </FormField>
        <FormField
          v-if="desk.uses('unit') || draft.unit"
          v-slot="{ id: field }"
          :label="t('work.unitOnTheBench')"
          field="unit"
        >
          <BFormSelect :id="field" v-model="draft.unit">
            <option value="">{{ t('common.none') }}</option>
            <option v-for="each in preparation.data.value?.units ?? []" :key="each.id" :value="each.id">
              {{ each.words }}{{ each.owner ? `, ${each.owner}` : '' }}
            </option>
          </BFormSelect>
        </FormField>
        <FormField
          v-if="desk.uses('item') || draft.item"
          v-slot="{ id: field }"
          :label="t('work.itemForStock')"
        >
          <BFormInput :id="field" v-model="draft.item" />
        </FormField>
        <FormField
          v-if="desk.uses('division') || draft.division"
          v-slot="{ id: field }"
          :label="t('common.division')"
        >
          <BFormInput :id="field" v-model="draft.division" list="divisions" />
        </FormField>
        <FormField
          v-if="desk.uses('jobType') || draft.jobType"
          v-slot="{ id: field }"
          :label="t('common.jobType')"
        >
          <BFormInput :id="field" v-model="draft.jobType" list="job-types" />
        </FormField>
        <FormField
          v-if="desk.uses('price') || draft.price"
          v-slot="{ id: field, described }"
          :label="t('work.price')"
          field="price"
        >
          <BFormInput
            :id="field"
            v-model="draft.price"
            class="figure"
            inputmode="decimal"
            :aria-describedby="described"
          />
        </FormField>
        <ChargeFields v-if="desk.uses('charge') || draft.charge" v-model="draft.charge" />
        <FormField
          v-slot="{ id: field }"
          :label="t('work.notesPrintedOnTheTraveler')"
          class="wide"
          field="notes"
        >
          <BFormTextarea :id="field" v-model="draft.notes" rows="2" maxlength="2000"></BFormTextarea>
        </FormField>
      </div>
      <datalist id="customers">
        <option v-for="each in preparation.data.value?.customers ?? []" :key="each" :value="each"></option>
      </datalist>
      <datalist id="divisions">
        <option v-for="each in preparation.data.value?.divisions ?? []" :key="each" :value="each"></option>
      </datalist>
      <datalist id="job-types">
        <option v-for="each in preparation.data.value?.jobTypes ?? []" :key="each" :value="each"></option>
      </datalist>
      <fieldset class="includes">
        <legend>{{ t('work.theEstimateIncludes') }}</legend>
        <CheckField
          v-for="workType in WORK_TYPES"
          :key="workType"
          v-model="draft.estimateIncludes"
          class="check"
          :value="workType"
          :disabled="workType === 'run' || workType === 'rework'"
          >{{ t(`workTypes.${workType}`) }}
        </CheckField>
        <span class="quiet">{{ t('work.otherTimeAddsToTheCostButIs') }}</span>
      </fieldset>
      <PartsFields v-if="desk.uses('parts') || draft.parts.length > 0" v-model="draft.parts" />
      <StandardChooser :subject="subject" @take="takeStandard" />
      <TaskEditor
        v-model="draft.tasks"
        :preparation="preparation.data.value"
        :estimate="estimate"
        :quantity="quantity"
        :errors="form.errors.value"
        :split="split"
      />
      <p v-if="preparation.data.value?.grades.length === 0" class="attention">
        {{ t('work.tasksNeedAGradeForTheirCost') }}
        <RouterLink to="/shop/lists">{{ t('work.addOneInShop') }}</RouterLink>
      </p>
      <div class="sum">
        <span
          ><b class="figure">{{ desk.hours(estimate.seconds) }}</b> {{ t('work.estimated') }}</span
        >
        <span v-if="unread > 0" class="attention">{{
          t('work.withoutTheHoursOfThatCannot', { n: unread })
        }}</span>
        <span
          ><b class="figure">{{ desk.money(formatCents(estimate.cost)) }}</b>
          {{ t('work.laborAtStandardRatesBurdenIncluded') }}</span
        >
        <span v-if="estimate.margin !== null" :class="{ attention: estimate.margin < 0 }"
          ><b class="figure">{{ desk.money(formatCents(estimate.margin)) }}</b>
          {{
            t('work.ofThePrice', { which: estimate.margin < 0 ? t('work.shortOfIt') : t('work.leftOverIt') })
          }}</span
        >
      </div>
      <p v-if="headProblem" class="attention" role="alert">{{ headProblem }}</p>
      <div class="acts">
        <BButton type="submit" variant="primary" :disabled="form.isBusy.value || conflicts.length > 0">{{
          form.isBusy.value ? t('work.saving') : id === null ? t('work.saveAsDraft') : t('common.save')
        }}</BButton>
        <RouterLink
          :to="id === null ? { name: 'work' } : { name: 'order', params: { order: id } }"
          class="btn btn-quiet"
          >{{ t('common.back') }}</RouterLink
        >
        <span class="quiet" role="status">{{ form.isDirty.value ? t('common.notSavedYet') : '' }}</span>
      </div>
    </form>
  </main>
</template>

<style scoped lang="scss">
.order-form {
  padding: 16px 20px 40px;
  overflow: auto;
}
h1 {
  margin-bottom: 12px;
  font-size: var(--text-3xl);
  font-weight: 700;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px 14px;
  align-items: start;
}
.wide {
  grid-column: span 2;
}
.includes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  margin: 14px 0;
  legend {
    float: left;
    width: auto;
    margin: 0 8px 0 0;
    font-size: var(--text-m);
    font-weight: 700;
  }
}
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  align-items: baseline;
  padding: 12px 0;
  border-top: 1px solid var(--ink);
  b {
    font-size: var(--text-2xl);
  }
}
.acts {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
