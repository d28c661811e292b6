<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { LEAST_PASSWORD, isCrewOnly } from '@wergon/contract/access';
import type { ResponseOf } from '@wergon/contract/routes';
import { callRoute, sayRole, useForm, usePeople } from '../kit/index.ts';
import { CheckField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** Somebody who may sign in at the desk, to be added or changed. */
type User = ResponseOf<'users'>['users'][number];
type Listed = { readonly id: string; readonly name: string };
const props = defineProps<{
  /** Absent for one to be added. */
  user: User | undefined;
  roles: ResponseOf<'roles'>['roles'];
  departments: readonly Listed[];
  crews: readonly Listed[];
}>();
const emit = defineEmits<{ done: [] }>();
const people = usePeople();

const chosen = (ids: readonly string[]) => (ids.length === 0 ? null : [...ids]);
const bodyOf = ({ password, departments, crews, technician, ...rest }: typeof initial) => ({
  ...rest,
  technician: technician || null,
  departments: chosen(departments),
  crews: chosen(crews),
  password,
});
const initial = {
  name: props.user?.name ?? '',
  userName: props.user?.userName ?? '',
  password: '',
  roles: props.user?.roles ?? ['supervisor'],
  seesRates: props.user?.seesRates ?? false,
  technician: (props.user?.technician ?? null) as string | null,
  departments: props.user?.departments ?? ([] as string[]),
  crews: props.user?.crews ?? ([] as string[]),
  seesOnlyTheirs: props.user?.seesOnlyTheirs ?? false,
};
const off = { isOff: props.user?.isOff ?? false };
const changed = ({ userName: _, password, ...rest }: ReturnType<typeof bodyOf>, isOff: boolean) => ({
  ...rest,
  isOff,
  password: password === '' ? null : password,
});
const form = props.user
  ? useForm({ ...initial, ...off }, 'saveUser', ({ isOff, ...rest }) => changed(bodyOf(rest), isOff))
  : useForm({ ...initial, ...off }, 'addUser', ({ isOff: _, ...rest }) => bodyOf(rest));
const { fields } = form;

async function save(): Promise<void> {
  const { user } = props;
  const done = await form.send(({ isOff, ...rest }) =>
    user
      ? callRoute('saveUser', { params: { user: user.id }, body: changed(bodyOf(rest), isOff) })
      : callRoute('addUser', { body: bodyOf(rest) }),
  );
  if (done) emit('done');
}
/** Whose time they correct and approve where no department and no crew is ticked. */
const isOfCrew = computed(() => isCrewOnly(props.roles.filter(({ id }) => fields.value.roles.includes(id))));
const everybodyElse = computed(() => (isOfCrew.value ? t('access.theirOwnCrew') : t('common.everybody')));
const isBound = computed(() => fields.value.departments.length + fields.value.crews.length > 0);
/** Whether there is anybody whose time is not theirs: of whom they can be told nothing. */
const isLimited = computed(() => isBound.value || isOfCrew.value);
</script>

<template>
  <form class="user" autocomplete="off" @submit.prevent="save">
    <div class="fields">
      <FormField v-slot="{ id, described }" :label="t('common.name')" field="name">
        <BFormInput :id="id" v-model="fields.name" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id, described }" :label="t('access.userName')" field="userName">
        <BFormInput
          :id="id"
          v-model="fields.userName"
          :aria-describedby="described"
          :disabled="user !== undefined"
        />
      </FormField>
      <FormField
        v-slot="{ id, described }"
        :label="t('common.password')"
        field="password"
        :hint="user ? t('access.asItWas') : t('access.atLeastCharacters', { n: LEAST_PASSWORD })"
      >
        <BFormInput
          :id="id"
          v-model="fields.password"
          type="password"
          autocomplete="new-password"
          :title="t('access.givenToSomebodyElseItMustBe')"
          :aria-describedby="described"
        />
      </FormField>
      <FormField v-slot="{ id, described }" :label="t('access.onTheFloorThisIs')" field="technician">
        <BFormSelect :id="id" v-model="fields.technician" :aria-describedby="described">
          <option :value="null">{{ t('access.nobody') }}</option>
          <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
        </BFormSelect>
      </FormField>
    </div>
    <FormField v-slot="{ described }" :label="t('access.roles')" field="roles">
      <div class="ticks" role="group" :aria-label="t('access.roles')" :aria-describedby="described">
        <CheckField v-for="role in roles" :key="role.id" v-model="fields.roles" :value="role.id">{{
          sayRole(role)
        }}</CheckField>
      </div>
    </FormField>
    <fieldset>
      <legend>
        {{ t('access.correctsAndApprovesTheTimeOf', { whom: isBound ? '' : everybodyElse }) }}
      </legend>
      <div class="ticks">
        <CheckField v-for="{ id, name } in departments" :key="id" v-model="fields.departments" :value="id">{{
          name
        }}</CheckField>
        <CheckField v-for="{ id, name } in crews" :key="id" v-model="fields.crews" :value="id">{{
          t('access.crewOf', { name })
        }}</CheckField>
      </div>
    </fieldset>
    <div class="ticks">
      <CheckField v-if="isLimited" v-model="fields.seesOnlyTheirs">{{
        t('access.seesOnlyTheirs')
      }}</CheckField>
      <CheckField v-model="fields.seesRates">{{ t('access.seesRates') }}</CheckField>
      <CheckField v-if="user" v-model="fields.isOff">{{ t('access.switchedOffSignsInNoLonger') }}</CheckField>
    </div>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
        t('access.saveUser')
      }}</BButton>
      <BButton variant="quiet" @click="emit('done')">{{ t('common.leaveItAsItIs') }}</BButton>
    </div>
  </form>
</template>

<style scoped>
.user {
  display: grid;
  gap: 14px;
  max-width: 900px;
  margin-top: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 12px;
}
fieldset {
  margin: 0;
}
legend {
  margin: 0 0 2px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
</style>
