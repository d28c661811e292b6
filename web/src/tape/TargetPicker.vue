<script setup lang="ts">
import { ComboboxAnchor, ComboboxContent, ComboboxInput, ComboboxItem, ComboboxRoot } from 'reka-ui';
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { TargetJson } from '@wergon/contract/tape';
import type { WorkType } from '@wergon/core/work';
import { afterPointer } from '../kit/index.ts';
import { useTargetSearch } from './useTargetSearch.ts';
import { t } from '../words/index.ts';

/** A field for what time is put on: words or a scanned code, found while it is typed. */
const props = defineProps<{ label: string; title?: string; isWrong?: boolean; fieldId?: string }>();
/** The id of the task or activity; empty while none is chosen. */
const target = defineModel<string>({ required: true });
const text = defineModel<string>('text', { default: '' });
const emit = defineEmits<{ done: []; kind: [workType: WorkType] }>();
if (text.value === '' && props.title) text.value = props.title;

const isOpen = ref(false);
const list = useTemplateRef('list');
const highlighted = ref<string>();
const { found, isLooking, only, scanned, find } = useTargetSearch(text, isOpen);
/** What stands in the list: while somebody presses one of its lines no other takes its place under the hand. */
const shown = shallowRef(found.value);
watch(found, () => afterPointer(() => (shown.value = found.value)), { flush: 'sync' });
watch(shown, () => list.value?.highlightFirstItem?.(), { flush: 'post' });
// A scanned code stands for one thing alone: nobody has to choose it.
watch(scanned, (each) => isOpen.value && each && choose(each));

const inputAttrs = computed(() => (props.fieldId === undefined ? {} : { id: props.fieldId }));
const select = ({ target: input }: FocusEvent) => input instanceof HTMLInputElement && input.select();

function choose(each: TargetJson): void {
  target.value = each.id;
  text.value = each.title;
  if (each.workType) emit('kind', each.workType);
  isOpen.value = false;
  emit('done');
}
function chooseId(id: string | undefined): void {
  const each = shown.value.find((one) => one.id === id);
  if (each) choose(each);
}
function type(typed: string): void {
  text.value = typed;
  target.value = '';
}
function leave(): void {
  if (isOpen.value && target.value === '' && only.value) choose(only.value);
}
/** A scanner sends Enter faster than the server answers: the list's own Enter would choose what was found before. */
async function enter(event: KeyboardEvent): Promise<void> {
  if (!isOpen.value || target.value !== '') return;
  event.preventDefault();
  event.stopPropagation();
  const { targets, isCurrent, wasChanged } = await find();
  if (wasChanged) return;
  const chosen = (isCurrent && targets.find(({ id }) => id === highlighted.value)) || targets[0];
  if (chosen) choose(chosen);
}
/** Closes the list alone, not the form that it stands in. */
function escape(event: KeyboardEvent): void {
  if (!isOpen.value) return;
  event.stopPropagation();
  isOpen.value = false;
}
</script>

<template>
  <div class="picker" @keydown.enter.capture="enter" @keydown.esc.capture="escape">
    <ComboboxRoot
      ref="list"
      v-model:open="isOpen"
      :model-value="target"
      ignore-filter
      :reset-search-term-on-blur="false"
      :reset-search-term-on-select="false"
      @update:model-value="chooseId($event)"
      @highlight="highlighted = $event?.value"
    >
      <ComboboxAnchor>
        <ComboboxInput
          v-bind="inputAttrs"
          class="form-control form-control-sm"
          :class="{ wrong: isWrong }"
          :model-value="text"
          :aria-label="label"
          :placeholder="t('tape.taskActivityOrCode')"
          @update:model-value="type"
          @focus="select"
          @blur="leave"
        />
      </ComboboxAnchor>
      <ComboboxContent
        class="list"
        position="popper"
        position-strategy="fixed"
        align="start"
        :aria-label="label"
      >
        <ComboboxItem v-for="each in shown" :key="each.id" class="choice" :value="each.id">
          {{ each.title }} <span class="quiet">{{ each.more }}</span>
        </ComboboxItem>
        <p v-if="shown.length === 0 && !isLooking" class="choice quiet" role="status">
          {{ t('tape.noTaskOrActivityMatches') }}
        </p>
      </ComboboxContent>
    </ComboboxRoot>
  </div>
</template>

<style scoped>
/* The list is the library's element, placed in its own wrapper. */
.picker :deep(.list) {
  z-index: 5;
  width: max-content;
  min-width: var(--reka-combobox-trigger-width);
  max-width: min(420px, 100vw);
  max-height: min(300px, var(--reka-combobox-content-available-height));
  overflow: auto;
  background: var(--sheet);
  border: 1px solid var(--ink);
}
.choice {
  margin: 0;
  padding: 4px 10px;
  cursor: default;
}
.choice[data-highlighted] {
  background: var(--action-tint);
}
.wrong {
  border: 2px solid var(--attention);
}
</style>
