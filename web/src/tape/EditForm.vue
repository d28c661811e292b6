<script setup lang="ts">
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { toInstant } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import { CallFailed, callRoute, sayClock } from '../kit/index.ts';
import AskedEffect from './AskedEffect.vue';
import TargetPicker from './TargetPicker.vue';
import ClockField from './ClockField.vue';
import ConfirmActs from './ConfirmActs.vue';
import { useAskedEffect } from './useAskedEffect.ts';
import type { TapeBlock } from './usePersonDay.ts';
import type { DraftPiece, TapeEditing } from './useTapeEdit.ts';
import { CheckField } from '../kit/parts/index.ts';
import { sayList, t } from '../words/index.ts';

/** What a block becomes, in fields, and what that would do. */
const props = defineProps<{
  editing: TapeEditing;
  isBusy: boolean;
  people: readonly { readonly id: string; readonly name: string }[];
  zone: Zone;
  now: Instant;
  blocks: readonly TapeBlock[];
}>();
const draft = computed(() => props.editing.draft.value);
/** Only what makes something else of the block is asked for. */
const body = computed(() => (props.editing.isChanged.value ? props.editing.body.value : undefined));
const {
  effect,
  error,
  isLooking,
  refusal: told,
} = useAskedEffect('edit-effect', body, (sent) => callRoute('previewEdit', { body: sent }));
const refusal = computed(() => {
  const problem = error.value instanceof CallFailed ? error.value.problem : null;
  // What comes to the same is drawn further, not refused.
  return problem?.type === 'urn:wergon:edit.nothing' ? '' : told.value;
});
/** Both versions, where somebody else has changed the block while it was being edited. */
const conflict = computed(() => {
  const block = draft.value?.block;
  if (!block) return undefined;
  const say = (from: Instant, to: Instant | null, titles: readonly { readonly title: string }[]) =>
    t('tape.fromTo', {
      titles: sayList(titles.map(({ title }) => title)),
      time: sayClock(props.zone, from),
      end: to === null ? t('common.now') : sayClock(props.zone, to),
    });
  const isThere = props.blocks.some(
    ({ from, to, stint }) =>
      from === block.from &&
      (block.to === null || to === block.to) &&
      stint.running.map(({ target }) => target).join() === block.running.map(({ target }) => target).join(),
  );
  if (isThere) return undefined;
  const end = block.to ?? props.now;
  const others = props.blocks.filter(({ from, to }) => from < end && block.from < to);
  return {
    was: say(block.from, block.to, block.running),
    is: others.map(({ from, to, stint }) => say(from, to, stint.running)).join('; ') || 'nothing',
  };
});
const isDeleted = computed(() => draft.value?.block !== null && draft.value?.becomes.length === 0);
const isOwnTo = ({ to }: DraftPiece) => to !== null;
const words = computed(() => {
  const [piece] = draft.value?.becomes ?? [];
  const block = draft.value?.block ?? piece;
  if (!block) return '';
  const title = sayList((piece ?? block).running.map((run) => run.title));
  const params = { title, time: sayClock(props.zone, (piece ?? block).from) };
  return isDeleted.value ? t('tape.titleFromTakenOut', params) : t('tape.titleFrom', params);
});

function setWork(piece: DraftPiece, target: string): void {
  const [first] = piece.running;
  // Another task takes the place of all that ran together.
  piece.running = [{ target, workType: first?.workType ?? 'run', title: first?.title ?? '', order: null }];
}
function setTitle(piece: DraftPiece, title: string): void {
  const [first] = piece.running;
  if (first) first.title = title;
}
function setKind(piece: DraftPiece, kind: string): void {
  const workType = WORK_TYPES.find((each) => each === kind) ?? 'run';
  piece.running = piece.running.map((run) => ({ ...run, workType }));
}
function setEnd(piece: DraftPiece, isOpen: boolean): void {
  piece.to = isOpen ? null : toInstant(props.now - (props.now % 60));
}
</script>

<template>
  <form v-if="draft" class="edit" @submit.prevent="editing.confirm(words)" @keydown.esc="editing.clear()">
    <div v-for="(piece, i) in draft.becomes" :key="i" class="piece">
      <label>
        <span>{{ t('common.from') }}</span>
        <ClockField v-model="piece.from" :label="t('common.from')" :zone="zone" />
      </label>
      <label>
        <span>{{ t('tape.to') }}</span>
        <ClockField
          v-if="isOwnTo(piece)"
          :model-value="piece.to!"
          :label="t('tape.to')"
          :zone="zone"
          :after="piece.from"
          @update:model-value="piece.to = $event"
        />
        <span v-else class="figure open">{{ t('tape.goesOn') }}</span>
      </label>
      <CheckField
        v-if="draft.block === null || draft.block.to === null"
        class="check"
        :model-value="piece.to === null"
        @update:model-value="setEnd(piece, $event === true)"
        >{{ t('tape.goesOnNow') }}</CheckField
      >
      <div class="work">
        <span>{{ t('common.work') }}</span>
        <TargetPicker
          :model-value="piece.running[0]?.target ?? ''"
          :text="sayList(piece.running.map(({ title }) => title))"
          :label="t('common.work')"
          @update:model-value="setWork(piece, $event)"
          @update:text="setTitle(piece, $event)"
          @kind="setKind(piece, $event)"
        />
      </div>
      <label>
        <span>{{ t('common.kind') }}</span>
        <BFormSelect
          size="sm"
          :model-value="piece.running[0]?.workType ?? 'run'"
          @update:model-value="setKind(piece, String($event))"
        >
          <option v-for="kind in WORK_TYPES" :key="kind" :value="kind">{{ t(`workTypes.${kind}`) }}</option>
        </BFormSelect>
      </label>
      <label>
        <span>{{ t('common.person') }}</span>
        <BFormSelect v-model="piece.technician" size="sm">
          <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
        </BFormSelect>
      </label>
      <BButton variant="quiet" size="sm" @click="editing.split(i, now)">{{ t('common.split') }}</BButton>
      <BButton variant="quiet" size="sm" @click="editing.drop(i)">{{ t('tape.takeOut') }}</BButton>
    </div>
    <p v-if="conflict" class="attention" role="alert">
      {{ t('tape.somebodyHasChangedThisMeanwhile', { was: conflict.was, is: conflict.is }) }}
    </p>
    <p v-if="isDeleted" class="gone">{{ t('tape.thisBlockIsTakenOutItNeverWas') }}</p>
    <ConfirmActs
      v-model="draft.reason"
      :cannot="isBusy || !editing.isChanged.value || refusal !== '' || conflict !== undefined"
      @leave="editing.clear()"
    />
    <AskedEffect v-if="editing.isChanged.value" :effect="effect" :refusal="refusal" :is-looking="isLooking" />
  </form>
</template>

<style scoped>
.edit {
  padding: 10px 16px 12px;
  background: var(--action-tint);
  border-bottom: 1px solid var(--line);
}
.piece {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: end;
  margin-bottom: 8px;
}
.piece label > span:first-child,
.work > span {
  display: block;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.work {
  flex: 1 1 220px;
  max-width: 360px;
}
.open {
  display: block;
  padding: 4px 0;
}
.check {
  padding-bottom: 4px;
}
p {
  margin: 4px 0;
}
</style>
