<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { PersonDayJson } from '@wergon/contract/tape';
import type { Instant, Zone } from '@wergon/core/time';
import { sayClock, sayDay, useDesk, linkToWeek } from '../kit/index.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { sayList, sayTerm, t } from '../words/index.ts';
import { computed } from 'vue';
import type { Column } from '../kit/index.ts';
import { CheckField, DataTable } from '../kit/parts/index.ts';
import RecordsForm from './RecordsForm.vue';
import type { RecordsEditing } from './useRecordsEdit.ts';

/** The day as a list of starts and stops, with what was written down behind it. */
const props = defineProps<{
  blocks: readonly TapeBlock[];
  /** The beginning of the block that is being edited. */
  taken: Instant | null;
  told: PersonDayJson;
  mayEdit: boolean;
  zone: Zone;
  editing: RecordsEditing;
  isBusy: boolean;
  people: readonly { readonly id: string; readonly name: string }[];
}>();
const emit = defineEmits<{ take: [block: TapeBlock]; add: [] }>();
const desk = useDesk();
const clock = (at: Instant) => sayClock(props.zone, at);
/** A stretch of the day, or hours that were written down, which have no place in it. */
type Line = {
  readonly key: string;
  readonly block: TapeBlock | null;
  readonly from: string;
  readonly to: string;
  readonly seconds: number;
  readonly work: string;
  readonly workType: string;
};
const endOf = ({ stint, to }: TapeBlock) =>
  stint.isTorn ? t('tape.noStop') : stint.isOpen ? t('common.now') : clock(to);
const lines = computed((): readonly Line[] => [
  ...props.blocks.map((block) => ({
    key: block.key,
    block,
    from: clock(block.from),
    to: endOf(block),
    seconds: block.to - block.from,
    work: sayList(block.stint.running.map(({ title }) => title)),
    workType: block.stint.running[0]?.workType ?? '',
  })),
  ...props.told.hours.map(({ id, seconds, title, workType }) => ({
    key: id,
    block: null,
    from: t('common.writtenDown'),
    to: '',
    seconds,
    work: title,
    workType,
  })),
]);
/** The kind of work, with the reason that was given for it and the machine that it was on. */
const sayKind = ({ workType, block }: Line) =>
  [sayTerm('workTypes', workType), block?.stint.opened.reason, block?.stint.opened.machine]
    .filter(Boolean)
    .join(', ');
const columns = computed((): readonly Column<Line>[] => [
  ...(props.mayEdit ? [{ id: 'tick', class: 'tick' }] : []),
  {
    id: 'from',
    title: t('common.from'),
    value: ({ from }) => from,
    cellClass: ({ block }) => (block ? 'figure' : 'quiet'),
  },
  {
    id: 'to',
    title: t('tape.to'),
    class: 'figure',
    value: ({ to }) => to,
    cellClass: ({ block }) => ({ attention: block?.stint.isTorn ?? false }),
  },
  {
    id: 'length',
    title: t('tape.length'),
    class: 'figure number',
    value: ({ seconds }) => desk.hours(seconds),
  },
  { id: 'work', title: t('common.work'), value: ({ work }) => work },
  { id: 'kind', title: t('common.kind'), value: sayKind },
  { id: 'acts', class: 'acts-cell' },
]);
</script>

<template>
  <section class="desk-part">
    <h2>{{ t('tape.startsAndStops') }}</h2>
    <DataTable
      class="across"
      :rows="lines"
      :columns="columns"
      :row-key="({ key }) => key"
      :row-class="({ block }) => ({ taken: block !== null && taken === block.from })"
    >
      <template #tick="{ row: { key, work, from } }">
        <CheckField
          :model-value="editing.ticked.value.includes(key)"
          :aria-label="t('tape.tickFrom', { title: work, time: from })"
          @update:model-value="editing.toggle(key)"
        />
      </template>
      <template #acts="{ row: { block } }">
        <template v-if="block">
          <BButton
            v-if="mayEdit"
            variant="quiet"
            size="sm"
            :aria-label="
              t('tape.changeFrom', { title: block.stint.running[0]?.title ?? '', time: clock(block.from) })
            "
            @click="emit('take', block)"
          >
            {{ t('common.change') }}
          </BButton>
        </template>
        <RouterLink v-else :to="linkToWeek(told.technician, told.day)" class="btn btn-quiet btn-sm">{{
          t('tape.inTheWeek')
        }}</RouterLink>
      </template>
    </DataTable>
    <p v-if="blocks.length === 0 && told.hours.length === 0" class="quiet none">
      {{ t('tape.nothingIsRecordedOfOn', { name: told.name, day: sayDay(told.day) }) }}
    </p>
    <RecordsForm
      v-if="mayEdit && editing.ticked.value.length > 0"
      :editing="editing"
      :is-busy="isBusy"
      :people="people"
      :blocks="blocks"
      :told="told"
    />
    <div v-if="mayEdit" class="acts">
      <BButton variant="quiet" size="sm" @click="emit('add')">{{ t('tape.addAStretch') }}</BButton>
    </div>
  </section>
</template>

<style scoped>
.across :deep(.tick) {
  width: 40px;
}
</style>
