<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { LineDetail, LineRow } from '@wergon/contract/work';
import { readInstant } from '@wergon/contract/floor';
import { callRoute } from '../desk/callRoute.ts';
import { sayDay } from '../desk/dates.ts';
import QueryState from '../desk/QueryState.vue';
import { useDesk } from '../desk/useDesk.ts';

const props = defineProps<{ line: LineRow; target: string }>();
const desk = useDesk();
const query = useQuery({
  queryKey: [
    'line',
    computed(() => [props.line.technician, props.target, props.line.workType, props.line.day]),
  ],
  queryFn: () => {
    const { technician, workType, day } = props.line;
    return callRoute('line', { query: { technician, target: props.target, workType, day } });
  },
});

type Scan = LineDetail['stints'][number]['opened'];
const WORDS: Readonly<Record<string, string>> = {
  'shift-in': 'shift in',
  'shift-out': 'shift out',
  'break-start': 'break began',
  'break-end': 'break ended',
  'work-start': 'work start',
  'work-stop': 'off task',
  'task-done': 'task done',
  hours: 'hours written down',
  void: 'voided',
  restore: 'restored',
  amend: 'amended',
};
function clock(text: string): string {
  if (!desk.zone) return '';
  const at = readInstant(text);
  const seconds = desk.zone.clockAt(at);
  const two = (count: number) => String(count).padStart(2, '0');
  const time = `${Math.floor(seconds / 3600)}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
  return `${sayDay(desk.zone.dayAt(at))} ${time}`;
}
const sayScan = (scan: Scan) =>
  `${WORDS[scan.type] ?? scan.type}${scan.at === null ? '' : ` ${clock(scan.at)}`}, ${scan.source} at ${scan.author}, entry ${scan.seq}`;
const sayCorrection = (correction: Scan['corrections'][number]) =>
  `${WORDS[correction.type] ?? correction.type} by ${correction.author}, ${clock(correction.recordedAt)}${correction.why ? `: ${correction.why}` : ''}`;
</script>

<template>
  <QueryState
    v-if="!query.data.value"
    :is-pending="query.isPending.value"
    :error="query.error.value"
    @retry="query.refetch()"
  />
  <ul v-else class="scans">
    <li v-for="stint in query.data.value.stints" :key="stint.from">
      <b class="figure">{{ desk.hours(stint.seconds) }}</b>
      <div>
        {{ clock(stint.from) }} to {{ stint.isOpen ? 'now' : clock(stint.to) }}
        <span v-if="stint.sharedWith.length > 0" class="quiet">
          · shared with {{ stint.sharedWith.join(', ') }}</span
        >
        <span v-if="stint.isCapped" class="attention"> · ended by the rule, because nobody said when</span>
        <ol>
          <li>{{ sayScan(stint.opened) }}</li>
          <li v-for="correction in stint.opened.corrections" :key="correction.recordedAt" class="correction">
            {{ sayCorrection(correction) }}
          </li>
          <template v-if="stint.closed">
            <li>{{ sayScan(stint.closed) }}</li>
            <li
              v-for="correction in stint.closed.corrections"
              :key="correction.recordedAt"
              class="correction"
            >
              {{ sayCorrection(correction) }}
            </li>
          </template>
        </ol>
      </div>
    </li>
    <li v-for="each in query.data.value.hours" :key="each.entry.id">
      <b class="figure">{{ desk.hours(each.seconds) }}</b>
      <div>
        {{ sayScan(each.entry) }}
        <ol>
          <li v-for="correction in each.entry.corrections" :key="correction.recordedAt" class="correction">
            {{ sayCorrection(correction) }}
          </li>
        </ol>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.scans {
  margin: 0;
  padding: 6px 0 0;
  list-style: none;
}
.scans > li {
  display: grid;
  grid-template-columns: 80px 1fr;
  padding: 4px 0;
}
ol {
  margin: 2px 0 0;
  padding: 0;
  color: var(--ink-2);
  font-size: 14px;
  list-style: none;
}
.correction {
  padding-left: 18px;
  color: var(--ink);
}
</style>
