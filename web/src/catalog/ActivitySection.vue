<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { CheckField, DataTable } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import type { Column } from '../kit/index.ts';

type Activity = ShopJson['activities'][number];
defineProps<{ activities: readonly Activity[]; divisions: readonly { readonly name: string }[] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const EMPTY = { title: '', description: '', counts: true, isPaid: true, division: '', takesWork: null };
const fresh = reactive({ ...EMPTY });
const edited = ref<Activity | null>(null);

async function add(): Promise<void> {
  if (await act(() => callRoute('addActivity', { body: { ...fresh } }))) Object.assign(fresh, EMPTY);
}
async function save(activity: Activity): Promise<void> {
  const { id, code: _code, ...body } = activity;
  const done = await act(() => callRoute('saveActivity', { params: { activity: id }, body }));
  if (done !== undefined) edited.value = null;
}
const columns: readonly Column<Activity>[] = [
  { id: 'title', title: t('catalog.activity') },
  { id: 'division', title: t('common.division') },
  { id: 'counts', title: t('catalog.attendedTime') },
  { id: 'paid', title: t('catalog.paid') },
  { id: 'takes', title: t('catalog.takesOutsideEstimates') },
  { id: 'code', title: t('common.code'), class: 'mono', value: ({ code }) => code },
  { id: 'acts', class: 'acts-cell' },
];
</script>

<template>
  <section>
    <h2>{{ t('common.indirectActivities') }}</h2>
    <p class="lead-words">
      {{ t('catalog.workThatBelongsToNoOrderWhat') }}
    </p>
    <DataTable
      :rows="activities"
      :columns="columns"
      :row-key="(each) => each.id"
      :row-class="(each) => ({ off: each.isOff })"
    >
      <template #title="{ row: each }">
        <BFormInput
          v-if="edited?.id === each.id"
          v-model="edited.title"
          size="sm"
          :aria-label="t('common.name')"
        />
        <BFormInput
          v-if="edited?.id === each.id"
          v-model="edited.description"
          size="sm"
          maxlength="200"
          :aria-label="t('catalog.whatItIsFor')"
          :placeholder="t('catalog.whatItIsFor')"
        />
        <template v-else
          >{{ each.title }}<template v-if="each.isOff">, {{ t('catalog.off') }}</template
          ><span v-if="each.description" class="quiet description">{{ each.description }}</span></template
        >
      </template>
      <template #division="{ row: each }">
        <BFormSelect
          v-if="edited?.id === each.id"
          v-model="edited.division"
          size="sm"
          :aria-label="t('common.division')"
        >
          <option value="">{{ t('common.all') }}</option>
          <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
        </BFormSelect>
        <template v-else>{{ each.division || t('common.all') }}</template>
      </template>
      <template #counts="{ row: each }">
        <CheckField v-if="edited?.id === each.id" v-model="edited.counts" class="check">{{
          t('catalog.counts')
        }}</CheckField>
        <template v-else>{{ each.counts ? t('catalog.counts') : t('catalog.doesNotCount') }}</template>
      </template>
      <template #paid="{ row: each }">
        <CheckField v-if="edited?.id === each.id" v-model="edited.isPaid" class="check">{{
          t('common.paid')
        }}</CheckField>
        <template v-else>{{ each.isPaid ? t('common.paid') : t('common.notPaid') }}</template>
      </template>
      <template #takes="{ row: each }">
        <BFormSelect
          v-if="edited?.id === each.id"
          v-model="edited.takesWork"
          size="sm"
          :aria-label="t('catalog.kindOfWorkItTakes')"
        >
          <option :value="null">{{ t('common.nothing') }}</option>
          <option v-for="type in WORK_TYPES" :key="type" :value="type">{{ t(`workTypes.${type}`) }}</option>
        </BFormSelect>
        <template v-else>{{ each.takesWork ? t(`workTypes.${each.takesWork}`) : '' }}</template>
      </template>
      <template #acts="{ row: each }">
        <BButton
          v-if="edited?.id === each.id"
          variant="quiet"
          size="sm"
          :disabled="isBusy"
          @click="save(edited)"
        >
          {{ t('common.save') }}
        </BButton>
        <template v-else-if="desk.may('shop.change')">
          <BButton variant="quiet" size="sm" @click="edited = { ...each }">{{ t('common.change') }}</BButton>
          <BButton variant="quiet" size="sm" @click="save({ ...each, isOff: !each.isOff })">
            {{ each.isOff ? t('catalog.switchOn') : t('catalog.switchOff') }}
          </BButton>
        </template>
      </template>
    </DataTable>
    <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
      <BFormInput
        v-model="fresh.title"
        :placeholder="t('catalog.newIndirectActivity')"
        :aria-label="t('catalog.newIndirectActivity')"
        required
      />
      <BFormInput
        v-model="fresh.description"
        maxlength="200"
        :placeholder="t('catalog.whatItIsFor')"
        :aria-label="t('catalog.whatTheNewActivityIsFor')"
      />
      <BFormSelect v-model="fresh.division" :aria-label="t('catalog.divisionOfTheNewActivity')">
        <option value="">{{ t('common.allDivisions') }}</option>
        <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
      </BFormSelect>
      <CheckField v-model="fresh.counts" class="check">{{ t('catalog.countsAsAttendedTime') }}</CheckField>
      <CheckField v-model="fresh.isPaid" class="check">{{ t('common.paid') }}</CheckField>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('catalog.addActivity') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.description {
  display: block;
  font-size: var(--text-xs);
}
</style>
