<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute, useDesk, useAct } from '../kit/index.ts';

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
              <select v-model="edited.division" class="form-select form-select-sm" aria-label="Division">
                <option value="">all</option>
                <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
              </select>
            </td>
            <td>
              <label class="check"><input v-model="edited.counts" type="checkbox" /> counts</label>
            </td>
            <td>
              <label class="check"><input v-model="edited.isPaid" type="checkbox" /> paid</label>
            </td>
            <td>
              <select
                v-model="edited.takesWork"
                class="form-select form-select-sm"
                aria-label="Kind of work it takes"
              >
                <option :value="null">nothing</option>
                <option v-for="type in WORK_TYPES" :key="type" :value="type">{{ type }}</option>
              </select>
            </td>
            <td class="mono">{{ each.code }}</td>
            <td class="acts-cell">
              <button type="button" class="btn btn-quiet btn-sm" :disabled="isBusy" @click="save(edited)">
                Save
              </button>
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
                <button type="button" class="btn btn-quiet btn-sm" @click="edited = { ...each }">
                  Change
                </button>
                <button
                  type="button"
                  class="btn btn-quiet btn-sm"
                  @click="save({ ...each, isOff: !each.isOff })"
                >
                  {{ each.isOff ? 'Switch on' : 'Switch off' }}
                </button>
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
      <select v-model="fresh.division" class="form-select" aria-label="Division of the new activity">
        <option value="">all divisions</option>
        <option v-for="{ name } in divisions" :key="name" :value="name">{{ name }}</option>
      </select>
      <label class="check"><input v-model="fresh.counts" type="checkbox" /> counts as attended time</label>
      <label class="check"><input v-model="fresh.isPaid" type="checkbox" /> paid</label>
      <BButton type="submit" variant="primary" :disabled="isBusy">Add activity</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
