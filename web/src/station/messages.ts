import type { Prompt, Said, StationRefusal } from '@wergon/core/station';

/** What the next scan will do, in one sentence. */
export const PROMPTS: Readonly<Record<Prompt, string>> = {
  'badge-or-task': 'Scan your badge or a task',
  'badge-for-task': 'Scan your badge to start it',
  'badge-for-action': 'Scan your badge',
  'task-to-switch': 'Scan a task to switch, or OFF TASK to leave it',
  'task-to-start': 'Scan a task to start it, or SHIFT OUT to go',
  'shift-in-or-task': 'Scan SHIFT IN, or a task to start it',
  'task-ends-break': 'Scan a task to end the break and start it',
};

type Words = { readonly headline: string; readonly help: string };

/** What was wrong, and what to do about it. */
export const REFUSALS: Readonly<Record<StationRefusal, (text: string) => Words>> = {
  'code.empty': () => ({ headline: 'Nothing was read', help: 'Scan again.' }),
  'code.bad_character': (text) => ({
    headline: 'Not one of our labels',
    help: `Read as “${text}”. Scan a badge, a task or an action label.`,
  }),
  'code.unknown_kind': (text) => ({
    headline: 'Not one of our labels',
    help: `Read as “${text}”. Scan a badge, a task or an action label.`,
  }),
  'code.too_short': () => ({
    headline: 'Only part of the label was read',
    help: 'Scan it again, all of it.',
  }),
  'code.too_long': () => ({ headline: 'More than one label was read', help: 'Scan one label at a time.' }),
  'code.wrong_check': () => ({ headline: 'Not read right', help: 'One character is wrong. Scan it again.' }),
  'station.unknown_code': () => ({
    headline: 'This label is not known here',
    help: 'It may be old or revoked. Ask the supervisor.',
  }),
  'station.order_code': () => ({
    headline: 'That is a whole work order',
    help: 'Scan the code of one of its tasks, further down on the traveler.',
  }),
  'station.unused_code': () => ({
    headline: 'This station does not use that label',
    help: 'Scan a badge or a task.',
  }),
  'station.order_not_released': (number) => ({
    headline: `Order ${number} is not released`,
    help: 'Nothing was started. Ask the supervisor to release it.',
  }),
  'station.task_finished': (title) => ({
    headline: `${title} is finished`,
    help: 'Nothing was started. Ask the supervisor if there is more to do on it.',
  }),
  'station.technician_left': (name) => ({
    headline: `${name} no longer works here`,
    help: 'This badge starts nothing. Ask the supervisor.',
  }),
  'station.already_in': () => ({ headline: 'You are signed in already', help: 'Scan a task to start it.' }),
  'station.not_in': () => ({ headline: 'You are not signed in', help: 'Scan SHIFT IN first.' }),
  'station.on_nothing': () => ({ headline: 'You are on nothing', help: 'There is nothing to leave.' }),
  'station.type_without_task': () => ({
    headline: 'You are on nothing',
    help: 'Start a task first, then scan the kind of work.',
  }),
  'station.nothing_to_take_back': () => ({
    headline: 'Nothing to take back',
    help: 'A start can be taken back for 30 seconds, if nothing came after it.',
  }),
};

type Names = { readonly target: string; readonly left: string; readonly length: string };

/** What has just been done. */
export function sayDone(said: Exclude<Said, { kind: 'refused' }>, { target, left, length }: Names): string {
  switch (said.kind) {
    case 'started':
      return `Started ${said.workType === 'run' ? '' : `${said.workType} of `}${target}`;
    case 'switched':
      return `Switched to ${said.workType === 'run' ? '' : `${said.workType} of `}${target}`;
    case 'calibrated':
      return 'This scanner is known now';
    case 'stopped':
      return `Left ${left} after ${length}`;
    case 'already-on':
      return `You are on ${target} already`;
    case 'shift-in':
      return 'Signed in';
    case 'shift-out':
      return 'Signed out. See you';
    case 'break':
      return 'On a break';
    case 'break-over':
      return 'Back from the break';
    case 'done':
      return `${left} done after ${length}`;
    case 'work-type':
      return `Now ${said.workType} of ${left}`;
    case 'taken-back':
      return 'Taken back, as if not scanned';
  }
}

/** What is said beside it of a paper that does not hold any more. */
export const OLD_TRAVELER = 'The order has changed since this traveler was printed. Ask for a new one.';

/** A length of time as it is spoken: `1 h 31 min`, `4 min`, `12 s`. */
export function spellLength(seconds: number): string {
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.floor(seconds / 60);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
