<script setup lang="ts">
import { PickField } from '../kit/parts/index.ts';
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import type { Preparation } from '@wergon/contract/work';
import type { TaskDraft } from './orderDraft.ts';
import { t } from '../words/index.ts';

/** Who is to do a task, the first to be asked first: technicians and crews. */
const assigned = defineModel<TaskDraft['assigned']>({ required: true });
const props = defineProps<{ preparation: Preparation | undefined }>();

const names = computed(() => new Map(props.preparation?.technicians.map(({ id, name }) => [id, name])));
const nameOf = ({ kind, id }: TaskDraft['assigned'][number]) =>
  kind === 'crew' ? `crew ${id}` : (names.value.get(id) ?? id);

function add(picked: string): void {
  const [kind, ...rest] = picked.split(':');
  const id = rest.join(':');
  if (
    (kind === 'technician' || kind === 'crew') &&
    !assigned.value.some((each) => each.kind === kind && each.id === id)
  )
    assigned.value = [...assigned.value, { kind, id }];
}
function sooner(i: number): void {
  const next = [...assigned.value];
  const [one] = next.splice(i, 1);
  if (one) next.splice(i - 1, 0, one);
  assigned.value = next;
}
</script>

<template>
  <div class="assigned">
    <span class="label">{{ t('work.assignedFirstAskedFirst') }}</span>
    <ol v-if="assigned.length > 0">
      <li v-for="(each, i) in assigned" :key="`${each.kind} ${each.id}`">
        {{ nameOf(each) }}
        <BButton v-if="i > 0" variant="quiet" size="sm" @click="sooner(i)">{{ t('work.sooner') }}</BButton>
        <BButton variant="quiet" size="sm" @click="assigned = assigned.filter((_one, j) => j !== i)">
          {{ t('common.remove') }}
        </BButton>
      </li>
    </ol>
    <PickField size="sm" :aria-label="t('work.assignSomebody')" @pick="add">
      <option value="">{{ t('work.assign') }}</option>
      <optgroup v-if="preparation?.crews.length" :label="t('common.crews')">
        <option v-for="crew in preparation.crews" :key="crew" :value="`crew:${crew}`">{{ crew }}</option>
      </optgroup>
      <optgroup :label="t('common.people')">
        <option v-for="{ id, name } in preparation?.technicians ?? []" :key="id" :value="`technician:${id}`">
          {{ name }}
        </option>
      </optgroup>
    </PickField>
  </div>
</template>

<style scoped>
.assigned {
  grid-column: span 2;
}
.label {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
ol {
  margin: 2px 0 6px;
  padding-left: 22px;
}
</style>
