<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { CheckField } from '../kit/parts/index.ts';

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
    <h2>Indirect activities</h2>
    <p class="lead-words">
      Work that belongs to no order. What counts is part of attended time; what is paid is for payroll.
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">Activity</th>
          <th scope="col">Division</th>
          <th scope="col">Attended time</th>
          <th scope="col">Paid</th>
          <th scope="col">Takes, outside estimates</th>
          <th scope="col">Code</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in activities" :key="each.id" :class="{ off: each.isOff }">
          <template v-if="edited?.id === each.id">
            <td><BFormInput v-model="edited.title" size="sm" aria-label="Name" /></td>
            <td>
              <BFormSelect v-model="edited.division" size="sm" aria-label="Division">
                <option value="">all</option>
                <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
              </BFormSelect>
            </td>
            <td>
              <CheckField v-model="edited.counts" class="check">counts</CheckField>
            </td>
            <td>
              <CheckField v-model="edited.isPaid" class="check">paid</CheckField>
            </td>
            <td>
              <BFormSelect v-model="edited.takesWork" size="sm" aria-label="Kind of work it takes">
                <option :value="null">nothing</option>
                <option v-for="type in WORK_TYPES" :key="type" :value="type">{{ type }}</option>
              </BFormSelect>
            </td>
            <td class="mono">{{ each.code }}</td>
            <td class="acts-cell">
              <BButton variant="quiet" size="sm" :disabled="isBusy" @click="save(edited)"> Save </BButton>
            </td>
          </template>
          <template v-else>
            <td>{{ each.title }}<template v-if="each.isOff">, off</template></td>
            <td>{{ each.division || 'all' }}</td>
            <td>{{ each.counts ? 'counts' : 'does not count' }}</td>
            <td>{{ each.isPaid ? 'paid' : 'not paid' }}</td>
            <td>{{ each.takesWork ?? '' }}</td>
            <td class="mono">{{ each.code }}</td>
            <td class="acts-cell">
              <template v-if="desk.may('shop.change')">
                <BButton variant="quiet" size="sm" @click="edited = { ...each }"> Change </BButton>
                <BButton variant="quiet" size="sm" @click="save({ ...each, isOff: !each.isOff })">
                  {{ each.isOff ? 'Switch on' : 'Switch off' }}
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
        placeholder="New indirect activity"
        aria-label="New indirect activity"
        required
      />
      <BFormSelect v-model="fresh.division" aria-label="Division of the new activity">
        <option value="">all divisions</option>
        <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
      </BFormSelect>
      <CheckField v-model="fresh.counts" class="check">counts as attended time</CheckField>
      <CheckField v-model="fresh.isPaid" class="check">paid</CheckField>
      <BButton type="submit" variant="primary" :disabled="isBusy">Add activity</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
