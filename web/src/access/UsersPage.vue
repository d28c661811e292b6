<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { RIGHTS, RIGHTS_OF_ROLE, RIGHT_WORDS, ROLES } from '@wergon/contract/access';
import type { Role } from '@wergon/contract/access';
import { callRoute, useDesk, usePeople, useAct } from '../kit/index.ts';
import { CheckField, ShopLayout } from '../kit/parts/index.ts';

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
  <ShopLayout
    title="Who may do what"
    lead="Rights come with a role and are checked on the server. To see rates, and costs that are one person’s, can be given to anybody by name."
  >
    <table class="rights">
      <thead>
        <tr>
          <th scope="col">May</th>
          <th v-for="role in ROLES" :key="role" scope="col">{{ role }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="right in RIGHTS" :key="right">
          <th scope="row">{{ RIGHT_WORDS[right] }}</th>
          <td v-for="role in ROLES" :key="role">
            <span v-if="RIGHTS_OF_ROLE[role].includes(right)" class="yes">yes</span>
            <span v-else class="no">no</span>
          </td>
        </tr>
      </tbody>
    </table>
    <template v-if="mayChange">
      <h2>Who may sign in at the desk</h2>
      <table v-if="query.data.value">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">User name</th>
            <th scope="col">Role</th>
            <th scope="col">Rates</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="user in query.data.value.users" :key="user.id">
            <td>
              {{ user.name }}
              <span v-if="user.isOff" class="attention">switched off</span>
              <span v-else-if="user.mustChangePassword" class="quiet">has yet to choose a password</span>
            </td>
            <td class="mono">{{ user.userName }}</td>
            <td>{{ user.role }}</td>
            <td>
              {{
                user.seesRates || RIGHTS_OF_ROLE[user.role].includes('rates.see')
                  ? 'sees them'
                  : 'does not see them'
              }}
            </td>
            <td class="acts-cell">
              <BButton variant="quiet" size="sm" @click="edited = { ...user, password: '' }">
                Change
              </BButton>
            </td>
          </tr>
        </tbody>
      </table>
      <form v-if="edited" class="inline" autocomplete="off" @submit.prevent="save">
        <label>Name <BFormInput v-model="edited.name" required /></label>
        <label
          >User name <BFormInput v-model="edited.userName" :disabled="edited.id !== ''" required
        /></label>
        <label
          >Password
          <BFormInput
            v-model="edited.password"
            type="password"
            autocomplete="new-password"
            minlength="10"
            :placeholder="edited.id === '' ? 'at least 10 characters' : 'as it was'"
            title="Given to somebody else, it must be changed at the next sign-in"
            :required="edited.id === ''"
        /></label>
        <label
          >Role
          <BFormSelect v-model="edited.role">
            <option v-for="role in ROLES" :key="role" :value="role">{{ role }}</option>
          </BFormSelect></label
        >
        <label
          >On the floor this is
          <BFormSelect v-model="edited.technician">
            <option :value="null">nobody</option>
            <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
          </BFormSelect></label
        >
        <fieldset class="departments">
          <legend>
            Corrects and approves the time of
            {{ edited.departments ? '' : edited.role === 'lead' ? 'their own crew' : 'everybody' }}
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
        <CheckField v-model="edited.seesRates" class="check">sees rates</CheckField>
        <CheckField v-if="edited.id !== ''" v-model="edited.isOff" class="check"
          >switched off: signs in no longer</CheckField
        >
        <BButton type="submit" variant="primary" :disabled="isBusy">Save user</BButton>
        <BButton variant="quiet" @click="edited = null">Leave it as it is</BButton>
      </form>
      <div v-else class="acts">
        <BButton variant="primary" @click="edited = { ...EMPTY }">Add user</BButton>
      </div>
      <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
    </template>
  </ShopLayout>
</template>

<style scoped>
.rights th[scope='row'] {
  color: var(--ink);
  font-size: 15px;
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
