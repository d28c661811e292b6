import type { Instant } from '@wergon/core/time';
import type { ScanJson } from '@wergon/contract/ledger';
import { formatHours, parseInstant, toSeconds } from '@wergon/core/time';
import { t } from '../words/index.ts';

const WORDS: Readonly<Record<string, string>> = {
  'shift-in': t('ledger.signedIn'),
  'shift-out': t('ledger.signedOut'),
  'break-start': t('ledger.breakBegan'),
  'break-end': t('ledger.breakEnded'),
  'work-start': t('ledger.started'),
  'work-stop': t('ledger.stopped'),
  'task-done': t('ledger.taskDone'),
  'task-reopen': t('ledger.taskReopened'),
  hours: t('ledger.hoursEnteredByHand'),
  count: t('ledger.piecesReported'),
  note: t('ledger.note'),
  void: t('ledger.voided'),
  restore: t('ledger.restored'),
  amend: t('ledger.amended'),
  'unread-scan': t('ledger.unknownCodeScanned'),
  reading: t('ledger.reading'),
  request: t('ledger.request'),
  proposal: t('ledger.endProposed'),
  'clock-jump': t('ledger.clockMoved'),
  answer: t('ledger.reply'),
  accept: t('ledger.acceptedAsItIs'),
  withdraw: t('ledger.acceptanceWithdrawn'),
  approve: t('ledger.approved'),
  unapprove: t('ledger.approvalTakenBack'),
  confirm: t('ledger.confirmedInPerson'),
  close: t('ledger.payPeriodClosed'),
  reopen: t('ledger.payPeriodReopened'),
  'set-cost': t('ledger.costSet'),
  'reset-cost': t('ledger.costReset'),
  split: t('ledger.splitDecided'),
  'reset-split': t('ledger.splitReset'),
  'pay-file': t('ledger.payFileMade'),
  'withdraw-pay-file': t('ledger.payFileTakenBack'),
  'payroll-paid': t('ledger.payrollTaken'),
  'withdraw-payroll': t('ledger.payrollTakenBack'),
};

/** A type of journal entry in the shop's words. */
export const sayEntryType = (type: string): string => WORDS[type] ?? type;

const FIELDS: Readonly<Record<string, string>> = {
  at: t('ledger.time'),
  targets: t('ledger.work'),
  workType: t('ledger.kindOfWork'),
  technician: t('ledger.person'),
  seconds: t('ledger.length'),
  day: t('common.day'),
  join: t('ledger.besideOtherWork'),
};

type Change = ScanJson['corrections'][number]['changes'][number];

const sayAt = (text: string, clock: (at: Instant) => string): string => {
  const at = parseInstant(text);
  return at.ok ? clock(at.value) : text;
};

/** One field of a correction, before and after. Ids are nobody's words: of those only that they changed is said. */
export function sayChange({ field, before, after }: Change, clock: (at: Instant) => string): string {
  const words = FIELDS[field] ?? field;
  if (field === 'at')
    return t('ledger.became', { words, before: sayAt(before, clock), after: sayAt(after, clock) });
  if (field === 'targets' || field === 'technician') return t('ledger.another', { words });
  if (field === 'seconds')
    return t('ledger.became', { words, before: sayLength(before), after: sayLength(after) });
  return t('ledger.became', { words, before: before || t('common.none'), after: after || t('common.none') });
}

/** Seconds that are kept as text, to the second. */
const sayLength = (seconds: string): string =>
  /^\d+$/.test(seconds) ? formatHours(toSeconds(Number(seconds)), 'h:mm:ss') : t('common.none');
