<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { callRoute, sayRole, useDesk } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, QueryState, ShopLayout } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';
import RolesTable from './RolesTable.vue';
import UserForm from './UserForm.vue';

type User = ResponseOf<'users'>['users'][number];
const desk = useDesk();
const mayChange = computed(() => desk.may('users.change'));
const roles = useQuery({ queryKey: ['roles'], queryFn: () => callRoute('roles') });
const users = useQuery({ queryKey: ['users'], queryFn: () => callRoute('users'), enabled: mayChange });
const shop = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop'), enabled: mayChange });
const lists = computed(() => ({
  departments: shop.data.value?.lists.department ?? [],
  crews: shop.data.value?.lists.crew ?? [],
}));
const isAdding = ref(false);
const edited = ref<User>();
function close(): void {
  isAdding.value = false;
  edited.value = undefined;
}

const rolesOf = ({ roles: own }: User) =>
  (roles.data.value?.roles ?? []).filter(({ id }) => own.includes(id));
const columns = computed((): readonly Column<User>[] => [
  { id: 'name', title: t('common.name'), sortBy: (user) => user.name },
  { id: 'userName', title: t('access.userName'), class: 'mono', value: (user) => user.userName },
  { id: 'roles', title: t('access.roles'), value: (user) => sayList(rolesOf(user).map(sayRole)) },
  {
    id: 'rates',
    title: t('access.rates'),
    value: (user) =>
      user.seesRates || rolesOf(user).some(({ rights }) => rights.includes('rates.see'))
        ? t('access.seesThem')
        : t('access.doesNotSeeThem'),
  },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <ShopLayout :title="t('common.whoMayDoWhat')" :lead="t('access.rightsComeWithARoleAndAreChecked')">
    <QueryState
      v-if="!roles.data.value"
      :is-pending="roles.isPending.value"
      :error="roles.error.value"
      @retry="roles.refetch()"
    />
    <RolesTable v-else :roles="roles.data.value.roles" :may-change="mayChange" />
    <template v-if="mayChange">
      <h2>{{ t('access.whoMaySignInAtTheDesk') }}</h2>
      <DataTable
        v-if="users.data.value"
        :rows="users.data.value.users"
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
          ><BButton variant="quiet" size="sm" @click="edited = user">
            {{ t('common.change') }}
          </BButton></template
        ></DataTable
      >
      <UserForm
        v-if="roles.data.value && (isAdding || edited)"
        :key="edited?.id ?? ''"
        :user="edited"
        :roles="roles.data.value.roles"
        :departments="lists.departments"
        :crews="lists.crews"
        @done="close"
      />
      <div v-else class="acts">
        <BButton variant="primary" @click="isAdding = true">{{ t('access.addUser') }}</BButton>
      </div>
    </template>
  </ShopLayout>
</template>
