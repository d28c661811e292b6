<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import type { PersonDayJson } from '@wergon/contract/tape';
import { WORK_TYPES } from '@wergon/core/work';
import { callRoute } from '../kit/index.ts';
import AskedEffect from './AskedEffect.vue';
import ConfirmActs from './ConfirmActs.vue';
import TargetPicker from './TargetPicker.vue';
import { useAskedEffect } from './useAskedEffect.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { RECORD_ACTS } from './useRecordsEdit.ts';
import type { RecordsEditing } from './useRecordsEdit.ts';
import { t } from '../words/index.ts';

/** One thing done to all records that are ticked, and what that would do. */
const props = defineProps<{
  editing: RecordsEditing;
  isBusy: boolean;
  people: readonly { readonly id: string; readonly name: string }[];
  blocks: readonly TapeBlock[];
  told: PersonDayJson;
}>();
const draft = computed(() => props.editing.draft.value);
const count = computed(() => props.editing.ticked.value.length);
const body = computed(() => props.editing.bodyOf(props.blocks, props.told));
const { effect, refusal, isLooking } = useAskedEffect('records-effect', body, (sent) =>
  callRoute('previewRecords', { body: sent }),
);
const others = computed(() => props.people.filter(({ id }) => id !== props.told.technician));
const words = computed(() => t('tape.recordsOf', { n: count.value, name: props.told.name }));
/** What was done, for whoever may want it undone. */
const doneWords = computed(() => {
  const { act, technician, targetText, hours } = draft.value;
  const records = words.value;
  if (act === 'out') return t('tape.recordsTakenOut', { records });
  if (act === 'work') return t('tape.recordsPutOn', { records, title: targetText });
  if (act !== 'give') return t('tape.recordsMovedBy', { records, hours });
  const name = props.people.find(({ id }) => id === technician)?.name ?? '';
  return t('tape.recordsGivenTo', { records, name });
});
const confirm = () => body.value && props.editing.confirm(body.value, doneWords.value);
</script>

<template>
  <form class="records" :aria-label="words" @submit.prevent="confirm" @keydown.esc="editing.clear()">
    <div class="fields">
      <b>{{ words }}</b>
      <BFormSelect v-model="draft.act" size="sm" :aria-label="t('tape.whatToDoWithThem')">
        <option v-for="act in RECORD_ACTS" :key="act" :value="act">{{ t(`recordActs.${act}`) }}</option>
      </BFormSelect>
      <BFormSelect
        v-if="draft.act === 'give'"
        v-model="draft.technician"
        size="sm"
        :aria-label="t('common.person')"
      >
        <option value="">{{ t('tape.whom') }}</option>
        <option v-for="person in others" :key="person.id" :value="person.id">{{ person.name }}</option>
      </BFormSelect>
      <template v-else-if="draft.act === 'work'">
        <TargetPicker
          v-model="draft.target"
          v-model:text="draft.targetText"
          :label="t('common.work')"
          @kind="draft.workType = $event"
        />
        <BFormSelect v-model="draft.workType" size="sm" :aria-label="t('common.kind')">
          <option v-for="kind in WORK_TYPES" :key="kind" :value="kind">{{ t(`workTypes.${kind}`) }}</option>
        </BFormSelect>
      </template>
      <BFormInput
        v-else-if="draft.act !== 'out'"
        v-model="draft.hours"
        size="sm"
        class="figure length"
        :aria-label="t('tape.byHowMuch')"
        placeholder="1:30"
      />
    </div>
    <ConfirmActs
      v-model="draft.reason"
      :cannot="isBusy || body === undefined || refusal !== ''"
      @leave="editing.clear()"
    />
    <AskedEffect v-if="body" :effect="effect" :refusal="refusal" :is-looking="isLooking" />
  </form>
</template>

<style scoped>
.records {
  max-width: 1100px;
  margin-top: 8px;
  padding: 10px 12px 12px;
  background: var(--action-tint);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: center;
  margin-bottom: 8px;
}
.fields .form-select {
  width: auto;
}
.length {
  width: 84px;
}
</style>
