<script setup lang="ts">
import { BButton, BFormInput, BFormSelect, BFormTextarea } from 'bootstrap-vue-next';
import type { Preparation } from '@wergon/contract/work';
import { REPORT_KINDS, REPORT_TIMES } from '@wergon/contract/work';
import { useTemplateRef } from 'vue';
import { useDesk, useSortable } from '../kit/index.ts';
import { CheckField, FormField } from '../kit/parts/index.ts';
import type { TaskDraft } from './orderDraft.ts';
import { t } from '../words/index.ts';

/** What a step holds beside its line: a description, instructions, reports, a fixed price. */
const task = defineModel<TaskDraft>({ required: true });
defineProps<{
  preparation: Preparation | undefined;
  name: string;
  /** What its instructions come to beside its hours. */
  instructionsSum?: string;
}>();

const desk = useDesk();
function addReport(): void {
  task.value.reports.push({
    when: 'end',
    kind: 'pieces',
    label: '',
    unit: '',
    least: null,
    most: null,
    maySkip: true,
  });
}
useSortable(useTemplateRef<HTMLElement>('list'), {
  rows: '.line',
  handle: '.handle',
  move: (from, to) => task.value.instructions.splice(to, 0, ...task.value.instructions.splice(from, 1)),
});
const numberOrNull = (typed: unknown) => {
  const text = String(typed ?? '')
    .trim()
    .replace(',', '.');
  return text === '' || Number.isNaN(Number(text)) ? null : Number(text);
};
</script>

<template>
  <div class="step">
    <div>
      <FormField
        v-if="desk.uses('description') || task.description"
        v-slot="{ id }"
        :label="t('work.descriptionOfTask')"
        class="description"
      >
        <BFormTextarea :id="id" v-model="task.description" rows="2" maxlength="2000" />
      </FormField>
      <h3>{{ t('work.instructions') }}</h3>
      <div ref="list">
        <div v-for="(each, i) in task.instructions" :key="i" class="line">
          <span class="mono quiet handle">{{ i + 1 }}</span>
          <BFormInput
            v-model="each.text"
            size="sm"
            :aria-label="t('work.instructionOf', { number: i + 1, name })"
          />
          <BFormInput
            v-model="each.hours"
            size="sm"
            class="figure hours"
            inputmode="decimal"
            :aria-label="t('work.hoursOfInstructionOf', { number: i + 1, name })"
            placeholder="h"
          />
          <BButton variant="quiet" size="sm" @click="task.instructions.splice(i, 1)">
            {{ t('common.remove') }}
          </BButton>
        </div>
      </div>
      <BButton variant="quiet" size="sm" @click="task.instructions.push({ text: '', hours: '' })">
        {{ t('work.addInstruction') }}
      </BButton>
      <p v-if="instructionsSum" class="sum quiet" role="status">{{ instructionsSum }}</p>
    </div>
    <div v-if="desk.uses('reports') || task.reports.length > 0">
      <h3>{{ t('work.reportsAskedFor') }}</h3>
      <div v-for="(report, i) in task.reports" :key="i" class="line report">
        <BFormSelect v-model="report.kind" size="sm" :aria-label="t('work.kindOfReport', { number: i + 1 })">
          <option v-for="kind in REPORT_KINDS" :key="kind" :value="kind">
            {{ t(`reportKinds.${kind}`) }}
          </option>
        </BFormSelect>
        <BFormSelect v-model="report.when" size="sm" :aria-label="t('work.timeOfReport', { number: i + 1 })">
          <option v-for="when in REPORT_TIMES" :key="when" :value="when">
            {{ t(`reportTimes.${when}`) }}
          </option>
        </BFormSelect>
        <template v-if="report.kind === 'value'">
          <BFormInput
            :model-value="report.label ?? ''"
            size="sm"
            :aria-label="t('work.whatReportMeasures', { number: i + 1 })"
            :placeholder="t('work.what')"
            @update:model-value="report.label = String($event ?? '')"
          />
          <BFormInput
            :model-value="report.unit ?? ''"
            size="sm"
            class="hours"
            :aria-label="t('work.unitOfReport', { number: i + 1 })"
            :placeholder="t('work.unit')"
            @update:model-value="report.unit = String($event ?? '')"
          />
          <BFormInput
            :model-value="report.least ?? ''"
            size="sm"
            :model-modifiers="{ lazy: true }"
            class="figure hours"
            inputmode="decimal"
            :aria-label="t('work.leastOfReport', { number: i + 1 })"
            :placeholder="t('work.least')"
            @update:model-value="report.least = numberOrNull($event)"
          />
          <BFormInput
            :model-value="report.most ?? ''"
            size="sm"
            :model-modifiers="{ lazy: true }"
            class="figure hours"
            inputmode="decimal"
            :aria-label="t('work.mostOfReport', { number: i + 1 })"
            :placeholder="t('work.most')"
            @update:model-value="report.most = numberOrNull($event)"
          />
        </template>
        <CheckField
          class="skip"
          :model-value="report.maySkip === false"
          @update:model-value="report.maySkip = $event !== true"
        >
          {{ t('work.mustBeAnswered') }}
        </CheckField>
        <BButton variant="quiet" size="sm" @click="task.reports.splice(i, 1)">{{
          t('common.remove')
        }}</BButton>
      </div>
      <BButton variant="quiet" size="sm" @click="addReport">{{ t('work.addReport') }}</BButton>
    </div>
    <div class="more">
      <FormField
        v-if="desk.uses('price') || task.price"
        v-slot="{ id }"
        :label="t('work.fixedPriceIfSoldFlat')"
      >
        <BFormInput :id="id" v-model="task.price" size="sm" class="figure" inputmode="decimal" />
      </FormField>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.sum {
  margin: 6px 0 0;
  font-size: var(--text-xs);
}
.step {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
  gap: 8px 32px;
  padding: 4px 0 14px;
}
h3 {
  margin: 8px 0 6px;
  font-size: var(--text-s);
  font-weight: 700;
}
.line {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-bottom: 4px;
}
.report {
  flex-wrap: wrap;
}
.report .form-select {
  width: auto;
}
.report .form-control:not(.hours) {
  width: 140px;
}
.hours {
  max-width: 9ch;
}
.more {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  align-content: start;
}
.handle {
  cursor: grab;
}
</style>
