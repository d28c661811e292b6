<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { ref } from 'vue';
import type { Instant } from '@wergon/core/time';
import { callRoute, sayClock, sayDay, useDesk, useAct } from '../kit/index.ts';
import { PlainButton, QueryState, ShopLayout } from '../kit/parts/index.ts';
import NoticeSection from './NoticeSection.vue';
import StationForm from './StationForm.vue';

const desk = useDesk();
const query = useQuery({ queryKey: ['stations'], queryFn: () => callRoute('stations') });
const { act, problem, isBusy } = useAct();
const name = ref('');
const pairing = ref<{ readonly id: string; readonly code: string } | null>(null);
const opened = ref<string | null>(null);

async function add(): Promise<void> {
  const made = await act(() => callRoute('addStation', { body: { name: name.value } }));
  if (!made) return;
  pairing.value = made;
  name.value = '';
}
async function pairAgain(station: string): Promise<void> {
  pairing.value = (await act(() => callRoute('pairAgain', { params: { station } }))) ?? null;
}
const revoke = (station: string) => act(() => callRoute('revokeStation', { params: { station } }));
const say = (at: Instant | null): string => {
  const { zone } = desk;
  return at !== null && zone ? `${sayDay(zone.dayAt(at))} ${sayClock(zone, at)}` : 'never';
};
</script>

<template>
  <ShopLayout
    title="Stations"
    lead="A station is a browser on the shop floor, paired once. A device whose pairing is revoked can record nothing any more."
  >
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
        <BFormInput
          v-model="name"
          placeholder="Name of a new station"
          aria-label="Name of a new station"
          required
        />
        <BButton type="submit" variant="primary" :disabled="isBusy">Add station</BButton>
      </form>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      <p v-if="query.data.value.stations.length === 0" class="quiet">No station yet. Add the first one.</p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Kind</th>
            <th scope="col">Device</th>
            <th scope="col">Scanner calibrated</th>
            <th scope="col">Last scan</th>
            <th scope="col">Pairing</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="station in query.data.value.stations" :key="station.id">
            <tr>
              <td>
                {{ station.name }}
                <PlainButton
                  v-if="desk.may('shop.change')"
                  class="link"
                  :aria-expanded="opened === station.id"
                  @click="opened = opened === station.id ? null : station.id"
                >
                  settings
                </PlainButton>
              </td>
              <td>{{ station.settings.kind }}</td>
              <td>{{ station.isRevoked ? 'revoked' : station.pairedAt ? 'paired' : 'none yet' }}</td>
              <td>{{ say(station.calibratedAt) }}</td>
              <td :class="{ attention: !station.lastScanAt }">{{ say(station.lastScanAt) }}</td>
              <td>
                <template v-if="pairing?.id === station.id">
                  code <b class="mono code">{{ pairing.code }}</b> for ten minutes: open
                  <span class="mono">/station</span> on the device and type it
                </template>
                <template v-else-if="desk.may('shop.change')">
                  <BButton variant="quiet" size="sm" @click="pairAgain(station.id)"> Pair a device </BButton>
                  <BButton
                    v-if="station.pairedAt && !station.isRevoked"
                    variant="quiet"
                    size="sm"
                    @click="revoke(station.id)"
                  >
                    Revoke
                  </BButton>
                </template>
              </td>
            </tr>
            <tr v-if="opened === station.id">
              <td colspan="6"><StationForm :station="station" @close="opened = null" /></td>
            </tr>
          </template>
        </tbody>
      </table>
      <p class="quiet">
        A scanner that sends something odd is taught to its station in a second: print the
        <RouterLink to="/shop/labels?kind=calibration">calibration label</RouterLink> and scan it there.
      </p>
      <NoticeSection />
    </template>
  </ShopLayout>
</template>

<style scoped>
.code {
  font-size: 20px;
}
.link {
  padding: 0;
  background: none;
  border: 0;
  color: var(--action);
  font-size: 14px;
}
.btn + .btn {
  margin-left: 8px;
}
table + .quiet {
  margin-top: 8px;
}
</style>
