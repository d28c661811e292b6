<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { WrittenJson } from '@wergon/contract/tape';
import { callRoute } from '../kit/index.ts';
import type { Undoable } from '../loose-ends/index.ts';
import AskedEffect from './AskedEffect.vue';
import TargetPicker from './TargetPicker.vue';
import { useAskedEffect } from './useAskedEffect.ts';
import { t } from '../words/index.ts';

/** The real task of what was written down, and what putting all its time there would do. */
const props = defineProps<{ written: WrittenJson; acts: Undoable }>();
const emit = defineEmits<{ done: [] }>();
const target = ref('');
const text = ref(props.written.said);
const params = computed(() => ({ task: props.written.task }));
/** What nobody has worked on changes no day. */
const body = computed(() =>
  target.value === '' || props.written.seconds === 0 ? undefined : { target: target.value },
);
const { effect, refusal, isLooking } = useAskedEffect('tie-effect', body, (sent) =>
  callRoute('previewTie', { params: params.value, body: sent }),
);
async function tie(): Promise<void> {
  const words = t('tape.tiedTo', { words: props.written.words, title: text.value });
  const isDone = await props.acts.make(words, (once) =>
    callRoute('tieWritten', { params: params.value, body: { target: target.value, once } }),
  );
  if (isDone) emit('done');
}
</script>

<template>
  <form class="tie" :aria-label="t('tape.tieWhat', { words: written.words })" @submit.prevent="tie">
    <div class="fields">
      <TargetPicker v-model="target" v-model:text="text" :label="t('tape.itsTask')" />
      <BButton
        type="submit"
        variant="primary"
        size="sm"
        :disabled="target === '' || acts.isBusy.value || refusal !== ''"
        >{{ t('tape.tieIt') }}</BButton
      >
    </div>
    <AskedEffect v-if="body" :effect="effect" :refusal="refusal" :is-looking="isLooking" />
  </form>
</template>

<style scoped>
.tie {
  max-width: 1100px;
  padding: 8px 0;
}
.fields {
  display: grid;
  grid-template-columns: minmax(200px, 400px) auto;
  gap: 8px;
  justify-content: start;
  align-items: start;
}
</style>
