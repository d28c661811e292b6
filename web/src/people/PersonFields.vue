<script setup lang="ts">
import { formatDay } from '@wergon/core/time';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { watch } from 'vue';
import type { TechnicianRow } from '@wergon/contract/people';
import { callRoute, useDesk, useForm } from '../kit/index.ts';
import { CheckField, DateField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{
  person: TechnicianRow;
  grades: readonly { readonly id: string; readonly name: string }[];
}>();
const desk = useDesk();

const TEXTS = [
  { field: 'number', label: t('common.number') },
  { field: 'name', label: t('common.name') },
  { field: 'initials', label: t('people.initials') },
  { field: 'department', label: t('people.department') },
  { field: 'crew', label: t('people.crew') },
  { field: 'payrollNumber', label: t('people.referenceNumberInPayroll') },
] as const;
type Fields = Record<
  (typeof TEXTS)[number]['field'] | 'grade' | 'hiredOn' | 'leftOn' | 'billedHours',
  string
> &
  Pick<TechnicianRow, 'kind' | 'isLead' | 'feedsPay'> & {
    language: NonNullable<TechnicianRow['language']> | '';
  };
const read = (person: TechnicianRow): Fields => ({
  number: person.number,
  name: person.name,
  initials: person.initials,
  department: person.department,
  crew: person.crew,
  payrollNumber: person.payrollNumber,
  kind: person.kind,
  isLead: person.isLead,
  feedsPay: person.feedsPay,
  language: person.language ?? '',
  grade: person.grade ?? '',
  hiredOn: person.hiredOn === null ? '' : formatDay(person.hiredOn),
  leftOn: person.leftOn === null ? '' : formatDay(person.leftOn),
  billedHours: person.billedHours ?? '',
});
const orNull = (text: string) => (text === '' ? null : text.replace(',', '.'));
const bodyOf = ({ grade, language, hiredOn, leftOn, billedHours, ...fields }: Fields) => ({
  ...fields,
  grade: orNull(grade),
  language: language === '' ? null : language,
  hiredOn: orNull(hiredOn),
  leftOn: orNull(leftOn),
  billedHours: orNull(billedHours),
});
const form = useForm(read(props.person), 'saveTechnician', bodyOf);
watch(
  () => props.person,
  (person) => {
    if (!form.isDirty.value) form.reset(read(person));
  },
);
const save = () =>
  form.send((fields) =>
    callRoute('saveTechnician', { params: { technician: props.person.id }, body: bodyOf(fields) }),
  );
</script>

<template>
  <form novalidate @submit.prevent="save">
    <fieldset class="fields" :disabled="!desk.may('people.change')">
      <FormField
        v-for="{ field, label } in TEXTS"
        :key="field"
        v-slot="{ id, described }"
        :label="label"
        :field="field"
      >
        <BFormInput :id="id" v-model="form.fields.value[field]" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id }" :label="t('common.kind')">
        <BFormSelect
          :id="id"
          v-model="form.fields.value.kind"
          @update:model-value="form.fields.value.feedsPay = $event === 'own'"
        >
          <option value="own">{{ t('people.ownStaff') }}</option>
          <option value="subcontractor">{{ t('people.subcontractor') }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('people.languageAtStations')">
        <BFormSelect :id="id" v-model="form.fields.value.language">
          <option value="">{{ t('people.asTheStation') }}</option>
          <option value="en">{{ t('common.english') }}</option>
          <option value="de">{{ t('common.deutsch') }}</option>
        </BFormSelect>
      </FormField>
      <CheckField v-model="form.fields.value.isLead" class="check">{{ t('people.leadsACrew') }}</CheckField>
      <CheckField v-model="form.fields.value.feedsPay" class="check">{{
        t('people.timeGoesToPay')
      }}</CheckField>
      <FormField v-slot="{ id }" :label="t('common.grade')" field="grade">
        <BFormSelect :id="id" v-model="form.fields.value.grade">
          <option value="">{{ t('common.none') }}</option>
          <option v-for="grade in grades" :key="grade.id" :value="grade.id">{{ grade.name }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('people.hiredOn')" field="hiredOn">
        <DateField :id="id" v-model="form.fields.value.hiredOn" :label="t('people.hiredOn')" />
      </FormField>
      <FormField v-slot="{ id }" :label="t('people.lastDayHere')" field="leftOn">
        <DateField :id="id" v-model="form.fields.value.leftOn" :label="t('people.lastDayHere')" />
      </FormField>
      <FormField v-slot="{ id, described }" :label="t('people.billedHoursExpectedADay')" field="billedHours">
        <BFormInput
          :id="id"
          v-model="form.fields.value.billedHours"
          class="figure"
          inputmode="decimal"
          :aria-describedby="described"
        />
      </FormField>
    </fieldset>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div v-if="desk.may('people.change')" class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value || !form.isDirty.value">{{
        t('common.save')
      }}</BButton>
      <span role="status" class="quiet">{{
        form.isDirty.value ? t('common.notSavedYet') : t('common.saved')
      }}</span>
    </div>
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
}
</style>
