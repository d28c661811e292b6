<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { NoteJson, PersonDayJson } from '@wergon/contract/tape';
import { formatDay } from '@wergon/core/time';
import type { TargetId } from '@wergon/core/ledger';
import type { Zone } from '@wergon/core/time';
import { callRoute, sayClock } from '../kit/index.ts';
import { CheckField, DataTable, LongText } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import type { Undoable } from '../loose-ends/index.ts';
import { t } from '../words/index.ts';

/** What was noted of a person's day, at stations and at the desk; which of it the customer may read is said here. */
const props = defineProps<{ told: PersonDayJson; mayEdit: boolean; zone: Zone; acts: Undoable }>();
const text = ref('');
const about = ref<TargetId | ''>('');
/** What they worked on that day, each once. */
const targets = computed(() => {
  const { stints, hours } = props.told;
  const all = [...stints.flatMap(({ running }) => running), ...hours];
  return [...new Map(all.map(({ target, title }) => [target, title]))];
});
const isEmpty = computed(() => text.value.trim() === '');

async function add(): Promise<void> {
  if (isEmpty.value) return;
  const body = {
    technician: props.told.technician,
    day: formatDay(props.told.day),
    target: about.value === '' ? null : about.value,
    text: text.value.trim(),
  };
  const isDone = await props.acts.make(t('tape.noteAdded'), (once) =>
    callRoute('addNote', { body: { ...body, once } }),
  );
  if (isDone) text.value = '';
}
const remove = ({ id }: NoteJson) =>
  props.acts.make(t('tape.noteTakenOut'), () => callRoute('removeNote', { params: { entry: id } }));
const mark = ({ id, isForCustomer }: NoteJson) =>
  props.acts.run(() =>
    callRoute('markNote', { params: { entry: id }, body: { isForCustomer: !isForCustomer } }),
  );
const columns = computed((): readonly Column<NoteJson>[] => [
  { id: 'at', title: t('tape.noteAt'), class: 'figure', value: ({ at }) => sayClock(props.zone, at) },
  { id: 'work', title: t('common.work'), value: ({ title }) => title },
  { id: 'text', title: t('tape.note'), class: 'note-text' },
  { id: 'by', title: t('tape.noteBy'), value: ({ by }) => by },
  { id: 'customer', title: t('tape.forCustomer') },
  ...(props.mayEdit ? [{ id: 'acts', class: 'acts-cell' }] : []),
]);
</script>

<template>
  <section class="desk-part">
    <h2>{{ t('tape.notes') }}</h2>
    <DataTable
      v-if="told.notes.length > 0"
      class="across"
      :rows="told.notes"
      :columns="columns"
      :row-key="({ id }) => id"
    >
      <template #text="{ row }"><LongText :text="row.text" /></template>
      <template #customer="{ row }">
        <CheckField
          :model-value="row.isForCustomer"
          :disabled="!mayEdit"
          :aria-label="t('tape.customerMayRead', { text: row.text })"
          @update:model-value="mark(row)"
        />
      </template>
      <template #acts="{ row }">
        <BButton variant="quiet" size="sm" :disabled="acts.isBusy.value" @click="remove(row)">{{
          t('common.remove')
        }}</BButton>
      </template>
    </DataTable>
    <p v-else class="quiet none">{{ t('tape.nothingNoted') }}</p>
    <form v-if="mayEdit" class="new" @submit.prevent="add">
      <BFormInput
        v-model="text"
        size="sm"
        class="words"
        maxlength="1000"
        :aria-label="t('tape.newNote')"
        :placeholder="t('tape.newNote')"
        @keydown.stop
      />
      <BFormSelect v-model="about" size="sm" class="about" :aria-label="t('tape.noteAbout')">
        <option value="">{{ t('tape.aboutTheDay') }}</option>
        <option v-for="[id, title] in targets" :key="id" :value="id">{{ title }}</option>
      </BFormSelect>
      <BButton type="submit" variant="quiet" size="sm" :disabled="isEmpty || acts.isBusy.value">{{
        t('tape.addNote')
      }}</BButton>
    </form>
  </section>
</template>

<style scoped>
.across :deep(.note-text) {
  width: 50%;
  max-width: 0;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  max-width: 900px;
}
.words {
  flex: 1;
  min-width: 220px;
}
.about {
  width: auto;
  max-width: 300px;
}
</style>
