<script setup lang="ts">
import { useElementBounding, useWindowSize } from '@vueuse/core';
import { BFormInput } from 'bootstrap-vue-next';
import { computed, ref, useId, useTemplateRef, watch } from 'vue';
import type { TargetJson } from '@wergon/contract/tape';
import type { WorkType } from '@wergon/core/work';
import { useTargetSearch } from './useTargetSearch.ts';
import { t } from '../words/index.ts';

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

/** The list lies over whatever clips the field, such as a table that scrolls sideways; above it where there is no room below. */
const input = useTemplateRef('input');
const field = computed(() => input.value?.element);
const { top, bottom, left, width } = useElementBounding(field);
const { height: windowHeight } = useWindowSize();
const LEAST_ROOM = 200;
const MOST_HEIGHT = 300;
const listStyle = computed(() => {
  const below = windowHeight.value - bottom.value;
  const isAbove = below < LEAST_ROOM && top.value > below;
  const room = (isAbove ? top.value : below) - 8;
  return {
    left: `${left.value}px`,
    minWidth: `${width.value}px`,
    maxHeight: `${Math.min(MOST_HEIGHT, room)}px`,
    ...(isAbove ? { bottom: `${windowHeight.value - top.value}px` } : { top: `${bottom.value}px` }),
  };
});
if (text.value === '' && props.title) text.value = props.title;

const { found, isLooking, only, scanned, find } = useTargetSearch(text, isOpen);
watch(found, () => (place.value = 0));
// A scanned code stands for one thing alone: nobody has to choose it.
watch(scanned, (each) => isOpen.value && each && choose(each));

function choose(each: TargetJson): void {
  target.value = each.id;
  text.value = each.title;
  if (each.workType) emit('kind', each.workType);
  isOpen.value = false;
  emit('done');
}
function type(typed: string): void {
  text.value = typed;
  target.value = '';
  isOpen.value = true;
}
function leave(): void {
  if (isOpen.value && target.value === '' && only.value) choose(only.value);
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
    const { targets, isCurrent, wasChanged } = await find();
    const chosen = targets[isCurrent ? place.value : 0];
    if (chosen && !wasChanged) choose(chosen);
    return;
  } else if (event.key === 'Escape' && isOpen.value) isOpen.value = false;
  else return;
  event.preventDefault();
}
</script>

<template>
  <div class="picker">
    <BFormInput
      :id="id"
      ref="input"
      :model-value="text"
      size="sm"
      :class="{ wrong: isWrong }"
      role="combobox"
      autocomplete="off"
      :aria-label="label"
      :aria-expanded="isOpen"
      :aria-controls="`${id}-list`"
      :aria-activedescendant="isOpen && found[place] ? `${id}-${place}` : undefined"
      :placeholder="t('tape.taskActivityOrCode')"
      @update:model-value="type(String($event ?? ''))"
      @focus="input?.element?.select()"
      @blur="leave"
      @keydown="onKey"
    />
    <ul v-if="isOpen" :id="`${id}-list`" role="listbox" :aria-label="label" :style="listStyle">
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
      <li v-if="found.length === 0 && !isLooking" class="quiet" role="option" aria-selected="false">
        {{ t('tape.noTaskOrActivityMatches') }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.picker {
  position: relative;
}
ul {
  position: fixed;
  z-index: 5;
  width: max-content;
  max-width: min(420px, 100vw);
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
