<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { CheckField, DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

type Resource = ShopJson['resources'][number];
const props = defineProps<{ resources: readonly Resource[] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const fresh = reactive<{ kind: Resource['kind']; name: string; workCenter: string }>({
  kind: 'work-center',
  name: '',
  workCenter: '',
});
const edited = ref<Resource | null>(null);
const centers = computed(() => props.resources.filter(({ kind }) => kind === 'work-center'));
const machinesAt = (name: string) =>
  props.resources.filter(({ kind, workCenter }) => kind === 'machine' && workCenter === name);

async function add(): Promise<void> {
  const body = { ...fresh, workCenter: fresh.kind === 'machine' ? fresh.workCenter : '' };
  if (await act(() => callRoute('addResource', { body }))) fresh.name = '';
}
async function save(resource: Resource): Promise<void> {
  const { id, code: _code, ...body } = resource;
  const done = await act(() => callRoute('saveResource', { params: { resource: id }, body }));
  if (done !== undefined) edited.value = null;
}
const columns = computed((): readonly Column<Resource>[] => [
  { id: 'workCenter', title: t('common.workCenter') },
  { id: 'code', title: t('common.code'), class: 'mono', value: (each) => each.code },
  {
    id: 'machinesThere',
    title: t('catalog.machinesThere'),
    value: (each) =>
      machinesAt(each.name)
        .map(({ name }) => name)
        .join(', '),
  },
  { id: 'atAStart', title: t('catalog.atAStart') },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <section>
    <h2>{{ t('common.workCentersAndMachines') }}</h2>
    <DataTable
      v-if="centers.length > 0"
      :rows="centers"
      :columns="columns"
      :row-key="(each) => each.id"
      :row-class="(each) => ({ off: each.isOff })"
      ><template #workCenter="{ row: each }"
        ><BFormInput
          v-if="edited?.id === each.id"
          v-model="edited.name"
          size="sm"
          :aria-label="t('catalog.newNameOf', { name: each.name })"
        />
        <template v-else
          >{{ each.name }}<template v-if="each.isOff">, {{ t('catalog.off') }}</template></template
        ></template
      >
      <template #atAStart="{ row: each }"
        ><CheckField v-if="edited?.id === each.id" v-model="edited.asksMachine" class="check"
          >{{ t('catalog.askForTheMachine') }}
        </CheckField>
        <template v-else-if="each.asksMachine">{{ t('catalog.asksForTheMachine') }}</template></template
      >
      <template #acts="{ row: each }"
        ><template v-if="desk.may('shop.change')">
          <BButton
            v-if="edited?.id === each.id"
            variant="quiet"
            size="sm"
            :disabled="isBusy"
            @click="save(edited)"
          >
            {{ t('common.save') }}
          </BButton>
          <BButton v-else variant="quiet" size="sm" @click="edited = { ...each }">
            {{ t('common.change') }}
          </BButton>
          <BButton variant="quiet" size="sm" @click="save({ ...each, isOff: !each.isOff })">
            {{ each.isOff ? t('catalog.switchOn') : t('catalog.switchOff') }}
          </BButton>
        </template></template
      ></DataTable
    >
    <p v-else class="quiet">{{ t('catalog.noneYetNamingOneInATaskAdds') }}</p>
    <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
      <BFormSelect v-model="fresh.kind" :aria-label="t('catalog.workCenterOrMachine')">
        <option value="work-center">{{ t('catalog.workCenter') }}</option>
        <option value="machine">{{ t('catalog.machine') }}</option>
      </BFormSelect>
      <BFormInput
        v-model="fresh.name"
        :placeholder="t('common.name')"
        :aria-label="t('catalog.nameOfTheWorkCenterOrMachine')"
        required
      />
      <BFormSelect
        v-if="fresh.kind === 'machine'"
        v-model="fresh.workCenter"
        :aria-label="t('catalog.whereTheMachineStands')"
        required
      >
        <option v-for="{ id, name } in centers" :key="id" :value="name">{{ name }}</option>
      </BFormSelect>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('catalog.add') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
