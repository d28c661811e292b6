<script setup lang="ts">
import { computed } from 'vue';
import { BButton } from 'bootstrap-vue-next';
import type { Conflict, PartDraft, TaskDraft } from './orderDraft.ts';
import { DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

defineProps<{ conflicts: readonly Conflict[]; taken: readonly string[] }>();
const emit = defineEmits<{ theirs: [field: Conflict['field']]; mine: [field: Conflict['field']] }>();

const NAMES: Partial<Record<string, string>> = {
  title: t('work.description'),
  due: t('work.due'),
  quantity: t('work.pieces'),
  jobType: t('common.jobType'),
  estimateIncludes: t('work.whatTheEstimateIncludes'),
};
const nameOf = (field: string) => NAMES[field] ?? field[0]?.toUpperCase() + field.slice(1);

/** A field of a draft in words. */
function say(field: string, json: string): string {
  const value: unknown = JSON.parse(json);
  if (field === 'tasks')
    return (value as TaskDraft[])
      .map(
        ({ title, runHours, setupHours, runHoursPerPiece }) =>
          `${title} (${[setupHours, runHours, runHoursPerPiece].filter(Boolean).join(' + ') || t('common.noEstimate')})`,
      )
      .join(', ');
  if (field === 'parts')
    return (value as PartDraft[]).map(({ name, quantity }) => `${quantity} × ${name}`).join(', ');
  if (Array.isArray(value)) return value.join(', ');
  return value === null || value === ''
    ? t('common.nothing')
    : typeof value === 'object'
      ? JSON.stringify(value)
      : String(value);
}
const columns = computed((): readonly Column<Conflict>[] => [
  {
    id: 'bothOfYouChanged',
    title: t('work.bothOfYouChanged'),
    isRowHead: true,
    value: (each) => nameOf(each.field),
  },
  { id: 'yours', title: t('work.yours'), value: (each) => say(each.field, each.mine) },
  { id: 'theirs', title: t('work.theirs'), value: (each) => say(each.field, each.theirs) },
  { id: 'acts', class: 'acts' },
]);
</script>

<template>
  <section class="conflict" role="alert" :aria-label="t('work.changedBySomebodyElse')">
    <p>
      <b>{{ t('work.somebodyElseSavedThisOrderWhile') }}</b> {{ t('work.nothingOfYoursIsLost') }}
    </p>
    <p v-if="taken.length > 0">
      {{ t('work.takenOverBecauseYouHadNotTouched', { fields: taken.map(nameOf).join(', ') }) }}
    </p>
    <DataTable
      v-if="conflicts.length > 0"
      :rows="conflicts"
      :columns="columns"
      :row-key="(each) => each.field"
      ><template #acts="{ row: each }"
        ><BButton variant="quiet" size="sm" @click="emit('mine', each.field)">
          {{ t('work.keepMine') }}
        </BButton>
        <BButton variant="quiet" size="sm" @click="emit('theirs', each.field)">
          {{ t('work.takeTheirs') }}
        </BButton></template
      ></DataTable
    >
    <p v-if="conflicts.length === 0">{{ t('work.lookItOverAndSaveAgain') }}</p>
  </section>
</template>

<style scoped>
.conflict {
  margin-bottom: 16px;
  padding: 12px 16px;
  background: var(--attention-tint);
  border: 2px solid var(--attention);
}
p {
  margin: 0 0 6px;
}
table {
  width: 100%;
}
table :deep(th),
table :deep(td) {
  padding: 5px 10px 5px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
table :deep(th[scope='row']) {
  font-weight: 700;
}
table :deep(.acts) {
  white-space: nowrap;
}
</style>
