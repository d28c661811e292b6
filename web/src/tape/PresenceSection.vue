<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { toInstant } from '@wergon/core/time';
import { computed } from 'vue';
import type { PersonDayJson, PresentJson } from '@wergon/contract/tape';
import type { Instant, Span, Zone } from '@wergon/core/time';
import { sayClock, useDesk } from '../kit/index.ts';
import PresenceForm from './PresenceForm.vue';
import type { PresenceEditing } from './usePresenceEdit.ts';
import { DataTable } from '../kit/parts/index.ts';
import type { Column } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** When somebody was in and on break, as a list; each is put right where it stands. */
const props = defineProps<{
  editing: PresenceEditing;
  isBusy: boolean;
  mayEdit: boolean;
  told: PersonDayJson;
  zone: Zone;
  /** A shift where none was scanned. */
  guess: Span;
  now: Instant;
}>();
const desk = useDesk();

const clock = (instant: Instant) => sayClock(props.zone, instant);
type Row = PresentJson & { readonly kind: 'shift' | 'break' };
const rows = computed((): Row[] =>
  [
    ...props.told.shifts.map((each) => ({ ...each, kind: 'shift' as const })),
    ...props.told.breaks.map((each) => ({ ...each, kind: 'break' as const })),
  ].sort((a, b) => a.from - b.from),
);
const draft = computed(() => props.editing.draft.value);
const isTaken = (row: Row) => draft.value?.kind === row.kind && draft.value?.was?.from === row.from;
const end = ({ kind, to, isOpen, isTorn }: Row) =>
  isTorn
    ? t('tape.nobodySaid')
    : isOpen
      ? kind === 'shift'
        ? t('tape.stillIn')
        : t('tape.goesOn')
      : clock(to);

/** As planned, or an hour ago, and never in the future. */
function addShift(): void {
  const from = toInstant(Math.min(props.guess.from, props.now - 3600));
  const to = toInstant(Math.min(props.guess.to, props.now));
  props.editing.begin(props.told.technician, 'shift', { from, to });
}
function addBreak(): void {
  const [first] = props.told.shifts;
  const middle = first ? (first.from + first.to) / 2 : props.now - 3600;
  const from = toInstant(Math.floor(middle / 60) * 60);
  const to = toInstant(Math.min(from + 1800, props.now));
  props.editing.begin(props.told.technician, 'break', { from, to });
}
const columns = computed((): readonly Column<Row>[] => [
  { id: 'c1', isRowHead: true, value: (row) => t(`presence.${row.kind}`) },
  { id: 'c2', class: 'figure', value: (row) => clock(row.from) },
  { id: 'c3', class: 'figure', cellClass: (row) => ({ attention: row.isTorn }), value: (row) => end(row) },
  { id: 'c4', class: 'figure number', value: (row) => desk.hours(row.to - row.from) },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <section class="desk-part">
    <h2>{{ t('tape.inOutAndBreaks') }}</h2>
    <DataTable
      class="across"
      :rows="rows"
      :columns="columns"
      :row-key="(row) => `${row.kind} ${row.from}`"
      :row-class="(row) => ({ taken: isTaken(row) })"
      ><template #acts="{ row: row }"
        ><BButton
          v-if="mayEdit"
          variant="quiet"
          size="sm"
          :aria-label="t('tape.changeTheFrom', { kind: t(`presence.${row.kind}`), time: clock(row.from) })"
          @click="editing.take(told.technician, row.kind, row)"
        >
          {{ t('common.change') }}
        </BButton></template
      ></DataTable
    >
    <p v-if="rows.length === 0" class="quiet">
      {{ t('tape.nobodyHasSignedInOnThisDay', { name: told.name }) }}
    </p>
    <PresenceForm v-if="draft" :editing="editing" :is-busy="isBusy" :zone="zone" :now="now" />
    <div v-else-if="mayEdit" class="acts">
      <BButton variant="quiet" size="sm" @click="addShift">{{ t('tape.addAShift') }}</BButton>
      <BButton variant="quiet" size="sm" @click="addBreak">{{ t('tape.addABreak') }}</BButton>
    </div>
  </section>
</template>

<style scoped>
.across :deep(th) {
  font-weight: 400;
}
</style>
