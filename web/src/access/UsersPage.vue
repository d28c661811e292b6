<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { RIGHTS, RIGHTS_OF_ROLE, ROLES } from '@wergon/contract/access';
import type { Role } from '@wergon/contract/access';
import { callRoute, useDesk, usePeople, useAct } from '../kit/index.ts';
import { CheckField, ShopLayout, DataTable } from '../kit/parts/index.ts';
import type { ResponseOf } from '@wergon/contract/routes';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const mayChange = computed(() => desk.may('users.change'));
const query = useQuery({ queryKey: ['users'], queryFn: () => callRoute('users'), enabled: mayChange });
const { act, problem, isBusy } = useAct();
type Draft = {
  id: string;
  name: string;
  userName: string;
  password: string;
  role: Role;
  seesRates: boolean;
  technician: string | null;
  departments: string[] | null;
  isOff: boolean;
};
const edited = ref<Draft | null>(null);
const EMPTY: Draft = {
  id: '',
  name: '',
  userName: '',
  password: '',
  role: 'supervisor',
  seesRates: false,
  technician: null,
  departments: null,
  isOff: false,
};
const people = usePeople();
const shop = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop'), enabled: mayChange });
const departments = computed(() => shop.data.value?.lists.department ?? []);

/** None of them stands for all. */
/** Whose time they correct and approve; none chosen is everybody’s. */
const ownDepartments = computed({
  get: () => edited.value?.departments ?? [],
  set: (chosen: readonly string[]) => {
    if (edited.value) edited.value.departments = chosen.length === 0 ? null : [...chosen];
  },
});
async function save(): Promise<void> {
  const user = edited.value;
  if (!user) return;
  const { id, name, userName, password, role, seesRates, technician, departments: own, isOff } = user;
  const more = {
    name,
    role,
    seesRates,
    technician: technician || null,
    departments: own?.length ? own : null,
  };
  const given = password === '' ? null : password;
  const done = await act(() =>
    id === ''
      ? callRoute('addUser', { body: { ...more, userName, password } })
      : callRoute('saveUser', {
          params: { user: id },
          body: { ...more, isOff, password: given },
        }).then(() => ({ id })),
  );
  if (done) edited.value = null;
}
type User = ResponseOf<'users'>['users'][number];
const columns = computed((): readonly Column<User>[] => [
  { id: 'name', title: t('common.name'), sortBy: (user) => user.name },
  { id: 'userName', title: t('access.userName'), class: 'mono', value: (user) => user.userName },
  { id: 'role', title: t('access.role'), value: (user) => t(`roles.${user.role}`) },
  {
    id: 'rates',
    title: t('access.rates'),
    value: (user) =>
      user.seesRates || RIGHTS_OF_ROLE[user.role].includes('rates.see')
        ? t('access.seesThem')
        : t('access.doesNotSeeThem'),
  },
  { id: 'acts', class: 'acts-cell' },
]);
const rights = RIGHTS.map((right) => ({ right }));
const rightColumns: readonly Column<(typeof rights)[number]>[] = [
  { id: 'right', title: t('access.may'), isRowHead: true, value: ({ right }) => t(`rights.${right}`) },
  ...ROLES.map((role) => ({ id: role, title: t(`roles.${role}`) })),
];
</script>

<template>
  <ShopLayout :title="t('common.whoMayDoWhat')" :lead="t('access.rightsComeWithARoleAndAreChecked')">
    <DataTable class="rights" :rows="rights" :columns="rightColumns" :row-key="({ right }) => right">
      <template v-for="role in ROLES" :key="role" #[role]="{ row: { right } }">
        <span v-if="RIGHTS_OF_ROLE[role].includes(right)" class="yes">{{ t('common.yes') }}</span>
        <span v-else class="no">{{ t('access.no') }}</span>
      </template>
    </DataTable>
    <template v-if="mayChange">
      <h2>{{ t('access.whoMaySignInAtTheDesk') }}</h2>
      <DataTable
        v-if="query.data.value"
        :rows="query.data.value.users"
        :columns="columns"
        :row-key="(user) => user.id"
        is-sortable
        ><template #name="{ row: user }"
          >{{ user.name }}
          <span v-if="user.isOff" class="attention">{{ t('common.switchedOff') }}</span>
          <span v-else-if="user.mustChangePassword" class="quiet">{{
            t('access.hasYetToChooseAPassword')
          }}</span></template
        >
        <template #acts="{ row: user }"
          ><BButton variant="quiet" size="sm" @click="edited = { ...user, password: '' }">
            {{ t('common.change') }}
          </BButton></template
        ></DataTable
      >
      <form v-if="edited" class="inline" autocomplete="off" @submit.prevent="save">
        <label>{{ t('common.name') }} <BFormInput v-model="edited.name" required /></label>
        <label
          >{{ t('access.userName') }}
          <BFormInput v-model="edited.userName" :disabled="edited.id !== ''" required
        /></label>
        <label
          >{{ t('common.password') }}
          <BFormInput
            v-model="edited.password"
            type="password"
            autocomplete="new-password"
            minlength="10"
            :placeholder="edited.id === '' ? t('access.atLeast10Characters') : t('access.asItWas')"
            :title="t('access.givenToSomebodyElseItMustBe')"
            :required="edited.id === ''"
        /></label>
        <label
          >{{ t('access.role') }}
          <BFormSelect v-model="edited.role">
            <option v-for="role in ROLES" :key="role" :value="role">{{ t(`roles.${role}`) }}</option>
          </BFormSelect></label
        >
        <label
          >{{ t('access.onTheFloorThisIs') }}
          <BFormSelect v-model="edited.technician">
            <option :value="null">{{ t('access.nobody') }}</option>
            <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
          </BFormSelect></label
        >
        <fieldset class="departments">
          <legend>
            {{
              t('access.correctsAndApprovesTheTimeOf', {
                whom: edited.departments
                  ? ''
                  : edited.role === 'lead'
                    ? t('access.theirOwnCrew')
                    : t('common.everybody'),
              })
            }}
          </legend>
          <CheckField
            v-for="{ id, name } in departments"
            :key="id"
            v-model="ownDepartments"
            class="check"
            :value="id"
            >{{ name }}</CheckField
          >
        </fieldset>
        <CheckField v-model="edited.seesRates" class="check">{{ t('access.seesRates') }}</CheckField>
        <CheckField v-if="edited.id !== ''" v-model="edited.isOff" class="check">{{
          t('access.switchedOffSignsInNoLonger')
        }}</CheckField>
        <BButton type="submit" variant="primary" :disabled="isBusy">{{ t('access.saveUser') }}</BButton>
        <BButton variant="quiet" @click="edited = null">{{ t('common.leaveItAsItIs') }}</BButton>
      </form>
      <div v-else class="acts">
        <BButton variant="primary" @click="edited = { ...EMPTY }">{{ t('access.addUser') }}</BButton>
      </div>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    </template>
  </ShopLayout>
</template>

<style scoped>
.rights :deep(th[scope='row']) {
  color: var(--ink);
  font-size: var(--text-m);
  white-space: normal;
}
.departments {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  width: 100%;
  margin: 0;
}
.departments legend {
  float: left;
  width: auto;
  margin: 0 12px 0 0;
  font-size: inherit;
}
.yes {
  font-weight: 700;
}
.no {
  color: var(--ink-2);
}
</style>
