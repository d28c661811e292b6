<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { ref } from 'vue';
import { callRoute } from '../desk/callRoute.ts';
import { useDesk } from '../desk/useDesk.ts';
import { useAct } from './useAct.ts';

const desk = useDesk();
const { data } = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
const { act, problem, isBusy } = useAct();
const title = ref('');
const counts = ref(true);

async function add(): Promise<void> {
  const made = await act(() =>
    callRoute('addActivity', { body: { title: title.value, counts: counts.value } }),
  );
  if (made) title.value = '';
}
</script>

<template>
  <section>
    <h2>Indirect activities and action codes</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">Label</th>
          <th scope="col">Code</th>
          <th scope="col">Time</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="activity in data?.activities ?? []" :key="activity.id">
          <td>{{ activity.title }}</td>
          <td class="mono">{{ activity.code }}</td>
          <td>{{ activity.counts ? 'attended' : 'not attended' }}</td>
        </tr>
        <tr v-for="{ action, code } in data?.actions ?? []" :key="action">
          <td>{{ action.replace('-', ' ').toUpperCase() }}</td>
          <td class="mono">{{ code }}</td>
          <td></td>
        </tr>
      </tbody>
    </table>
    <form v-if="desk.may('shop.change')" class="add" @submit.prevent="add">
      <BFormInput
        v-model="title"
        placeholder="New indirect activity"
        aria-label="New indirect activity"
        required
      />
      <label><input v-model="counts" type="checkbox" /> counts as attended time</label>
      <BButton type="submit" variant="primary" :disabled="isBusy">Add activity</BButton>
    </form>
    <p class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
