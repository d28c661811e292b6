<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { RIGHTS, RIGHTS_OF_ROLE, ROLES } from '@wergon/contract/access';
import type { Role } from '@wergon/contract/access';
import { callRoute, useDesk, usePeople, useAct } from '../kit/index.ts';
import { CheckField, ShopLayout } from '../kit/parts/index.ts';
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
</script>

<template>
  <ShopLayout :title="t('common.whoMayDoWhat')" :lead="t('access.rightsComeWithARoleAndAreChecked')">
    <table class="rights">
      <thead>
        <tr>
          <th scope="col">{{ t('access.may') }}</th>
          <th v-for="role in ROLES" :key="role" scope="col">{{ t(`roles.${role}`) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="right in RIGHTS" :key="right">
          <th scope="row">{{ t(`rights.${right}`) }}</th>
          <td v-for="role in ROLES" :key="role">
            <span v-if="RIGHTS_OF_ROLE[role].includes(right)" class="yes">{{ t('common.yes') }}</span>
            <span v-else class="no">{{ t('access.no') }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <template v-if="mayChange">
      <h2>{{ t('access.whoMaySignInAtTheDesk') }}</h2>
      <table v-if="query.data.value">
        <thead>
          <tr>
            <th scope="col">{{ t('common.name') }}</th>
            <th scope="col">{{ t('access.userName') }}</th>
            <th scope="col">{{ t('access.role') }}</th>
            <th scope="col">{{ t('access.rates') }}</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="user in query.data.value.users" :key="user.id">
            <td>
              {{ user.name }}
              <span v-if="user.isOff" class="attention">{{ t('common.switchedOff') }}</span>
              <span v-else-if="user.mustChangePassword" class="quiet">{{
                t('access.hasYetToChooseAPassword')
              }}</span>
            </td>
            <td class="mono">{{ user.userName }}</td>
            <td>{{ t(`roles.${user.role}`) }}</td>
            <td>
              {{
                user.seesRates || RIGHTS_OF_ROLE[user.role].includes('rates.see')
                  ? t('access.seesThem')
                  : t('access.doesNotSeeThem')
              }}
            </td>
            <td class="acts-cell">
              <BButton variant="quiet" size="sm" @click="edited = { ...user, password: '' }">
                {{ t('common.change') }}
              </BButton>
            </td>
          </tr>
        </tbody>
      </table>
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
.rights th[scope='row'] {
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
