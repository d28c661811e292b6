<script setup lang="ts">
import { computed } from 'vue';
import type { ApprovalsJson } from '@wergon/contract/approval';
import { isSaidLength } from '@wergon/core/time';
import { sayDate, useDesk, linkToDay, linkToPay } from '../kit/index.ts';
import { PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** One person's shift day: what they attended, how much of it found its work, and whether somebody said it is right. */
type Person = ApprovalsJson['people'][number];
const props = defineProps<{
  person: Person;
  day: Person['days'][number];
  isBusy: boolean;
  isException: boolean;
}>();
const emit = defineEmits<{ approve: [stamp: string]; unapprove: [] }>();
const desk = useDesk();

const share = computed(() => {
  const { attendedSeconds, chargedSeconds } = props.day;
  return attendedSeconds === 0 ? 1 : Math.min(1, chargedSeconds / attendedSeconds);
});
const words = computed(() => {
  const { state, isOpen, looseEnds, by, isConfirmed } = props.day;
  if (isOpen) return t('common.inProgress');
  if (state === 'approved') return t('approval.approvedBy', { by: by ?? '' });
  if (state === 'changed') return t('approval.changedSince');
  return [
    ...(looseEnds > 0 ? [t('approval.loose', { n: looseEnds })] : []),
    ...(isConfirmed ? [t('approval.confirmed')] : []),
  ].join(', ');
});
const label = computed(() => `${props.person.name}, ${sayDate(props.day.day)}`);
</script>

<template>
  <div class="day" :class="[day.state, { exception: isException }]">
    <RouterLink
      class="figure"
      :to="linkToDay(person.technician, day.day)"
      :aria-label="`${label}: ${desk.hours(day.chargedSeconds)}`"
      >{{ desk.hours(day.chargedSeconds) }}</RouterLink
    >
    <span class="bar" aria-hidden="true"><i :style="{ width: `${share * 100}%` }"></i></span>
    <RouterLink
      v-if="isSaidLength(day.overtimeSeconds)"
      class="overtime"
      :class="{ attention: day.split === 'changed' }"
      :to="linkToPay(person.technician, day.day)"
      >{{
        day.split === 'decided'
          ? t('approval.decidedOvertime', { hours: desk.hours(day.overtimeSeconds) })
          : t('approval.overtime', { hours: desk.hours(day.overtimeSeconds) })
      }}</RouterLink
    >
    <span v-if="words" class="words">{{ words }}</span>
    <template v-if="person.refusal === null && !day.isOpen">
      <PlainButton
        v-if="day.state !== 'approved'"
        :disabled="isBusy"
        :aria-label="t('approval.approve', { label })"
        @click="emit('approve', day.stamp)"
      >
        {{ t('approval.approveWord') }}
      </PlainButton>
      <PlainButton
        v-else-if="!day.isClosed"
        class="back"
        :disabled="isBusy"
        :aria-label="t('approval.takeTheApprovalOfBack', { label })"
        @click="emit('unapprove')"
      >
        {{ t('approval.takeBack') }}
      </PlainButton>
    </template>
  </div>
</template>

<style scoped>
.day {
  display: flex;
  flex-direction: column;
  gap: 2px;
  font-size: var(--text-s);
}
.day a {
  color: var(--ink);
  font-weight: 700;
  text-decoration: none;
}
.day .overtime {
  color: var(--ink-2);
  font-weight: 400;
  text-decoration: underline;
}
.approved a {
  font-weight: 400;
}
.bar {
  height: 6px;
  border: 1px solid var(--line);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--bar);
}
.exception .bar {
  border: 1px dashed var(--attention);
}
.words {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.exception .words {
  color: var(--attention);
}
button {
  align-self: flex-start;
  min-height: 24px;
  padding: 0 6px;
  background: none;
  border: 1px solid var(--action);
  color: var(--action);
  font-size: var(--text-xs);
}
button.back {
  border-color: transparent;
  color: var(--ink-2);
}
button:hover {
  background: var(--action-tint);
}
</style>
