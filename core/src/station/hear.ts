import { digitOf, findAction, normalizeForeign, parseCode } from '../scan/index.ts';
import type { Action } from '../scan/index.ts';
import { WORK_TYPES } from '../work/index.ts';
import type { WorkType } from '../work/index.ts';
import { skip } from './answers.ts';
import type { Moment, PersonAct, StationInput, StationState, StationStep, Table } from './conversation.ts';
import { openCrew } from './crew.ts';
import type { Meaning } from './directory.ts';
import { greet } from './greet.ts';
import { answer, findTask, follow } from './pursue.ts';
import { optionsOf, takesOf } from './question.ts';
import { blank, refuse, refuseCode, sound, wait } from './show.ts';
import { findTasks, nextTasks } from './tasks.ts';
import { actOf, nameMachine, sayOfWork, undo, want, work } from './wants.ts';

type Scan = Extract<StationInput, { type: 'scan' }>;

export function hear(state: StationState, scan: Scan, table: Table): StationStep {
  const { text, keys = [] } = scan;
  const moment: Moment = scan;
  const typed = scan.source === 'typed' ? hearTyped(state, text.trim(), moment, table) : undefined;
  if (typed) return typed;
  const parsed = parseCode(text);
  if (scan.source === 'typed' && !table.settings.mayType && parsed.ok)
    return refuse(state, 'station.no_typing', '', moment, table);
  if (parsed.ok && parsed.value.kind === 'action') {
    const action = findAction(parsed.value.code);
    return action
      ? act(state, action, moment, table)
      : refuseCode(state, 'station.unknown_code', text, moment, table);
  }
  // A card that another system gave out is no code of ours, and still somebody's badge.
  const meaning = [parsed.ok ? parsed.value.code : normalizeForeign(text), ...keys]
    .map((key) => table.directory.codes.get(key))
    .find((found) => found !== undefined);
  // A card's number is as good as a label's: where typing is off, neither is typed.
  if (meaning && scan.source === 'typed' && !table.settings.mayType)
    return refuse(state, 'station.no_typing', '', moment, table);
  if (meaning) return understand(state, meaning, moment, table);
  const order = scan.source === 'typed' && findOrder(text, table);
  if (order) return want(state, work({ order }), moment, table);
  // Figures that a hand keyed may be a PIN for a screen that is gone: they are said no to, and kept nowhere.
  if (scan.source === 'typed' && /^\d{4,8}$/.test(text.trim()))
    return refuse(state, 'station.nothing_asked', '', moment, table);
  // What a hand types is a slip of the hand: it is said no to, and nobody has to look into it later.
  const code = parsed.ok ? 'station.unknown_code' : parsed.code;
  return scan.source === 'typed'
    ? refuse(state, code, text, moment, table)
    : refuseCode(state, code, text, moment, table);
}

/** The order of a number that was typed as it stands on paper. */
function findOrder(text: string, { directory, settings }: Table) {
  const number = text.trim().toLowerCase();
  if (!settings.mayType || number === '') return undefined;
  return [...directory.orders.values()].find((order) => order.number.toLowerCase() === number)?.id;
}

/** What a hand types may be an answer, the number of an offered task, or words to find one by. */
function hearTyped(state: StationState, text: string, moment: Moment, table: Table): StationStep | undefined {
  const { conversation } = state;
  if (conversation.step === 'asked') {
    const takes = takesOf(conversation.question);
    const isNumber = /^[-\d.,:]{1,10}$/.test(text);
    if (takes === 'words' && !parseCode(text).ok) return answer(state, conversation, { text }, moment, table);
    if (!isNumber) return undefined;
    if (takes !== 'nothing') return answer(state, conversation, { text }, moment, table);
    return chooseOption(state, Number(text) - 1, moment, table);
  }
  if (conversation.step !== 'person' || parseCode(text).ok) return undefined;
  const { technician } = conversation.person;
  if (/^[1-9]$/.test(text)) return pickNext(state, Number(text), moment, table);
  // What looks like a code of ours that was mistyped is said to be that.
  const areWords = findTasks(table.directory, text, technician).length > 0 || /\s|^\d+$/.test(text);
  const { person, draft } = conversation;
  return areWords ? findTask(state, { person, stays: true }, text, moment, table, draft) : undefined;
}

