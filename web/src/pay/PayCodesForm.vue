<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { PAY_KINDS } from '@wergon/contract/pay';
import { PAY_CLASSES, WORKED_ON, keyOfKind } from '@wergon/core/pay';
import { callRoute, useForm } from '../kit/index.ts';
import type { Column } from '../kit/index.ts';
import { DataTable, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import { sayKind } from './payFileWords.ts';

/** What payroll calls each kind of paid time. Indirect time and time on nothing are called as jobs are where nothing else is
 *  said. */
const props = defineProps<{ codes: readonly { readonly kind: string; readonly code: string }[] }>();
const emit = defineEmits<{ done: []; leave: [] }>();
const KEYS = PAY_KINDS.map(keyOfKind);
type Words = Record<string, string>;
const bodyOf = ({ words }: { words: Words }) => ({
  codes: KEYS.map((kind) => ({ kind, code: (words[kind] ?? '').trim() })).filter(({ code }) => code !== ''),
});
const known = new Map(props.codes.map(({ kind, code }) => [kind, code]));
const form = useForm(
  { words: Object.fromEntries(KEYS.map((kind): [string, string] => [kind, known.get(kind) ?? ''])) },
  'savePayCodes',
  bodyOf,
);
const save = async () => {
  if (await form.send((fields) => callRoute('savePayCodes', { body: bodyOf(fields) }))) emit('done');
};
type Worked = { readonly class: (typeof PAY_CLASSES)[number] };
const worked: readonly Worked[] = PAY_CLASSES.map((each) => ({ class: each }));
const keyOf = ({ class: paidAs }: Worked, on: (typeof WORKED_ON)[number]) =>
  keyOfKind({ of: 'worked', class: paidAs, on });
const columns: readonly Column<Worked>[] = [
  { id: 'class', title: t('pay.worked'), isRowHead: true, value: (row) => t(`payClasses.${row.class}`) },
  ...WORKED_ON.map((on) => ({ id: on, title: t(`workedOn.${on}`) })),
];
const others = PAY_KINDS.filter(({ of }) => of !== 'worked').map(keyOfKind);
const wordOf = (key: string): string => form.fields.value.words[key] ?? '';
const setWord = (key: string, word: string | number | null) =>
  (form.fields.value.words[key] = String(word ?? ''));
const hintOf = (row: Worked, on: (typeof WORKED_ON)[number]) =>
  on === 'job' ? '' : wordOf(keyOf(row, 'job'));
</script>

<template>
  <form class="desk-part codes" novalidate @submit.prevent="save">
    <h2>{{ t('pay.whatPayrollCalls') }}</h2>
    <p class="quiet">{{ t('pay.codesLead') }}</p>
    <DataTable class="across" :rows="worked" :columns="columns" :row-key="(row) => row.class">
      <template v-for="on in WORKED_ON" :key="on" #[on]="{ row }">
        <BFormInput
          :model-value="wordOf(keyOf(row, on))"
          size="sm"
          class="mono"
          maxlength="40"
          :aria-label="sayKind(keyOf(row, on))"
          :placeholder="hintOf(row, on)"
          @update:model-value="setWord(keyOf(row, on), $event)"
        />
      </template>
    </DataTable>
    <div class="others">
      <FormField v-for="key in others" :key="key" v-slot="{ id }" :label="sayKind(key)">
        <BFormInput
          :id="id"
          :model-value="wordOf(key)"
          size="sm"
          class="mono"
          maxlength="40"
          @update:model-value="setWord(key, $event)"
        />
      </FormField>
    </div>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value || !form.isDirty.value">{{
        t('common.save')
      }}</BButton>
      <BButton variant="quiet" @click="emit('leave')">{{ t('common.leaveItAsItIs') }}</BButton>
    </div>
  </form>
</template>

<style scoped>
.codes {
  max-width: 900px;
}
.others {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 16px;
  margin: 12px 0;
}
</style>
