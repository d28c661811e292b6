<script setup lang="ts">
import { computed } from 'vue';
import type { Preparation } from '@wergon/contract/work';
import type { TaskDraft } from './orderDraft.ts';

/** Who is to do a task, the first to be asked first: technicians and crews. */
const assigned = defineModel<TaskDraft['assigned']>({ required: true });
const props = defineProps<{ preparation: Preparation | undefined }>();

const names = computed(() => new Map(props.preparation?.technicians.map(({ id, name }) => [id, name])));
const nameOf = ({ kind, id }: TaskDraft['assigned'][number]) =>
  kind === 'crew' ? `crew ${id}` : (names.value.get(id) ?? id);

function add(event: Event): void {
  const field = event.target as HTMLSelectElement;
  const [kind, ...rest] = field.value.split(':');
  const id = rest.join(':');
  field.value = '';
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
    <span class="label">Assigned, first asked first</span>
    <ol v-if="assigned.length > 0">
      <li v-for="(each, i) in assigned" :key="`${each.kind} ${each.id}`">
        {{ nameOf(each) }}
        <button v-if="i > 0" type="button" class="btn btn-quiet btn-sm" @click="sooner(i)">Sooner</button>
        <button
          type="button"
          class="btn btn-quiet btn-sm"
          @click="assigned = assigned.filter((_one, j) => j !== i)"
        >
          Remove
        </button>
      </li>
    </ol>
    <select class="form-select form-select-sm" aria-label="Assign somebody" @change="add">
      <option value="">Assign…</option>
      <optgroup v-if="preparation?.crews.length" label="Crews">
        <option v-for="crew in preparation.crews" :key="crew" :value="`crew:${crew}`">{{ crew }}</option>
      </optgroup>
      <optgroup label="People">
        <option v-for="{ id, name } in preparation?.technicians ?? []" :key="id" :value="`technician:${id}`">
          {{ name }}
        </option>
      </optgroup>
    </select>
  </div>
</template>

<style scoped>
.assigned {
  grid-column: span 2;
}
.label {
  color: var(--ink-2);
  font-size: 13px;
}
ol {
  margin: 2px 0 6px;
  padding-left: 22px;
}
</style>
