<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { REACHES, RIGHTS } from '@wergon/contract/access';
import type { Right } from '@wergon/contract/access';
import type { ResponseOf } from '@wergon/contract/routes';
import { callRoute, sayRole, useAct, useDesk, useForm } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { CheckField, DataTable, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** What each role may do. Those of the shop's own are copied from others and changed right by right, in the table. */
type Role = ResponseOf<'roles'>['roles'][number];
const props = defineProps<{ roles: readonly Role[]; mayChange: boolean }>();
const desk = useDesk();
const form = useForm(
  { name: '', rights: [] as Right[], reach: 'crew' as Role['reach'] },
  'addRole',
  (body) => body,
);
const { fields } = form;
/** The role whose column is being changed; empty for a copy that is yet to be kept. */
const edited = ref<string>();
const removal = useAct();

function change(role: Role): void {
  form.reset({ name: role.name ?? '', rights: [...role.rights], reach: role.reach });
  edited.value = role.id;
}
function copy(role: Role): void {
  const own = role.rights.filter((right) => desk.may(right));
  form.reset({ name: t('access.copyOf', { role: sayRole(role) }), rights: own, reach: role.reach });
  edited.value = '';
}
async function save(): Promise<void> {
  const id = edited.value;
  const done = await form.send((body) =>
    id ? callRoute('saveRole', { params: { role: id }, body }) : callRoute('addRole', { body }),
  );
  if (done) edited.value = undefined;
}
async function remove({ id: role }: Role): Promise<void> {
  const done = await removal.act(() => callRoute('removeRole', { params: { role } }));
  if (done !== undefined) edited.value = undefined;
}
const shown = computed(() =>
  edited.value === '' ? [...props.roles, { id: '', name: fields.value.name }] : props.roles,
);
const isEdited = ({ id }: { readonly id: string }) => edited.value === id;
const rows = RIGHTS.map((right) => ({ right }));
const columns = computed((): readonly Column<(typeof rows)[number]>[] => [
  { id: 'right', title: t('access.may'), isRowHead: true, value: ({ right }) => t(`rights.${right}`) },
  ...shown.value.map((role) => ({
    id: `role-${role.id}`,
    title: isEdited(role) ? fields.value.name : sayRole(role),
  })),
]);
const has = (id: string, right: Right) => props.roles.find((role) => role.id === id)?.rights.includes(right);
</script>

<template>
  <DataTable class="rights" :rows="rows" :columns="columns" :row-key="({ right }) => right">
    <template v-for="role in shown" :key="role.id" #[`role-${role.id}`]="{ row: { right } }">
      <CheckField
        v-if="isEdited(role)"
        v-model="fields.rights"
        :value="right"
        :disabled="!desk.may(right)"
        :aria-label="t('access.roleMay', { role: fields.name, right: t(`rights.${right}`) })"
      />
      <span v-else-if="has(role.id, right)" class="yes">{{ t('common.yes') }}</span>
      <span v-else class="no">{{ t('access.no') }}</span>
    </template>
    <template v-if="mayChange && edited === undefined" #foot>
      <tr>
        <th scope="row">{{ t('access.aRoleOfYourOwn') }}</th>
        <td v-for="role in roles" :key="role.id">
          <BButton
            variant="quiet"
            size="sm"
            :aria-label="t('access.copyRole', { role: sayRole(role) })"
            @click="copy(role)"
          >
            {{ t('access.copy') }}
          </BButton>
          <BButton
            v-if="role.name !== null"
            variant="quiet"
            size="sm"
            :aria-label="t('access.changeRole', { role: role.name })"
            @click="change(role)"
          >
            {{ t('common.change') }}
          </BButton>
        </td>
      </tr>
    </template>
  </DataTable>
  <form v-if="edited !== undefined" class="inline role" autocomplete="off" @submit.prevent="save">
    <FormField v-slot="{ id, described }" :label="t('access.nameOfTheRole')" field="name">
      <BFormInput :id="id" v-model="fields.name" :aria-describedby="described" />
    </FormField>
    <FormField v-slot="{ id, described }" :label="t('access.correctsAndApproves')" field="reach">
      <BFormSelect :id="id" v-model="fields.reach" :aria-describedby="described">
        <option v-for="reach in REACHES" :key="reach" :value="reach">{{ t(`reaches.${reach}`) }}</option>
      </BFormSelect>
    </FormField>
    <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
      t('access.saveRole')
    }}</BButton>
    <BButton variant="quiet" @click="edited = undefined">{{ t('common.leaveItAsItIs') }}</BButton>
    <BButton
      v-for="role in roles.filter(isEdited)"
      :key="role.id"
      variant="quiet"
      :disabled="removal.isBusy.value"
      @click="remove(role)"
      >{{ t('access.takeRoleOut') }}</BButton
    >
    <p class="quiet hint">{{ t('access.tickWhatItMayDo') }}</p>
    <p v-if="form.problem.value || removal.problem.value" class="attention" role="alert">
      {{ form.problem.value || removal.problem.value }}
    </p>
  </form>
</template>

<style scoped>
.rights :deep(th[scope='row']) {
  color: var(--ink);
  font-size: var(--text-m);
  white-space: normal;
}
.role {
  align-items: end;
}
.hint {
  width: 100%;
  margin: 0;
}
.yes {
  font-weight: 700;
}
.no {
  color: var(--ink-2);
}
</style>
