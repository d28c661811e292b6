<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { FormField, QueryState, ShopLayout, DataTable } from '../kit/parts/index.ts';
import CustomerSection from './CustomerSection.vue';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

type Unit = ShopJson['units'][number];
const desk = useDesk();
const query = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
const { act, problem, isBusy } = useAct();
const EMPTY: Unit = {
  id: '',
  type: '',
  maker: '',
  serialNumber: '',
  nameplate: '',
  owner: '',
  orderCount: 0,
};
const edited = ref<Unit | null>(null);
const search = ref('');

const units = computed(() => {
  const words = search.value.trim().toLowerCase();
  return (query.data.value?.units ?? []).filter((unit) =>
    Object.values(unit).join(' ').toLowerCase().includes(words),
  );
});
const FIELDS = [
  { field: 'type', label: t('catalog.type') },
  { field: 'maker', label: t('catalog.maker') },
  { field: 'serialNumber', label: t('catalog.serialNumber') },
  { field: 'owner', label: t('catalog.owner') },
  { field: 'nameplate', label: t('catalog.nameplate') },
] as const;

async function save(): Promise<void> {
  const unit = edited.value;
  if (!unit) return;
  const { id, orderCount: _count, ...body } = unit;
  const done = await act((once) =>
    id === ''
      ? callRoute('addUnit', { body: { ...body, once } })
      : callRoute('saveUnit', { params: { unit: id }, body }).then(() => ({ id })),
  );
  if (done) edited.value = null;
}
const columns = computed((): readonly Column<Unit>[] => [
  { id: 'type', title: t('catalog.type') },
  { id: 'maker', title: t('catalog.maker'), value: (unit) => unit.maker },
  { id: 'serialNumber', title: t('catalog.serialNumber'), class: 'mono', value: (unit) => unit.serialNumber },
  { id: 'owner', title: t('catalog.owner'), value: (unit) => unit.owner },
  { id: 'nameplate', title: t('catalog.nameplate'), value: (unit) => unit.nameplate },
  { id: 'orders', title: t('common.orders'), class: 'number figure', value: (unit) => unit.orderCount || '' },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <ShopLayout :title="t('common.customersAndUnits')" :lead="t('catalog.aUnitIsACustomersMachineOnThe')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <h2>{{ t('catalog.units') }}</h2>
      <div class="inline">
        <BFormInput
          v-model="search"
          type="search"
          :aria-label="t('catalog.findAUnit')"
          :placeholder="t('catalog.findAUnit')"
        />
        <span v-if="search" class="quiet" role="status"
          >{{ t('common.ofShown', { n: units.length, n2: query.data.value.units.length }) }}
          <BButton variant="quiet" size="sm" @click="search = ''">{{ t('common.showAll') }}</BButton></span
        >
        <BButton v-if="desk.may('shop.change') && !edited" variant="primary" @click="edited = { ...EMPTY }">{{
          t('catalog.addUnit')
        }}</BButton>
      </div>
      <form v-if="edited" @submit.prevent="save">
        <div class="fields">
          <FormField
            v-for="{ field, label } in FIELDS"
            :key="field"
            v-slot="{ id }"
            :label="label"
            :class="{ wide: field === 'nameplate' }"
          >
            <BFormInput
              :id="id"
              v-model="edited[field]"
              :required="field === 'type'"
              v-bind="field === 'owner' ? { list: 'owners' } : {}"
            />
          </FormField>
          <datalist id="owners">
            <option v-for="{ id, name } in query.data.value.customers" :key="id" :value="name"></option>
          </datalist>
        </div>
        <div class="acts">
          <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('catalog.saveUnit') }}</BButton>
          <BButton variant="quiet" @click="edited = null">{{ t('common.leaveItAsItIs') }}</BButton>
        </div>
      </form>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
      <DataTable
        v-if="units.length > 0"
        :rows="units"
        :columns="columns"
        :row-key="(unit) => unit.id"
        is-sortable
        ><template #type="{ row: unit }"
          ><RouterLink v-if="desk.may('work.see')" :to="{ name: 'unit', params: { unit: unit.id } }">{{
            unit.type
          }}</RouterLink>
          <template v-else>{{ unit.type }}</template></template
        >
        <template #acts="{ row: unit }"
          ><BButton v-if="desk.may('shop.change')" variant="quiet" size="sm" @click="edited = { ...unit }">
            {{ t('common.change') }}
          </BButton></template
        ></DataTable
      >
      <p v-else class="quiet">
        {{ search ? t('catalog.noUnitMatches', { search }) : t('catalog.noUnitYet') }}
      </p>
      <CustomerSection :customers="query.data.value.customers" />
    </template>
  </ShopLayout>
</template>
