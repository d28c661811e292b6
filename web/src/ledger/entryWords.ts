import type { Instant } from '@wergon/core/time';
import type { ScanJson } from '@wergon/contract/ledger';
import { formatHours, parseInstant, toSeconds } from '@wergon/core/time';

const WORDS: Readonly<Record<string, string>> = {
  'shift-in': 'signed in',
  'shift-out': 'signed out',
  'break-start': 'break began',
  'break-end': 'break ended',
  'work-start': 'started',
  'work-stop': 'stopped',
  'task-done': 'task done',
  'task-reopen': 'task reopened',
  hours: 'hours entered by hand',
  count: 'pieces reported',
  note: 'note',
  void: 'voided',
  restore: 'restored',
  amend: 'amended',
  'unread-scan': 'unknown code scanned',
  reading: 'reading',
  request: 'request',
  proposal: 'end proposed',
  'clock-jump': 'clock moved',
  answer: 'reply',
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
  seconds: 'length',
  day: 'day',
  join: 'beside other work',
};

type Change = ScanJson['corrections'][number]['changes'][number];

const sayAt = (text: string, clock: (at: Instant) => string): string => {
  const at = parseInstant(text);
  return at.ok ? clock(at.value) : text;
};

/** One field of a correction, before and after. Ids are nobody's words: of those only that they changed is said. */
export function sayChange({ field, before, after }: Change, clock: (at: Instant) => string): string {
  const words = FIELDS[field] ?? field;
  if (field === 'at') return `${words} ${sayAt(before, clock)} became ${sayAt(after, clock)}`;
  if (field === 'targets' || field === 'technician') return `another ${words}`;
  if (field === 'seconds') return `${words} ${sayLength(before)} became ${sayLength(after)}`;
  return `${words} ${before || 'none'} became ${after || 'none'}`;
}

/** Seconds that are kept as text, to the second. */
const sayLength = (seconds: string): string =>
  /^\d+$/.test(seconds) ? formatHours(toSeconds(Number(seconds)), 'h:mm:ss') : 'none';
