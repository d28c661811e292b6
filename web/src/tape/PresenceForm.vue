<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { toInstant } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import { callRoute, sayClock } from '../kit/index.ts';
import AskedEffect from './AskedEffect.vue';
import ClockField from './ClockField.vue';
import ConfirmActs from './ConfirmActs.vue';
import { useAskedEffect } from './useAskedEffect.ts';
import type { PresenceEditing } from './usePresenceEdit.ts';
import { CheckField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

/** What a shift or a break becomes, in fields, and what that would do. */
const props = defineProps<{ editing: PresenceEditing; isBusy: boolean; zone: Zone; now: Instant }>();
const draft = computed(() => props.editing.draft.value);
const becomes = computed(() => draft.value?.becomes ?? null);
const { effect, refusal, isLooking } = useAskedEffect('presence-effect', props.editing.body, (body) =>
  callRoute('previewPresence', { body }),
);
const words = computed(() => {
  const piece = becomes.value ?? draft.value?.was;
  const what = t('tape.kindFrom', {
    kind: draft.value ? t(`presence.${draft.value.kind}`) : '',
    time: piece ? sayClock(props.zone, piece.from) : '',
  });
  return becomes.value ? what : t('tape.isTakenOut', { title: what });
});
function setEnd(isOpen: boolean): void {
  if (becomes.value) becomes.value.to = isOpen ? null : toInstant(props.now - (props.now % 60));
}
</script>

<template>
  <form v-if="draft" class="edit" @submit.prevent="editing.confirm(words)" @keydown.esc="editing.clear()">
    <div v-if="becomes" class="fields">
      <label>
        <span>{{ draft.kind === 'shift' ? t('common.inHead') : t('tape.breakFrom') }}</span>
        <ClockField
          v-model="becomes.from"
          :label="draft.kind === 'shift' ? t('common.inHead') : t('tape.breakFrom')"
          :zone="zone"
        />
      </label>
      <label v-if="becomes.to !== null">
        <span>{{ draft.kind === 'shift' ? t('tape.outHead') : t('tape.until') }}</span>
        <ClockField
          :model-value="becomes.to"
          :label="draft.kind === 'shift' ? t('tape.outHead') : t('tape.breakUntil')"
          :zone="zone"
          :after="becomes.from"
          @update:model-value="becomes.to = $event"
        />
      </label>
      <CheckField
        class="check"
        :model-value="becomes.to === null"
        @update:model-value="setEnd($event === true)"
        >{{ draft.kind === 'shift' ? t('tape.stillIn') : t('tape.goesOnNow') }}</CheckField
      >
      <BButton variant="quiet" size="sm" @click="editing.drop()">{{ t('tape.takeOut') }}</BButton>
    </div>
    <p v-else>{{ t('tape.thisIsTakenOutItNeverWas', { kind: draft.kind }) }}</p>
    <ConfirmActs
      v-model="draft.reason"
      :cannot="isBusy || !editing.body.value || refusal !== ''"
      @leave="editing.clear()"
    />
    <AskedEffect v-if="editing.body.value" :effect="effect" :refusal="refusal" :is-looking="isLooking" />
  </form>
</template>

<style scoped>
.edit {
  max-width: 1100px;
  margin-top: 8px;
  padding: 10px 12px 12px;
  background: var(--action-tint);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: end;
  margin-bottom: 8px;
}
label > span {
  display: block;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.check {
  padding-bottom: 4px;
}
p {
  margin: 4px 0;
}
</style>
