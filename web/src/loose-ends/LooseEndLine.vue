<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import type { Instant } from '@wergon/core/time';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { ChosenAnswer } from '@wergon/contract/loose-ends';
import { callRoute, wordsOf, sayClock, useDesk, linkToDay } from '../kit/index.ts';
import { writeAnswer } from './alike.ts';
import type { LooseEndJson } from './alike.ts';
import EffectView from './EffectView.vue';
import { sayAnswer, sayLooseEnd } from './sentences.ts';
import { sayFieldProblem, t } from '../words/index.ts';

const props = defineProps<{ end: LooseEndJson; isOpen: boolean; isBusy: boolean }>();
const emit = defineEmits<{
  open: [];
  answer: [chosen: ChosenAnswer, words: string];
  accept: [ends: readonly LooseEndJson[], reason: string];
}>();
const desk = useDesk();

const clock = (instant: Instant | null) =>
  instant === null || !desk.zone ? '' : sayClock(desk.zone, instant);
const words = { clock, hours: desk.hours };
const mayDecide = computed(() => props.end.mayDecide);
const canAnswer = computed(() => mayDecide.value && props.end.answers.length > 0);
const reason = ref('');
/** Whatever else it was is said on the tape of that day. */
const another = computed(() => linkToDay(props.end.technician ?? '', props.end.day));

/** The answer that Enter would give. */
const place = ref(0);
const chosen = computed((): ChosenAnswer | undefined => {
  const answer = props.end.answers[place.value];
  return answer && writeAnswer(props.end, answer);
});
const effect = useQuery({
  queryKey: ['reconcile', 'effect', chosen],
  queryFn: () => callRoute('previewAnswer', { body: { answers: chosen.value ? [chosen.value] : [] } }),
  enabled: computed(() => props.isOpen && canAnswer.value && chosen.value !== undefined),
  retry: false,
});

const line = ref<HTMLElement>();
function choose(next: number): void {
  if (next < props.end.answers.length) place.value = next;
  emit('open');
}
/** After a click the line has the focus, where Enter gives the answer; on its button it would choose it again. */
function pick(next: number): void {
  choose(next);
  line.value?.focus();
}
function confirm(): void {
  const answer = props.end.answers[place.value];
  if (chosen.value && answer && !props.isBusy)
    emit('answer', chosen.value, `${props.end.name ?? ''}: ${sayAnswer(answer, words)}`);
}
function accept(): void {
  if (reason.value.trim() === '' || props.isBusy) return;
  emit('accept', [props.end], reason.value);
  reason.value = '';
}
function onKey(event: KeyboardEvent): void {
  if (!mayDecide.value || event.target !== event.currentTarget) return;
  if (/^[1-3]$/.test(event.key)) choose(Number(event.key) - 1);
  else if (event.key === 'Enter' && props.isOpen) confirm();
  else if (event.key === 'Enter') emit('open');
  else return;
  event.preventDefault();
  event.stopPropagation();
}
</script>

<template>
  <li
    ref="line"
    :tabindex="mayDecide ? 0 : undefined"
    :class="{ open: isOpen }"
    @keydown="onKey"
    @focus="emit('open')"
  >
    <div class="told">
      <p class="sentence">
        <b>{{ end.name ?? t('looseEnds.somebody') }}</b> {{ sayLooseEnd(end, words) }}
      </p>
      <div v-if="canAnswer" class="answers">
        <BButton
          v-for="(answer, i) in end.answers"
          :key="answer.reason"
          variant="quiet"
          size="sm"
          :aria-pressed="isOpen && place === i"
          @click="pick(i)"
        >
          <b class="figure">{{ i + 1 }}</b> {{ sayAnswer(answer, words) }}
        </BButton>
        <RouterLink :to="another" class="btn btn-quiet btn-sm">{{ t('looseEnds.somethingElse') }}</RouterLink>
      </div>
      <div v-else-if="mayDecide && end.technician" class="answers">
        <RouterLink :to="another" class="btn btn-quiet btn-sm">{{ t('looseEnds.openTheDay') }}</RouterLink>
      </div>
      <div v-else-if="mayDecide && end.kind === 'unknown-code' && desk.may('people.see')" class="answers">
        <RouterLink :to="{ name: 'people' }" class="btn btn-quiet btn-sm">{{
          t('looseEnds.assignAsABadge')
        }}</RouterLink>
      </div>
    </div>
    <details v-if="end.refused">
      <summary>
        {{
          end.refused.errors.map(({ field, message }) => `${field}: ${sayFieldProblem(message)}`).join('; ')
        }}
      </summary>
      <pre class="mono">{{ end.refused.body }}</pre>
    </details>
    <div v-if="isOpen && canAnswer" class="effect">
      <p v-if="effect.error.value" class="attention" role="alert">{{ wordsOf(effect.error.value) }}</p>
      <template v-else>
        <!-- Above what it would do, so that it stays where it is when that arrives. -->
        <p class="act">
          <BButton variant="primary" size="sm" :disabled="isBusy || effect.isPending.value" @click="confirm">
            {{ t('common.putItRight') }}
          </BButton>
          <span class="quiet">{{
            effect.isPending.value ? t('looseEnds.checkingWhatItWouldDo') : t('looseEnds.orEnter')
          }}</span>
        </p>
        <EffectView v-if="effect.data.value" :effect="effect.data.value" />
      </template>
    </div>
    <form v-if="isOpen && mayDecide" class="accept" @submit.prevent="accept">
      <BFormInput
        v-model="reason"
        size="sm"
        :aria-label="t('looseEnds.whyItIsAcceptedAsItIs', { name: end.name ?? '' })"
        :placeholder="t('looseEnds.acceptItAsItIsBecause', { or: canAnswer ? `${t('looseEnds.or')} ` : '' })"
        maxlength="200"
        @keydown.stop
      />
      <BButton type="submit" variant="quiet" size="sm" :disabled="isBusy || reason.trim() === ''">
        {{ t('common.accept') }}
      </BButton>
    </form>
  </li>
</template>

<style scoped>
li {
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
}
li.open {
  background: var(--action-tint);
}
.sentence {
  margin: 0;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 4px 0;
}
@media (min-width: 1100px) {
  .told {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
    gap: 0 24px;
    align-items: center;
  }
  .answers {
    margin: 0;
  }
}
.answers [aria-pressed='true'] {
  border-color: var(--action);
  border-width: 2px;
  font-weight: 600;
}
.effect {
  max-width: 1100px;
}
.accept {
  display: flex;
  gap: 6px;
  max-width: 520px;
  margin: 6px 0 2px;
}
pre {
  margin: 6px 0 0;
  white-space: pre-wrap;
}
.act {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
</style>
