<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { toInstant } from '@wergon/core/time';
import { computed } from 'vue';
import type { PersonDayJson, PresentJson } from '@wergon/contract/tape';
import type { Instant, Span, Zone } from '@wergon/core/time';
import { sayClock, useDesk } from '../kit/index.ts';
import PresenceForm from './PresenceForm.vue';
import type { PresenceEditing } from './usePresenceEdit.ts';

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
  isTorn ? 'nobody said' : isOpen ? (kind === 'shift' ? 'still in' : 'goes on') : clock(to);

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
</script>

<template>
  <section class="day-part">
    <h2>In, out and breaks</h2>
    <table class="across">
      <tbody>
        <tr v-for="row in rows" :key="`${row.kind} ${row.from}`" :class="{ taken: isTaken(row) }">
          <th scope="row">{{ row.kind }}</th>
          <td class="figure">{{ clock(row.from) }}</td>
          <td class="figure" :class="{ attention: row.isTorn }">{{ end(row) }}</td>
          <td class="figure number">{{ desk.hours(row.to - row.from) }}</td>
          <td class="acts-cell">
            <BButton
              v-if="mayEdit"
              variant="quiet"
              size="sm"
              :aria-label="`Change the ${row.kind} from ${clock(row.from)}`"
              @click="editing.take(told.technician, row.kind, row)"
            >
              Change
            </BButton>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0" class="quiet">Nobody has signed {{ told.name }} in on this day.</p>
    <PresenceForm v-if="draft" :editing="editing" :is-busy="isBusy" :zone="zone" :now="now" />
    <div v-else-if="mayEdit" class="acts">
      <BButton variant="quiet" size="sm" @click="addShift">Add a shift</BButton>
      <BButton variant="quiet" size="sm" @click="addBreak">Add a break</BButton>
    </div>
  </section>
</template>

<style scoped>
th {
  font-weight: 400;
}
</style>
