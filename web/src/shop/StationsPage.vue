<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { Instant } from '@wergon/core/time';
import { callRoute, sayClock, sayDay, useDesk, useAct } from '../kit/index.ts';
import { PlainButton, QueryState, ShopLayout, DataTable } from '../kit/parts/index.ts';
import NoticeSection from './NoticeSection.vue';
import StationForm from './StationForm.vue';
import type { ResponseOf } from '@wergon/contract/routes';
import type { Column } from '../kit/index.ts';
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
const columns = computed((): readonly Column<ResponseOf<'stations'>['stations'][number]>[] => [
  { id: 'name', title: t('common.name'), sortBy: (station) => station.name },
  {
    id: 'kind',
    title: t('common.kind'),
    value: (station) =>
      station.owner === null ? t(`stationKinds.${station.settings.kind}`) : t('shop.phoneOfOnesOwn'),
  },
  {
    id: 'device',
    title: t('shop.device'),
    value: (station) =>
      station.isRevoked ? t('common.revoked') : station.pairedAt ? t('shop.paired') : t('common.noneYet'),
  },
  {
    id: 'scannerCalibrated',
    sortBy: (station) => station.calibratedAt,
    title: t('shop.scannerCalibrated'),
    value: (station) => say(station.calibratedAt),
  },
  {
    id: 'lastScan',
    sortBy: (station) => station.lastScanAt,
    title: t('common.lastScan'),
    cellClass: (station) => ({ attention: !station.lastScanAt }),
    value: (station) => say(station.lastScanAt),
  },
  { id: 'pairing', title: t('shop.pairing') },
]);
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
      <DataTable
        v-else
        :rows="query.data.value.stations"
        :columns="columns"
        :row-key="(station) => station.id"
        :is-expanded="(station) => opened === station.id"
        is-sortable
        ><template #name="{ row: station }"
          >{{ station.name }}
          <PlainButton
            v-if="desk.may('shop.change')"
            class="link"
            :aria-expanded="opened === station.id"
            @click="opened = opened === station.id ? null : station.id"
          >
            {{ t('shop.settings') }}
          </PlainButton></template
        >
        <template #pairing="{ row: station }"
          ><template v-if="pairing?.id === station.id">
            {{ t('shop.code') }} <b class="mono code">{{ pairing.code }}</b> {{ t('shop.forTenMinutesOpen') }}
            <span class="mono">{{ t('shop.station') }}</span>
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
          </template></template
        ><template #expanded="{ row: station }"
          ><StationForm :station="station" @close="opened = null" /></template
      ></DataTable>
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
