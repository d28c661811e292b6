<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import type { ShopJson } from '@wergon/contract/shop';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { CheckField } from '../kit/parts/index.ts';

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
</script>

<template>
  <section>
    <h2>Work centers and machines</h2>
    <table v-if="centers.length > 0">
      <thead>
        <tr>
          <th scope="col">Work center</th>
          <th scope="col">Code</th>
          <th scope="col">Machines there</th>
          <th scope="col">At a start</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in centers" :key="each.id" :class="{ off: each.isOff }">
          <td>
            <BFormInput
              v-if="edited?.id === each.id"
              v-model="edited.name"
              size="sm"
              :aria-label="`New name of ${each.name}`"
            />
            <template v-else>{{ each.name }}<template v-if="each.isOff">, off</template></template>
          </td>
          <td class="mono">{{ each.code }}</td>
          <td>
            {{
              machinesAt(each.name)
                .map(({ name }) => name)
                .join(', ')
            }}
          </td>
          <td>
            <CheckField v-if="edited?.id === each.id" v-model="edited.asksMachine" class="check"
              >ask for the machine
            </CheckField>
            <template v-else-if="each.asksMachine">asks for the machine</template>
          </td>
          <td class="acts-cell">
            <template v-if="desk.may('shop.change')">
              <BButton
                v-if="edited?.id === each.id"
                variant="quiet"
                size="sm"
                :disabled="isBusy"
                @click="save(edited)"
              >
                Save
              </BButton>
              <BButton v-else variant="quiet" size="sm" @click="edited = { ...each }"> Change </BButton>
              <BButton variant="quiet" size="sm" @click="save({ ...each, isOff: !each.isOff })">
                {{ each.isOff ? 'Switch on' : 'Switch off' }}
              </BButton>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="quiet">None yet. Naming one in a task adds it here.</p>
    <form v-if="desk.may('shop.change')" class="inline" @submit.prevent="add">
      <BFormSelect v-model="fresh.kind" aria-label="Work center or machine">
        <option value="work-center">work center</option>
        <option value="machine">machine</option>
      </BFormSelect>
      <BFormInput
        v-model="fresh.name"
        placeholder="Name"
        aria-label="Name of the work center or machine"
        required
      />
      <BFormSelect
        v-if="fresh.kind === 'machine'"
        v-model="fresh.workCenter"
        aria-label="Where the machine stands"
        required
      >
        <option v-for="{ id, name } in centers" :key="id" :value="name">{{ name }}</option>
      </BFormSelect>
      <BButton type="submit" variant="primary" :disabled="isBusy">Add</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>
