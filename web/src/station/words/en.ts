import { EN_SCREEN } from './screen.en.ts';
import type { Running } from '@wergon/core/ledger';
import type { Names, Words } from './words.ts';

const and = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

function length(seconds: number): string {
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.floor(seconds / 60);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

const workType = {
  setup: 'setup',
  run: 'run',
  cleanup: 'cleanup',
  down: 'down',
  rework: 'rework',
  travel: 'travel',
} as const;

const ofType = (type: keyof typeof workType, target: string) =>
  type === 'run' ? target : `${workType[type]} of ${target}`;
const targetsOf = (left: readonly Running[], names: Names) =>
  and(left.map(({ target }) => names.target(target)));
const noLabel = (text: string) => ({
  headline: 'Not one of our labels',
  help: `Read as “${text}”. Scan a badge, a task or an action label.`,
});

/** What a person reads at a station in English. */
export const en: Words = {
  prompt: {
    'badge-or-task': 'Scan your badge or a task',
    'badge-to-sign': 'Scan your badge to sign in or out',
    'name-or-task': 'Touch your name, or scan a task',
    'badge-for-task': 'Scan your badge to start it',
    'badge-for-order': 'Scan your badge to choose one of its tasks',
    'badge-for-action': 'Scan your badge',
    'task-for-draft': 'Scan the task',
    'task-to-switch': 'Scan a task to switch, or OFF TASK to leave it',
    'task-to-join': 'Scan the task to do beside it',
    'task-to-start': 'Scan a task to start it, or SHIFT OUT to go',
    'shift-in-or-task': 'Scan SHIFT IN, or a task to start it',
    'task-ends-break': 'Scan a task to end the break and start it',
    'crew-badges': 'Scan every badge of the crew, and the task',
    'crew-task': 'Scan the task, or more badges',
    'crew-ticks': 'Touch who is missing, then scan the task',
  },
  question(question, names) {
    switch (question.kind) {
      case 'which-task':
        return { headline: 'Which task?', help: 'Touch it, key its number, or scan it.' };
      case 'which-running':
        return { headline: 'Which one?', help: 'Touch it, key its number, or scan it.' };
      case 'which-activity':
        return { headline: 'What are you doing?', help: 'Touch it, or key its number.' };
      case 'which-machine':
        return { headline: 'On which machine?', help: 'Touch it, key its number, or scan it.' };
      case 'reopen':
        return {
          headline: `${names.target(question.target)} is finished. Take it up again?`,
          help: 'Nothing has started yet.',
        };
      case 'confirm-stop':
        return question.targets.length === 0
          ? { headline: 'Sign out?', help: 'A touch is easily made by mistake.' }
          : {
              headline: `Leave ${and(question.targets.map(names.target))}?`,
              help: 'A touch is easily made by mistake.',
            };
      case 'outside':
        return {
          headline: `${workType[question.workType]} is not in this order’s estimate`,
          help: question.activity
            ? `Such time belongs to ${names.target(question.activity)}.`
            : 'It would stand beside the job, outside the comparison.',
        };
      case 'override':
        return { headline: 'A lead can let it through', help: 'A lead’s badge does it, and it is recorded.' };
      case 'earlier':
        return {
          headline: 'How many minutes ago?',
          help: `Up to ${question.most}. Touch, or key a figure.`,
        };
      case 'report':
        return sayReport(question, names);
      case 'forgot':
        return {
          headline:
            question.forgotten === 'forgotten-stop'
              ? `You started at ${names.clock(question.from)} and never stopped. When did you?`
              : `You signed in at ${names.clock(question.from)} and never out. When did you go?`,
          help: 'The supervisor decides; this helps. Key a time such as 15:30.',
        };
      case 'pin':
        return question.isChecking
          ? { headline: 'Checking your PIN…', help: '' }
          : { headline: 'Key your PIN', help: 'Then ENTER.' };
      case 'note':
        return { headline: 'What is to be noted?', help: 'It stands with the task you are on.' };
      case 'find':
        return { headline: 'Which order or task?', help: 'A number, or some words of it.' };
      case 'request':
        return {
          headline: { part: 'Which part?', help: 'What is it about?', correction: 'What is not right?' }[
            question.what
          ],
          help: 'Type it, or send it as it is. The desk sees it at once.',
        };
    }
  },
  refusal: {
    'code.empty': () => ({ headline: 'Nothing was read', help: 'Scan again.' }),
    'code.bad_character': noLabel,
    'code.unknown_kind': noLabel,
    'code.too_short': () => ({
      headline: 'Only part of the label was read',
      help: 'Scan it again, all of it.',
    }),
    'code.too_long': () => ({ headline: 'More than one label was read', help: 'Scan one label at a time.' }),
    'code.wrong_check': () => ({
      headline: 'Not read right',
      help: 'One character is wrong. Scan it again.',
    }),
    'station.unknown_code': () => ({
      headline: 'This label is not known here',
      help: 'It may be old or revoked. Ask the supervisor.',
    }),
    'station.no_typing': () => ({
      headline: 'Codes are not typed here',
      help: 'Scan the label. Figures may be typed.',
    }),
    'station.order_on_hold': (number) => ({
      headline: `Order ${number} is on hold`,
      help: 'Nothing was started. Ask the supervisor.',
    }),
    'station.order_not_released': (number) => ({
      headline: `Order ${number} is not released`,
      help: 'Nothing was started. Ask the supervisor to release it.',
    }),
    'station.no_open_task': (number) => ({
      headline: `Order ${number} has no open task`,
      help: 'It is finished or not released. Ask the supervisor.',
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
    'station.nothing_to_take_back': () => ({
      headline: 'Nothing to take back',
      help: 'Your last act can be taken back for 30 seconds.',
    }),
    'station.presence_only': () => ({
      headline: 'Here people only sign in and out',
      help: 'Start work at a labor station.',
    }),
    'station.not_a_lead': () => ({
      headline: 'Only a lead can do this',
      help: 'Ask your lead to scan a badge.',
    }),
    'station.no_crew': () => ({
      headline: 'Nobody to sign on or off',
      help: 'Scan the badges of the crew first.',
    }),
    'station.too_early': (most) => ({
      headline: most === '0' ? 'It cannot be set back' : `At most ${most} minutes back`,
      help: 'Not before your last scan, and not beyond this station’s limit.',
    }),
    'station.bad_answer': (text) => ({
      headline: 'That is no answer here',
      help: text ? `Read as “${text}”.` : 'Choose one of the answers, or key a figure.',
    }),
    'station.value_outside': (text) => ({
      headline: `${text} is outside the limits`,
      help: 'Key it once more to keep it, or key the right one.',
    }),
    'station.answer_needed': () => ({
      headline: 'This must be answered',
      help: 'The task asks for it. Key the figure.',
    }),
    'station.nothing_found': (text) => ({
      headline: 'No open task found',
      help: text ? `Nothing fits “${text}”. Try the order’s number.` : 'There is nothing to choose from.',
    }),
    'station.wrong_pin': () => ({ headline: 'This PIN is not right', help: 'Key it again, then ENTER.' }),
    'station.pin_wait': () => ({
      headline: 'Too often wrong',
      help: 'Wait a quarter of an hour, or ask the supervisor.',
    }),
    'station.nothing_asked': () => ({
      headline: 'Nothing is asked now',
      help: 'Scan your badge or a task first.',
    }),
  },
  said(said, names) {
    const line = (headline: string, help = '') => ({ headline, help });
    switch (said.kind) {
      case 'started':
      case 'switched': {
        const verb = said.kind === 'started' ? 'Started' : 'Switched to';
        const back = said.minutesBack > 0 ? `, ${said.minutesBack} minutes ago` : '';
        return line(
          `${verb} ${ofType(said.workType, names.target(said.target))}${back}`,
          said.isOldTraveler
            ? 'The order has changed since this traveler was printed. Ask for a new one.'
            : said.isSignedIn
              ? 'You are signed in as well.'
              : '',
        );
      }
      case 'joined':
        return line(
          `${ofType(said.workType, names.target(said.target))} beside ${targetsOf(said.beside, names)}`,
          'The time is shared between them from now on.',
        );
      case 'stopped':
        return line(`Left ${targetsOf(said.left, names)} after ${length(said.at - said.since)}`);
      case 'done':
        return line(
          `${targetsOf(said.left, names)} done after ${length(said.at - said.since)}`,
          said.others.length > 0 ? `Still on it: ${and(said.others.map(names.person))}.` : '',
        );
      case 'already-on':
        return line(`You are on ${names.target(said.target)} already`);
      case 'shift-in':
        return line(said.isRepeat ? 'You are signed in' : 'Signed in');
      case 'shift-out':
        if (said.isRepeat) return line('You are signed out');
        return said.left.length > 0
          ? line(
              'Signed out. See you',
              `Left ${targetsOf(said.left, names)} after ${length(said.at - said.since)}.`,
            )
          : line('Signed out. See you');
      case 'break':
        return line('On a break');
      case 'break-over':
        return line('Back from the break');
      case 'work-type':
        return line(`Now ${workType[said.workType]} of ${targetsOf(said.left, names)}`);
      case 'taken-back':
        return line('Taken back, as if not scanned');
      case 'noted':
        return line('Noted');
      case 'proposed':
        return line('Thank you. The supervisor sees it');
      case 'requested':
        return line(
          {
            part: 'The desk sees what you need',
            help: 'Help is asked for',
            correction: 'The supervisor sees it',
          }[said.what],
          'The answer stands here at your next badge.',
        );
      case 'crew-started':
        return line(
          `${said.technicians.length} on ${names.target(said.target)}`,
          and(said.technicians.map(names.person)),
        );
      case 'crew-did': {
        const act = {
          'off-task': 'left it',
          done: 'done',
          break: 'break',
          'shift-in': 'signed in',
          'shift-out': 'signed out',
          'take-back': 'taken back',
          ...workType,
        }[said.action];
        const skipped = said.skipped.length > 0 ? ` Nothing for ${and(said.skipped.map(names.person))}.` : '';
        return line(
          `${said.technicians.length}: ${act}`,
          `${and(said.technicians.map(names.person))}.${skipped}`,
        );
      }
      case 'calibrated':
        return line('This scanner is known now');
    }
  },
  workType,
  word: {
    yes: 'Yes',
    no: 'No',
    all: 'All of them',
    skip: 'Leave it out',
    'beside-the-job': 'Beside the job',
    send: 'Send',
    'not-now': 'Not now',
  },
  request: { part: 'needs a part', help: 'needs help', correction: 'asks for a correction' },
  button: {
    'off-task': 'Off task',
    done: 'Done',
    break: 'Break',
    'break-over': 'Break over',
    'shift-in': 'Shift in',
    'shift-out': 'Shift out',
    join: 'Start a second task',
    earlier: 'Began earlier',
    indirect: 'Indirect',
    part: 'Need a part',
    help: 'Need help',
    note: 'Note',
    find: 'Find a task',
    'own-time': 'My time',
    'lead-crew': 'My crew',
    'take-back': 'Take back',
    blank: 'Done, clear',
    camera: 'Camera',
    enter: 'Enter',
    correction: 'Report a mistake',
    'change-pin': 'Change PIN',
    back: 'Back',
  },
  length,
  and,
  ui: EN_SCREEN,
};

function sayReport(
  question: Extract<Parameters<Words['question']>[0], { kind: 'report' }>,
  names: Names,
): ReturnType<Words['question']> {
  const { report, half, target } = question;
  const of = names.target(target);
  const { least, most, unit, label } = report;
  const limits =
    least !== null && most !== null
      ? `${least} to ${most}`
      : least !== null
        ? `at least ${least}`
        : most !== null
          ? `at most ${most}`
          : '';
  if (report.kind === 'remark') return { headline: label || 'What is to be said of it?', help: of };
  if (report.kind === 'value')
    return { headline: `${label}${unit ? ` in ${unit}` : ''}?`, help: `${of}${limits ? `: ${limits}` : ''}` };
  if (half.good === undefined) return { headline: 'How many good pieces?', help: of };
  return half.scrap === undefined
    ? { headline: 'How many are scrap?', help: `${half.good} good. ${of}` }
    : { headline: 'Why are they scrap?', help: `${half.good} good, ${half.scrap} scrap. ${of}` };
}
