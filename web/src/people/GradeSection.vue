<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { t } from '../words/index.ts';
import type { ResponseOf } from '@wergon/contract/routes';
import type { Column } from '../kit/index.ts';
import { DataTable } from '../kit/parts/index.ts';

const desk = useDesk();
const { data } = useQuery({ queryKey: ['preparation'], queryFn: () => callRoute('preparation') });
const { act, problem, isBusy } = useAct();
const fresh = reactive({ name: '', standardRate: '' });
const edited = ref<{ id: string; name: string; standardRate: string } | null>(null);
const point = (text: string) => text.trim().replace(',', '.');

async function add(): Promise<void> {
  const body = { name: fresh.name, standardRate: point(fresh.standardRate) };
  if (await act(() => callRoute('addGrade', { body }))) Object.assign(fresh, { name: '', standardRate: '' });
}
async function save(): Promise<void> {
  const grade = edited.value;
  if (!grade) return;
  const body = { name: grade.name, standardRate: point(grade.standardRate) };
  const done = await act(() => callRoute('saveGrade', { params: { grade: grade.id }, body }));
  if (done !== undefined) edited.value = null;
}
const columns: readonly Column<ResponseOf<'preparation'>['grades'][number]>[] = [
  { id: 'name', title: t('common.grade') },
  { id: 'rate', title: t('people.standardRateAnHour'), class: 'number figure' },
  { id: 'acts', class: 'acts-cell' },
];
</script>

<template>
  <section>
    <h2>{{ t('people.grades') }}</h2>
    <p class="lead-words">
      {{ t('people.aGradeIsASkillWithAStandard') }}
    </p>
    <DataTable
      v-if="data && data.grades.length > 0"
      class="narrow"
      :rows="data.grades"
      :columns="columns"
      :row-key="(grade) => grade.id"
    >
      <template #name="{ row: grade }">
        <BFormInput
          v-if="edited?.id === grade.id"
          v-model="edited.name"
          size="sm"
          :aria-label="t('people.nameOfTheGrade')"
        />
        <template v-else>{{ grade.name }}</template>
      </template>
      <template #rate="{ row: grade }">
        <BFormInput
          v-if="edited?.id === grade.id"
          v-model="edited.standardRate"
          size="sm"
          class="figure"
          inputmode="decimal"
          :aria-label="t('people.standardRateAnHour')"
        />
        <template v-else>{{ grade.standardRate }}</template>
      </template>
      <template #acts="{ row: grade }">
        <BButton v-if="edited?.id === grade.id" variant="quiet" size="sm" :disabled="isBusy" @click="save">
          {{ t('common.save') }}
        </BButton>
        <BButton v-else-if="desk.may('shop.change')" variant="quiet" size="sm" @click="edited = { ...grade }">
          {{ t('common.change') }}
        </BButton>
      </template>
    </DataTable>
    <p v-else class="attention">{{ t('people.noGradeYetTasksNeedOneForTheir') }}</p>
    <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
      <BFormInput
        v-model="fresh.name"
        :placeholder="t('common.grade')"
        :aria-label="t('common.grade')"
        required
      />
      <BFormInput
        v-model="fresh.standardRate"
        class="figure"
        inputmode="decimal"
        :placeholder="t('people.ratePerHour')"
        :aria-label="t('people.standardRatePerHour')"
        required
      />
      <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('people.addGrade') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.narrow {
  max-width: 640px;
}
</style>
