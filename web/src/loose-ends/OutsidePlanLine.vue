<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { sumSeconds } from '@wergon/core/time';
import { useDesk, linkToDay } from '../kit/index.ts';
import type { LooseEndJson } from './alike.ts';
import { t } from '../words/index.ts';

/** Time of one person on nothing before the planned beginning or after the planned end: one line a day. */
const props = defineProps<{ ends: readonly LooseEndJson[]; isBusy: boolean }>();
const emit = defineEmits<{ accept: [ends: readonly LooseEndJson[], reason: string] }>();
const desk = useDesk();
const reason = ref(t('looseEnds.cameEarlyWentLate'));
const first = computed(() => props.ends[0]);
const seconds = computed(() => sumSeconds(props.ends));
</script>

<template>
  <li class="outside">
    <p>
      <b>{{ first?.name ?? t('looseEnds.somebody') }}</b> {{ t('looseEnds.wasSignedInWithoutATaskOutside') }}
      <span class="figure">{{ desk.hours(seconds) }}</span>{{
        ends.length > 1 ? ` ${t('looseEnds.inStretches', { n: ends.length })}` : ''
      }}{{ t('looseEnds.acceptItOr') }}
      <RouterLink v-if="first?.technician" :to="linkToDay(first.technician, first.day)">{{
        t('looseEnds.enterWhatWasDone')
      }}</RouterLink>.
    </p>
    <form v-if="first?.mayDecide" @submit.prevent="emit('accept', ends, reason)">
      <BFormInput
        v-model="reason"
        size="sm"
        :aria-label="t('looseEnds.whyItIsAcceptedAsItIs', { name: first?.name ?? '' })"
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
.outside {
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 0 0 4px;
}
form {
  display: flex;
  gap: 6px;
  max-width: 520px;
}
@media (min-width: 1100px) {
  .outside {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
    gap: 0 24px;
    align-items: center;
  }
  p {
    margin: 0;
  }
}
</style>
