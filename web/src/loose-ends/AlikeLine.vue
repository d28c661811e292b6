<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { Instant } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { ChosenAnswer } from '@wergon/contract/loose-ends';
import { callRoute, wordsOf, sayClock, sayDate, useDesk } from '../kit/index.ts';
import { likeliestAnswers, namesOf } from './alike.ts';
import type { LooseEndJson } from './alike.ts';
import EffectView from './EffectView.vue';
import { sayAlike, sayAnswer, sayKinds } from './sentences.ts';
import { t } from '../words/index.ts';

/** Several loose ends that have the same likeliest answer: looked at and answered together, one by one if not. */
const props = defineProps<{ ends: readonly LooseEndJson[]; isBusy: boolean }>();
const emit = defineEmits<{ answer: [chosen: ChosenAnswer[], words: string] }>();
const desk = useDesk();
const isOpen = ref(false);
const answers = computed(() => likeliestAnswers(props.ends));
const words = computed(() => sayAlike(props.ends));
const names = computed(() => namesOf(props.ends));
const clock = (instant: Instant | null) =>
  instant === null || !desk.zone ? '' : sayClock(desk.zone, instant);
const effect = useQuery({
  queryKey: ['reconcile', 'effect', answers],
  queryFn: () => callRoute('previewAnswer', { body: { answers: answers.value } }),
  enabled: isOpen,
  retry: false,
});
</script>

<template>
  <li class="alike" :class="{ open: isOpen }">
    <p>
      <span
        ><b>{{ ends.length }}</b> {{ sayKinds(ends) }}: {{ names }}</span
      >
      <BButton variant="quiet" size="sm" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ t('looseEnds.all', { words, n: ends.length }) }}
      </BButton>
    </p>
    <template v-if="isOpen">
      <ul v-if="ends.some(({ answers: [first] }) => first?.at)">
        <li v-for="(end, i) in ends" :key="i">
          <b>{{ end.name ?? t('looseEnds.somebody') }}</b> {{ sayDate(end.day) }}:
          {{ end.answers[0] ? sayAnswer(end.answers[0], { clock, hours: desk.hours }) : '' }}
        </li>
      </ul>
      <p v-if="effect.isPending.value" class="quiet">{{ t('looseEnds.checkingWhatItWouldDo') }}</p>
      <p v-else-if="effect.error.value" class="attention" role="alert">{{ wordsOf(effect.error.value) }}</p>
      <div v-else-if="effect.data.value" class="effect">
        <EffectView :effect="effect.data.value" />
        <BButton
          variant="primary"
          size="sm"
          :disabled="isBusy"
          @click="emit('answer', answers, `${ends.length} ${sayKinds(ends)}, ${words}`)"
        >
          {{ t('looseEnds.putAllRight', { n: ends.length }) }}
        </BButton>
      </div>
    </template>
  </li>
</template>

<style scoped>
.alike {
  padding: 4px 16px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
}
.alike.open {
  padding-bottom: 10px;
  background: var(--action-tint);
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  margin: 0;
}
ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
.effect {
  max-width: 1100px;
}
</style>
