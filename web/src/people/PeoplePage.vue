<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { callRoute, sayDate, useDesk, useForm, yearOf } from '../kit/index.ts';
import { CheckField, FormField, QueryState, ShopLayout, DataTable } from '../kit/parts/index.ts';
import { nextNumber } from './nextNumber.ts';
import type { TechnicianRow } from '@wergon/contract/people';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const router = useRouter();
const query = useQuery({ queryKey: ['people'], queryFn: () => callRoute('people') });
const search = ref('');
const showsLeft = ref(false);
const EMPTY = { number: '', name: '', department: '' };
const form = useForm(EMPTY, 'addTechnician', (fields) => fields);

const people = computed(() => query.data.value?.technicians ?? []);
/** The next number that is free, to be written over. */
watch(
  () => nextNumber(people.value),
  (number) => {
    if (query.data.value && !form.isDirty.value) form.reset({ ...EMPTY, number });
  },
);
const grades = computed(() => new Map(query.data.value?.grades.map(({ id, name }) => [id, name])));
const departments = computed(() =>
  [...new Set(people.value.map(({ department }) => department))].filter(Boolean),
);
const shown = computed(() => {
  const words = search.value.trim().toLowerCase();
  return people.value
    .filter(({ leftOn }) => showsLeft.value || leftOn === null)
    .filter(({ number, name, department, crew }) =>
      `${number} ${name} ${department} ${crew}`.toLowerCase().includes(words),
    )
    .sort((a, b) => (a.name < b.name ? -1 : 1));
});
const hidden = computed(() => people.value.length - shown.value.length);

async function add(): Promise<void> {
  const made = await form.send((fields) => callRoute('addTechnician', { body: fields }));
  if (!made) return;
  form.reset({ ...EMPTY, number: nextNumber(people.value) });
  await router.push({ name: 'person', params: { technician: made.answer.id } });
}
const columns = computed((): readonly Column<TechnicianRow>[] => [
  { id: 'number', title: t('common.number'), class: 'mono', value: (each) => each.number },
  { id: 'name', title: t('common.name'), sortBy: (each) => each.name },
  { id: 'department', title: t('people.department'), value: (each) => each.department },
  { id: 'crew', title: t('people.crew'), value: (each) => each.crew },
  {
    id: 'grade',
    title: t('common.grade'),
    value: (each) => (each.grade === null ? '' : grades.value.get(each.grade)),
  },
  { id: 'badges', title: t('common.badges'), sortBy: (each) => each.badges.length },
  {
    id: 'costRate',
    title: t('people.costRate'),
    cellClass: (each) => ({ attention: !each.hasRate }),
    value: (each) => (each.hasRate ? t('people.set') : t('people.noneToday')),
  },
  {
    id: 'worksHere',
    class: 'text-nowrap',
    sortBy: (each) => each.leftOn ?? each.hiredOn,
    title: t('people.worksHere'),
    value: (each) =>
      each.leftOn
        ? t('common.until', { day: sayDate(each.leftOn) })
        : each.hiredOn
          ? t('people.since', { year: yearOf(each.hiredOn) })
          : t('common.yes'),
  },
]);
</script>

<template>
  <ShopLayout :title="t('common.people')" :lead="t('people.everybodyWhoseTimeIsRecorded')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <form v-if="desk.may('people.change')" class="inline" novalidate @submit.prevent="add">
        <FormField v-slot="{ id, described }" :label="t('common.number')" field="number">
          <BFormInput :id="id" v-model="form.fields.value.number" :aria-describedby="described" required />
        </FormField>
        <FormField v-slot="{ id, described }" :label="t('common.name')" field="name">
          <BFormInput :id="id" v-model="form.fields.value.name" :aria-describedby="described" required />
        </FormField>
        <FormField v-slot="{ id }" :label="t('people.department')">
          <BFormInput :id="id" v-model="form.fields.value.department" list="departments" />
        </FormField>
        <datalist id="departments">
          <option v-for="each in departments" :key="each" :value="each"></option>
        </datalist>
        <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
          t('people.addPerson')
        }}</BButton>
      </form>
      <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
      <div class="inline">
        <BFormInput
          v-model="search"
          type="search"
          :aria-label="t('people.findAPerson')"
          :placeholder="t('people.findAPerson')"
        />
        <CheckField v-model="showsLeft" class="check">{{ t('people.includeFormerEmployees') }}</CheckField>
        <span v-if="hidden > 0" class="quiet" role="status"
          >{{ t('common.ofShown', { n: shown.length, n2: people.length }) }}
          <BButton variant="quiet" size="sm" @click="((search = ''), (showsLeft = true))">
            {{ t('common.showAll') }}
          </BButton></span
        >
      </div>
      <p v-if="people.length === 0">{{ t('people.nobodyYetEverybodyYouAddGets') }}</p>
      <DataTable
        v-else
        :rows="shown"
        :columns="columns"
        :row-key="(each) => each.id"
        :row-class="(each) => ({ off: each.leftOn })"
        is-sortable
        ><template #name="{ row: each }"
          ><RouterLink :to="{ name: 'person', params: { technician: each.id } }">{{ each.name }}</RouterLink>
          <span v-if="each.kind === 'subcontractor'" class="quiet">
            · {{ t('people.subcontractor') }}</span
          ></template
        >
        <template #badges="{ row: each }"
          ><span v-if="each.badges.some(({ revokedAt }) => revokedAt === null)" class="mono">{{
            each.badges.filter(({ revokedAt }) => revokedAt === null).length
          }}</span>
          <span v-else class="attention">{{ t('common.none') }}</span></template
        ></DataTable
      >
      <p v-if="people.length > 0 && shown.length === 0">{{ t('people.nobodyMatches', { search }) }}</p>
    </template>
  </ShopLayout>
</template>
