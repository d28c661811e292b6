<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { ref } from 'vue';
import type { Instant } from '@wergon/core/time';
import { callRoute, sayClock, sayDay, useDesk, useAct } from '../kit/index.ts';
import { PlainButton, QueryState, ShopLayout } from '../kit/parts/index.ts';
import NoticeSection from './NoticeSection.vue';
import StationForm from './StationForm.vue';
import { t } from '../words/index.ts';

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
  return at !== null && zone ? `${sayDay(zone.dayAt(at))} ${sayClock(zone, at)}` : t('common.never');
};
</script>

<template>
  <ShopLayout :title="t('common.stations')" :lead="t('shop.aStationIsABrowserOnTheShop')">
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
          :placeholder="t('shop.nameOfANewStation')"
          :aria-label="t('shop.nameOfANewStation')"
          required
        />
        <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('shop.addStation') }}</BButton>
      </form>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      <p v-if="query.data.value.stations.length === 0" class="quiet">
        {{ t('shop.noStationYetAddTheFirstOne') }}
      </p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">{{ t('common.name') }}</th>
            <th scope="col">{{ t('common.kind') }}</th>
            <th scope="col">{{ t('shop.device') }}</th>
            <th scope="col">{{ t('shop.scannerCalibrated') }}</th>
            <th scope="col">{{ t('common.lastScan') }}</th>
            <th scope="col">{{ t('shop.pairing') }}</th>
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
                  {{ t('shop.settings') }}
                </PlainButton>
              </td>
              <td>{{ t(`stationKinds.${station.settings.kind}`) }}</td>
              <td>
                {{
                  station.isRevoked
                    ? t('common.revoked')
                    : station.pairedAt
                      ? t('shop.paired')
                      : t('common.noneYet')
                }}
              </td>
              <td>{{ say(station.calibratedAt) }}</td>
              <td :class="{ attention: !station.lastScanAt }">{{ say(station.lastScanAt) }}</td>
              <td>
                <template v-if="pairing?.id === station.id">
                  {{ t('shop.code') }} <b class="mono code">{{ pairing.code }}</b>
                  {{ t('shop.forTenMinutesOpen') }} <span class="mono">{{ t('shop.station') }}</span>
                  {{ t('shop.onTheDeviceAndTypeIt') }}
                </template>
                <template v-else-if="desk.may('shop.change')">
                  <BButton variant="quiet" size="sm" @click="pairAgain(station.id)">
                    {{ t('shop.pairADevice') }}
                  </BButton>
                  <BButton
                    v-if="station.pairedAt && !station.isRevoked"
                    variant="quiet"
                    size="sm"
                    @click="revoke(station.id)"
                  >
                    {{ t('shop.revoke') }}
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
        {{ t('shop.aScannerThatSendsSomethingOdd') }}
        <RouterLink to="/shop/labels?kind=calibration">{{ t('common.calibrationLabel') }}</RouterLink>
        {{ t('shop.andScanItThere') }}
      </p>
      <NoticeSection />
    </template>
  </ShopLayout>
</template>

<style scoped>
.code {
  font-size: var(--text-2xl);
}
.link {
  padding: 0;
  background: none;
  border: 0;
  color: var(--action);
  font-size: var(--text-s);
}
.btn + .btn {
  margin-left: 8px;
}
table + .quiet {
  margin-top: 8px;
}
</style>
