<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { ref } from 'vue';
import { callRoute } from '../desk/callRoute.ts';
import { useDesk } from '../desk/useDesk.ts';
import { useAct } from './useAct.ts';

const desk = useDesk();
const { data } = useQuery({ queryKey: ['stations'], queryFn: () => callRoute('stations') });
const { act, problem, isBusy } = useAct();
const name = ref('');
const pairing = ref<{ readonly id: string; readonly code: string } | null>(null);

async function add(): Promise<void> {
  const made = await act(() => callRoute('addStation', { body: { name: name.value } }));
  if (!made) return;
  pairing.value = made;
  name.value = '';
}
async function pairAgain(station: string): Promise<void> {
  pairing.value = (await act(() => callRoute('pairAgain', { params: { station } }))) ?? null;
}
async function revoke(station: string): Promise<void> {
  await act(() => callRoute('revokeStation', { params: { station } }));
}
</script>

<template>
  <section>
    <h2>Stations</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col">Device</th>
          <th scope="col">Pairing</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="station in data?.stations ?? []" :key="station.id">
          <td>{{ station.name }}</td>
          <td>{{ station.isRevoked ? 'revoked' : station.pairedAt ? 'paired' : 'none yet' }}</td>
          <td>
            <template v-if="pairing?.id === station.id">
              code <b class="mono code">{{ pairing.code }}</b> for ten minutes: open
              <span class="mono">/station</span> on the device and type it
            </template>
            <template v-else-if="desk.may('shop.change')">
              <button type="button" class="btn btn-quiet btn-sm" @click="pairAgain(station.id)">
                Pair a device
              </button>
              <button
                v-if="station.pairedAt && !station.isRevoked"
                type="button"
                class="btn btn-quiet btn-sm"
                @click="revoke(station.id)"
              >
                Revoke
              </button>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="data?.stations.length === 0" class="quiet">No station yet. Add the first one.</p>
    <form v-if="desk.may('shop.change')" class="add" @submit.prevent="add">
      <BFormInput
        v-model="name"
        placeholder="Name of a new station"
        aria-label="Name of a new station"
        required
      />
      <BButton type="submit" variant="primary" :disabled="isBusy">Add station</BButton>
    </form>
    <p class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.code {
  font-size: 20px;
}
</style>
