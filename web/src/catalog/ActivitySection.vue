<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { CheckField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

type Activity = ShopJson['activities'][number];
defineProps<{ activities: readonly Activity[]; divisions: readonly { readonly name: string }[] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const EMPTY = { title: '', counts: true, isPaid: true, division: '', takesWork: null };
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
</script>

<template>
  <section>
    <h2>{{ t('common.indirectActivities') }}</h2>
    <p class="lead-words">
      {{ t('catalog.workThatBelongsToNoOrderWhat') }}
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('catalog.activity') }}</th>
          <th scope="col">{{ t('common.division') }}</th>
          <th scope="col">{{ t('catalog.attendedTime') }}</th>
          <th scope="col">{{ t('catalog.paid') }}</th>
          <th scope="col">{{ t('catalog.takesOutsideEstimates') }}</th>
          <th scope="col">{{ t('common.code') }}</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in activities" :key="each.id" :class="{ off: each.isOff }">
          <template v-if="edited?.id === each.id">
            <td><BFormInput v-model="edited.title" size="sm" :aria-label="t('common.name')" /></td>
            <td>
              <BFormSelect v-model="edited.division" size="sm" :aria-label="t('common.division')">
                <option value="">{{ t('common.all') }}</option>
                <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
              </BFormSelect>
            </td>
            <td>
              <CheckField v-model="edited.counts" class="check">{{ t('catalog.counts') }}</CheckField>
            </td>
            <td>
              <CheckField v-model="edited.isPaid" class="check">{{ t('common.paid') }}</CheckField>
            </td>
            <td>
              <BFormSelect v-model="edited.takesWork" size="sm" :aria-label="t('catalog.kindOfWorkItTakes')">
                <option :value="null">{{ t('common.nothing') }}</option>
                <option v-for="type in WORK_TYPES" :key="type" :value="type">
                  {{ t(`workTypes.${type}`) }}
                </option>
              </BFormSelect>
            </td>
            <td class="mono">{{ each.code }}</td>
            <td class="acts-cell">
              <BButton variant="quiet" size="sm" :disabled="isBusy" @click="save(edited)">
                {{ t('common.save') }}
              </BButton>
            </td>
          </template>
          <template v-else>
            <td>
              {{ each.title }}<template v-if="each.isOff">, {{ t('catalog.off') }}</template>
            </td>
            <td>{{ each.division || t('common.all') }}</td>
            <td>{{ each.counts ? t('catalog.counts') : t('catalog.doesNotCount') }}</td>
            <td>{{ each.isPaid ? t('common.paid') : t('common.notPaid') }}</td>
            <td>{{ each.takesWork ?? '' }}</td>
            <td class="mono">{{ each.code }}</td>
            <td class="acts-cell">
              <template v-if="desk.may('shop.change')">
                <BButton variant="quiet" size="sm" @click="edited = { ...each }">
                  {{ t('common.change') }}
                </BButton>
                <BButton variant="quiet" size="sm" @click="save({ ...each, isOff: !each.isOff })">
                  {{ each.isOff ? t('catalog.switchOn') : t('catalog.switchOff') }}
                </BButton>
              </template>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
    <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
      <BFormInput
        v-model="fresh.title"
        :placeholder="t('catalog.newIndirectActivity')"
        :aria-label="t('catalog.newIndirectActivity')"
        required
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
