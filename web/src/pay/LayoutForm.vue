<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { payLayoutSchema } from '@wergon/contract/pay';
import type { PayLayoutJson } from '@wergon/contract/pay';
import { DATE_FORMS, DECIMALS, PAY_FIELDS, PAY_FILE_ROWS, SEPARATORS } from '@wergon/core/pay';
import type { Separator } from '@wergon/core/pay';
import { callRoute, toPlain, useForm, useSortable } from '../kit/index.ts';
import { CheckField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import FileCells from './FileCells.vue';
import { usualLayout } from './payFileWords.ts';

/** The form in which payroll wants its file, with the first rows of a period as they would stand in it. */
const props = defineProps<{
  firstDay: string;
  kept: { readonly id: string; readonly name: string; readonly layout: PayLayoutJson } | undefined;
}>();
const emit = defineEmits<{ done: []; leave: [] }>();
type Fields = { name: string; layout: PayLayoutJson };
const bodyOf = ({ name, layout }: Fields) => ({ id: props.kept?.id ?? null, name, layout });
const form = useForm<Fields, 'savePayLayout'>(
  props.kept
    ? { name: props.kept.name, layout: toPlain(props.kept.layout) }
    : { name: '', layout: usualLayout() },
  'savePayLayout',
  bodyOf,
);
const layout = computed(() => form.fields.value.layout);
const list = ref<HTMLElement | null>(null);
useSortable(list, {
  rows: '.column',
  handle: '.grip',
  move: (from, to) => {
    const { columns } = layout.value;
    columns.splice(to, 0, ...columns.splice(from, 1));
  },
});
const addColumn = () => {
  const field = PAY_FIELDS.find((each) => !layout.value.columns.some((column) => column.field === each));
  const next = field ?? 'name';
  layout.value.columns.push({ field: next, heading: t(`payFields.${next}`) });
};
/** A heading that nobody has changed goes with its field. */
function setField(column: PayLayoutJson['columns'][number], field: string): void {
  const next = PAY_FIELDS.find((each) => each === field);
  if (!next) return;
  if (column.heading === t(`payFields.${column.field}`)) column.heading = t(`payFields.${next}`);
  column.field = next;
}
const isWhole = computed(() => payLayoutSchema.safeParse(toPlain(layout.value)).success);
const key = computed(() => JSON.stringify(layout.value));
const tried = useQuery({
  queryKey: ['pay-layout', () => props.firstDay, key],
  queryFn: () =>
    callRoute('tryPayLayout', { body: { firstDay: props.firstDay, layout: toPlain(layout.value) } }),
  enabled: isWhole,
  placeholderData: keepPreviousData,
});
const save = async () => {
  if (await form.send((fields) => callRoute('savePayLayout', { body: bodyOf(fields) }))) emit('done');
};
const takeOut = async () => {
  const { kept } = props;
  if (kept && (await form.send(() => callRoute('removePayLayout', { body: { id: kept.id } })))) emit('done');
};
const separators = Object.keys(SEPARATORS) as Separator[];
const decimals = Object.keys(DECIMALS) as (keyof typeof DECIMALS)[];
</script>

<template>
  <form class="desk-part layout" novalidate @submit.prevent="save">
    <h2>{{ kept ? t('pay.changeTheForm') : t('pay.newFormOfFile') }}</h2>
    <div class="fields">
      <FormField v-slot="{ id, described }" :label="t('common.name')" field="name">
        <BFormInput :id="id" v-model="form.fields.value.name" maxlength="80" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id }" :label="t('pay.aRowFor')" field="layout.rows">
        <BFormSelect :id="id" v-model="layout.rows">
          <option v-for="each in PAY_FILE_ROWS" :key="each" :value="each">{{ t(`payRows.${each}`) }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('pay.separator')">
        <BFormSelect :id="id" v-model="layout.separator">
          <option v-for="each in separators" :key="each" :value="each">{{ t(`paySigns.${each}`) }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('pay.decimals')">
        <BFormSelect :id="id" v-model="layout.decimal">
          <option v-for="each in decimals" :key="each" :value="each">{{ t(`paySigns.${each}`) }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('pay.datesLike')">
        <BFormSelect :id="id" v-model="layout.dates">
          <option v-for="each in DATE_FORMS" :key="each" :value="each">{{ each }}</option>
        </BFormSelect>
      </FormField>
    </div>
    <CheckField v-model="layout.hasHeadings">{{ t('pay.withHeadings') }}</CheckField>
    <h3>{{ t('pay.columns') }}</h3>
    <div ref="list" class="columns">
      <div v-for="(column, i) in layout.columns" :key="i" class="column">
        <span class="grip mono quiet" :title="t('pay.dragToOrder')">{{ i + 1 }}</span>
        <FormField v-slot="{ id, described }" :label="t('pay.column')" :field="`layout.columns[${i}].field`">
          <BFormSelect
            :id="id"
            :model-value="column.field"
            size="sm"
            :aria-describedby="described"
            @update:model-value="setField(column, String($event))"
          >
            <option v-for="each in PAY_FIELDS" :key="each" :value="each">{{ t(`payFields.${each}`) }}</option>
          </BFormSelect>
        </FormField>
        <FormField
          v-if="layout.hasHeadings"
          v-slot="{ id }"
          :label="t('pay.heading')"
          :field="`layout.columns[${i}].heading`"
        >
          <BFormInput :id="id" v-model="column.heading" size="sm" maxlength="60" />
        </FormField>
        <BButton
          variant="quiet"
          size="sm"
          :disabled="layout.columns.length < 2"
          @click="layout.columns.splice(i, 1)"
          >{{ t('common.remove') }}</BButton
        >
      </div>
    </div>
    <BButton variant="quiet" size="sm" :disabled="layout.columns.length >= 20" @click="addColumn">{{
      t('pay.addColumn')
    }}</BButton>
    <h3>{{ t('pay.firstRows') }}</h3>
    <FileCells v-if="tried.data.value" :cells="tried.data.value.cells" :has-headings="layout.hasHeadings" />
    <p v-if="tried.data.value?.rows === 0" class="quiet">{{ t('pay.noRowsToShow') }}</p>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{ t('common.save') }}</BButton>
      <BButton v-if="kept" variant="quiet" :disabled="form.isBusy.value" @click="takeOut">{{
        t('pay.takeFormOut')
      }}</BButton>
      <BButton variant="quiet" @click="emit('leave')">{{ t('common.leaveItAsItIs') }}</BButton>
    </div>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 210px));
  gap: 8px 16px;
  margin-bottom: 8px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(420px, 1fr));
  gap: 6px 24px;
  margin-bottom: 8px;
}
.column {
  display: flex;
  gap: 8px;
  align-items: end;
}
.column :deep(.field) {
  flex: 1;
}
.grip {
  padding-bottom: 5px;
  color: var(--ink-2);
  cursor: grab;
}
h3 {
  margin: 14px 0 4px;
  font-size: var(--text-m);
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