function pickNext(state: StationState, place: number, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  const technician = conversation.step === 'person' ? conversation.person.technician : undefined;
  const target = technician && nextTasks(table.directory, technician, table.settings)[place - 1];
  return target
    ? want(state, work({ target }), moment, table)
    : refuse(state, 'station.nothing_asked', String(place), moment, table);
}

function understand(state: StationState, meaning: Meaning, moment: Moment, table: Table): StationStep {
  switch (meaning.kind) {
    case 'badge':
      return greet(state, meaning.technician, meaning.badge, moment, table);
    case 'target':
      return want(state, work({ target: meaning.target }), moment, table);
    case 'order':
      return want(state, work({ order: meaning.order }), moment, table);
    case 'resource':
      return nameMachine(state, meaning.resource, moment, table);
    case 'traveler': {
      const { target, workType, isOld } = meaning;
      return want(
        state,
        work({ target, isOldTraveler: isOld, ...(workType ? { workType } : {}) }),
        moment,
        table,
      );
    }
    case 'person-act': {
      const waiting: StationState = {
        ...blank(state),
        conversation: { step: 'intent', intent: actOf(meaning.action as PersonAct, moment) },
      };
      return greet(waiting, meaning.technician, meaning.badge, moment, table);
    }
  }
}

const asWorkType = (action: Action): WorkType | undefined => WORK_TYPES.find((each) => each === action);

/** What an action label, or its button, asks for. */
export function act(state: StationState, action: Action, moment: Moment, table: Table): StationStep {
  const digit = digitOf(action);
  if (digit !== undefined) return keyDigit(state, digit, moment, table);
  const workType = asWorkType(action);
  if (workType) return sayOfWork(state, { workType }, moment, table);
  switch (action) {
    case 'blank':
      return { state: blank(state), effects: [] };
    case 'crew':
      return state.conversation.step === 'crew'
        ? { state: blank(state), effects: [sound('done')] }
        : openCrew(state, moment, table);
    case 'enter':
    case 'skip':
      return endAnswer(state, action, moment, table);
    case 'join':
      return sayOfWork(state, { isJoin: true }, moment, table);
    case 'earlier':
      return sayOfWork(state, { minutesBack: 'ask' }, moment, table);
    case 'part':
    case 'help':
      return want(state, { kind: 'request', what: action }, moment, table);
    case 'take-back':
      return undo(state, moment, table);
    default:
      return want(state, actOf(action as PersonAct, moment), moment, table);
  }
}

function keyDigit(state: StationState, digit: string, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  if (conversation.step === 'asked' && takesOf(conversation.question) !== 'nothing')
    return wait(state, { ...conversation, typed: (conversation.typed + digit).slice(0, 10) }, moment, table);
  return conversation.step === 'asked'
    ? chooseOption(state, Number(digit) - 1, moment, table)
    : pickNext(state, Number(digit), moment, table);
}

function endAnswer(state: StationState, action: 'enter' | 'skip', moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  if (conversation.step !== 'asked') return refuse(state, 'station.nothing_asked', '', moment, table);
  if (action === 'enter') return answer(state, conversation, { text: conversation.typed }, moment, table);
  const { question, intent } = conversation;
  // Who will not say his PIN is nobody here.
  if (question.kind === 'pin') return { state: blank(state), effects: [sound('refused')] };
  return question.kind === 'report'
    ? follow(state, conversation, skip(intent, question), moment, table)
    : follow(state, conversation, { kind: 'drop' }, moment, table);
}

export function chooseOption(state: StationState, place: number, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  if (conversation.step !== 'asked') return refuse(state, 'station.nothing_asked', '', moment, table);
  const option = optionsOf(conversation.question, table.directory)[place];
  return option
    ? answer(state, conversation, { option }, moment, table)
    : refuse(state, 'station.bad_answer', String(place + 1), moment, table);
}
