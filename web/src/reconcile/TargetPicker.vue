<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, ref, useId, watch } from 'vue';
import type { TargetJson } from '@wergon/contract/reconcile';
import type { WorkType } from '@wergon/core/work';
import { callRoute } from '../desk/callRoute.ts';

/** A field for what time is put on: words or a scanned code, found while it is typed. */
const props = defineProps<{ label: string; title?: string; isWrong?: boolean; fieldId?: string }>();
/** The id of the task or activity; empty while none is chosen. */
const target = defineModel<string>({ required: true });
const text = defineModel<string>('text', { default: '' });
const emit = defineEmits<{ done: []; kind: [workType: WorkType] }>();
const ownId = useId();
const id = computed(() => props.fieldId ?? ownId);
const isOpen = ref(false);
const place = ref(0);
if (text.value === '' && props.title) text.value = props.title;

const query = useQuery({
  queryKey: ['targets', text],
  queryFn: () => callRoute('targets', { query: { search: text.value } }),
  enabled: isOpen,
  placeholderData: keepPreviousData,
});
const found = computed(() => query.data.value?.targets ?? []);
watch(
  () => query.data.value,
  (answer) => {
    place.value = 0;
    // A scanned code stands for one thing alone: nobody has to choose it.
    const [only] = answer?.targets ?? [];
    if (isOpen.value && answer?.exact && only) choose(only);
  },
);

function choose(each: TargetJson): void {
  target.value = each.id;
  text.value = each.title;
  if (each.workType) emit('kind', each.workType);
  isOpen.value = false;
  emit('done');
}
function type(event: Event): void {
  text.value = (event.target as HTMLInputElement).value;
  target.value = '';
  isOpen.value = true;
}
function leave(): void {
  const [only] = found.value;
  if (isOpen.value && target.value === '' && found.value.length === 1 && only) choose(only);
  isOpen.value = false;
}
async function onKey(event: KeyboardEvent): Promise<void> {
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    const step = event.key === 'ArrowDown' ? 1 : -1;
    place.value = Math.max(0, Math.min(found.value.length - 1, place.value + step));
    isOpen.value = true;
  } else if (event.key === 'Enter' && isOpen.value && target.value === '') {
    event.preventDefault();
    event.stopPropagation();
    // A scanner sends Enter faster than the server answers.
    const { data } = await query.refetch();
    const chosen = data?.targets[place.value];
    if (chosen) choose(chosen);
    return;
  } else if (event.key === 'Escape' && isOpen.value) isOpen.value = false;
  else return;
  event.preventDefault();
}
</script>

<template>
  <div class="picker">
    <input
      :id="id"
      :value="text"
      class="form-control form-control-sm"
      :class="{ wrong: isWrong }"
      role="combobox"
      autocomplete="off"
      :aria-label="label"
      :aria-expanded="isOpen"
      :aria-controls="`${id}-list`"
      :aria-activedescendant="isOpen && found[place] ? `${id}-${place}` : undefined"
      placeholder="task, activity or code"
      @input="type"
      @focus="($event.target as HTMLInputElement).select()"
      @blur="leave"
      @keydown="onKey"
    />
    <ul v-if="isOpen" :id="`${id}-list`" role="listbox" :aria-label="label">
      <li
        v-for="(each, i) in found"
        :id="`${id}-${i}`"
        :key="each.id"
        role="option"
        :aria-selected="place === i"
        @mousedown.prevent="choose(each)"
      >
        {{ each.title }} <span class="quiet">{{ each.more }}</span>
      </li>
      <li
        v-if="found.length === 0 && !query.isFetching.value"
        class="quiet"
        role="option"
        aria-selected="false"
      >
        nothing of these words
      </li>
    </ul>
  </div>
</template>

<style scoped>
.picker {
  position: relative;
}
ul {
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 5;
  min-width: 100%;
  width: max-content;
  max-width: 420px;
  max-height: 300px;
  margin: 0;
  padding: 0;
  overflow: auto;
  background: var(--sheet);
  border: 1px solid var(--ink);
  list-style: none;
}
li {
  padding: 4px 10px;
  cursor: default;
}
li[aria-selected='true'] {
  background: var(--action-tint);
}
.wrong {
  border: 2px solid var(--attention);
}
</style>
