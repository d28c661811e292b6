<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { ChargeFields } from '../shop/index.ts';
import { DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

type Customer = ShopJson['customers'][number];
defineProps<{ customers: readonly Customer[] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const edited = ref<Customer | null>(null);

async function save(customer: Customer): Promise<void> {
  const { id, ...body } = customer;
  const done = await act(() =>
    id === ''
      ? callRoute('addCustomer', { body })
      : callRoute('saveCustomer', { params: { customer: id }, body }).then(() => ({ id })),
  );
  if (done) edited.value = null;
}
const sayCharge = ({ charge }: Customer) =>
  charge === null
    ? ''
    : !charge.isBillable
      ? t('common.notBillable')
      : `${desk.money(charge.amount)} ${charge.per === 'hour' ? t('common.anHour') : t('shop.flat')}`;
const columns = computed((): readonly Column<Customer>[] => [
  { id: 'customer', title: t('common.customer') },
  { id: 'note', title: t('catalog.note'), value: (each) => each.note },
  { id: 'charged', title: t('common.charged'), class: 'figure', value: (each) => sayCharge(each) },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <section>
    <h2>{{ t('catalog.customers') }}</h2>
    <form v-if="edited" @submit.prevent="save(edited)">
      <div class="inline">
        <label>{{ t('common.name') }} <BFormInput v-model="edited.name" required /></label>
        <label>{{ t('catalog.note') }} <BFormInput v-model="edited.note" /></label>
        <ChargeFields v-model="edited.charge" />
        <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('catalog.saveCustomer') }}</BButton>
        <BButton variant="quiet" @click="edited = null">{{ t('common.leaveItAsItIs') }}</BButton>
      </div>
    </form>
    <BButton
      v-else-if="desk.may('shop.change')"
      variant="quiet"
      @click="edited = { id: '', name: '', note: '', charge: null, isOff: false }"
    >
      {{ t('catalog.addCustomer') }}
    </BButton>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    <DataTable
      v-if="customers.length > 0"
      :rows="customers"
      :columns="columns"
      :row-key="(each) => each.id"
      :row-class="(each) => ({ off: each.isOff })"
      is-sortable
      ><template #customer="{ row: each }"
        >{{ each.name }}<template v-if="each.isOff">, {{ t('catalog.off') }}</template></template
      >
      <template #acts="{ row: each }"
        ><template v-if="desk.may('shop.change')">
          <BButton variant="quiet" size="sm" @click="edited = { ...each }">{{ t('common.change') }}</BButton>
          <BButton variant="quiet" size="sm" @click="save({ ...each, isOff: !each.isOff })">
            {{ each.isOff ? t('catalog.switchOn') : t('catalog.switchOff') }}
          </BButton>
        </template></template
      ></DataTable
    >
    <p v-else class="quiet">{{ t('catalog.noCustomerYetNamingOneInAnOrder') }}</p>
  </section>
</template>
