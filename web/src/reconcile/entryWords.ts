import type { ScanJson } from '@wergon/contract/ledger';

const WORDS: Readonly<Record<string, string>> = {
  'shift-in': 'shift in',
  'shift-out': 'shift out',
  'break-start': 'break began',
  'break-end': 'break ended',
  'work-start': 'work start',
  'work-stop': 'off task',
  'task-done': 'task done',
  'task-reopen': 'task taken up again',
  hours: 'hours written down',
  count: 'pieces reported',
  note: 'note',
  void: 'voided',
  restore: 'restored',
  amend: 'amended',
  'unread-scan': 'a scan that meant nothing',
  reading: 'a reading',
  request: 'a request',
  proposal: 'an end proposed',
  'clock-jump': 'a clock moved',
  answer: 'an answer',
  accept: 'accepted as it is',
  withdraw: 'acceptance withdrawn',
  approve: 'approved',
  unapprove: 'approval taken back',
  confirm: 'confirmed in person',
  close: 'pay period closed',
  reopen: 'pay period reopened',
};

/** A type of journal entry in the shop's words. */
export const sayEntryType = (type: string): string => WORDS[type] ?? type;

const FIELDS: Readonly<Record<string, string>> = {
  at: 'time',
  targets: 'work',
  workType: 'kind of work',
  technician: 'person',
  seconds: 'length in seconds',
  day: 'day',
  join: 'beside other work',
};

type Change = ScanJson['corrections'][number]['changes'][number];

/** One field of a correction, before and after. Ids are nobody's words: of those only that they changed is said. */
export function sayChange({ field, before, after }: Change, clock: (instant: string) => string): string {
  const words = FIELDS[field] ?? field;
  if (field === 'at') return `${words} ${clock(before)} became ${clock(after)}`;
  if (field === 'targets' || field === 'technician') return `another ${words}`;
  return `${words} ${before || 'none'} became ${after || 'none'}`;
}
