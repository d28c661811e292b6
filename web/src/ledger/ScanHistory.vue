<script setup lang="ts">
import type { Instant } from '@wergon/core/time';
import type { ScanJson } from '@wergon/contract/ledger';
import { sayInstant, useDesk } from '../kit/index.ts';
import { sayChange, sayEntryType } from './entryWords.ts';
import { sayTerm, t } from '../words/index.ts';

/** One entry as it was recorded, and every correction of it with who, why, before and after. */
defineProps<{ scan: ScanJson }>();
const desk = useDesk();

const clock = (at: Instant) => (desk.zone ? sayInstant(desk.zone, at) : '');
const sayScan = (scan: ScanJson) =>
  t('ledger.atEntry', {
    entryType: sayEntryType(scan.type),
    at: scan.at === null ? '' : ` ${clock(scan.at)}`,
    source: sayTerm('sources', scan.source),
    author: scan.author,
    seq: scan.seq,
  });
/** Why, on which machine, how its person was known, and who let it through. */
const sayKnown = ({ knownBy, letThroughBy, reason, machine }: ScanJson) =>
  [
    ...(reason === null ? [] : [t('ledger.becauseOf', { reason })]),
    ...(machine === null ? [] : [t('ledger.onMachine', { machine })]),
    ...(knownBy === null ? [] : [t('ledger.knownBy', { how: t(`knownBy.${knownBy}`) })]),
    ...(letThroughBy === null ? [] : [t('ledger.letThroughBy', { lead: letThroughBy })]),
  ].join(', ');
const sayCorrection = ({ type, author, recordedAt, why }: ScanJson['corrections'][number]) =>
  t('ledger.correctedBy', {
    entryType: sayEntryType(type),
    author,
    time: clock(recordedAt),
    why: why ? `: ${why}` : '',
  });
</script>

<template>
  <li>
    {{ sayScan(scan) }}<span v-if="sayKnown(scan)" class="quiet"> · {{ sayKnown(scan) }}</span>
  </li>
  <li v-for="correction in scan.corrections" :key="correction.recordedAt" class="correction">
    {{ sayCorrection(correction) }}
    <span v-for="change in correction.changes" :key="change.field" class="quiet">
      · {{ sayChange(change, clock) }}</span
    >
  </li>
</template>

<style scoped>
.correction {
  padding-left: 18px;
  color: var(--ink);
}
</style>
