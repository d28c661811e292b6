import { digitOf, findAction, normalizeForeign, parseCode } from '../scan/index.ts';
import type { Action } from '../scan/index.ts';
import { WORK_TYPES } from '../work/index.ts';
import type { WorkType } from '../work/index.ts';
import { skip } from './answers.ts';
import { asPersonAct } from './personAct.ts';
import type { InputMeta, StationInput, StationState, StationStep, StationContext } from './conversation.ts';
import { openCrew } from './crew.ts';
import type { Meaning } from './directory.ts';
import { handleBadge } from './handleBadge.ts';
import { answer, findTask, follow } from './advanceIntent.ts';
import { optionsOf, takesOf } from './question.ts';
import { blank, refuse, refuseCode, sound, wait } from './show.ts';
import { findTasks, nextTasks } from './tasks.ts';
import {
  actionIntent,
  arrive,
  goOut,
  nameMachine,
  refineStart,
  undo,
  handleIntent,
  work,
} from './handleIntent.ts';

type Scan = Extract<StationInput, { type: 'scan' }>;

export function handleScan(state: StationState, scan: Scan, context: StationContext): StationStep {
  const { text, keys = [] } = scan;
  const meta: InputMeta = scan;
  const typed = scan.source === 'typed' ? hearTyped(state, text.trim(), meta, context) : undefined;
  if (typed) return typed;
  const parsed = parseCode(text);
  if (scan.source === 'typed' && !context.settings.mayType && parsed.ok)
    return refuse(state, 'station.no_typing', '', meta, context);
  if (parsed.ok && parsed.value.kind === 'action') {
    const action = findAction(parsed.value.code);
    return action
      ? act(state, action, meta, context)
      : refuseCode(state, 'station.unknown_code', text, meta, context);
  }
  // A card that another system gave out is no code of ours, and still somebody's badge.
  const meaning = [parsed.ok ? parsed.value.code : normalizeForeign(text), ...keys]
    .map((key) => context.directory.codes.get(key))
    .find((found) => found !== undefined);
  // A card's number is as good as a label's: where typing is off, neither is typed.
  if (meaning && scan.source === 'typed' && !context.settings.mayType)
    return refuse(state, 'station.no_typing', '', meta, context);
  if (meaning) return applyMeaning(state, meaning, meta, context);
  const worker = scan.source === 'typed' ? findWorker(state, text, context) : undefined;
  if (worker) return handleBadge(state, worker, 'number', meta, context);
  const order = scan.source === 'typed' && findOrder(text, context);
  if (order) return handleIntent(state, work({ order }), meta, context);
  // Figures that a hand keyed may be a PIN for a screen that is gone: they are said no to, and kept nowhere.
  if (scan.source === 'typed' && /^\d{4,8}$/.test(text.trim()))
    return refuse(state, 'station.nothing_asked', '', meta, context);
  // What a hand types is a slip of the hand: it is said no to, and nobody has to look into it later.
  const code = parsed.ok ? 'station.unknown_code' : parsed.code;
  return scan.source === 'typed'
    ? refuse(state, code, text, meta, context)
    : refuseCode(state, code, text, meta, context);
}

/** Whose number was typed, where that is a way to be known. While somebody stands here a number is
 *  of an order, and a crew is made of badges. */
function findWorker({ conversation }: StationState, text: string, context: StationContext) {
  const { directory, settings } = context;
  const isFree = conversation.step === 'idle' || conversation.step === 'intent';
  if (!settings.mayType || !settings.takesNumbers || !isFree) return undefined;
  const number = text.trim().toLowerCase();
  return [...directory.people].find(([, { number: own }]) => own !== '' && own.toLowerCase() === number)?.[0];
}

/** The order of a number that was typed as it stands on paper. */
function findOrder(text: string, { directory, settings }: StationContext) {
  const number = text.trim().toLowerCase();
  if (!settings.mayType || number === '') return undefined;
  return [...directory.orders.values()].find((order) => order.number.toLowerCase() === number)?.id;
}

/** What a hand types may be an answer, the number of an offered task, or words to find one by. */
function hearTyped(
  state: StationState,
  text: string,
  meta: InputMeta,
  context: StationContext,
): StationStep | undefined {
  const { conversation } = state;
  if (conversation.step === 'asked') {
    const takes = takesOf(conversation.question);
    const isNumber = /^[-\d.,:]{1,10}$/.test(text);
    if (takes === 'words' && !parseCode(text).ok) return answer(state, conversation, { text }, meta, context);
    if (!isNumber) return undefined;
    if (takes !== 'nothing') return answer(state, conversation, { text }, meta, context);
    return chooseOption(state, Number(text) - 1, meta, context);
  }
  if (conversation.step !== 'person' || parseCode(text).ok) return undefined;
  const { technician } = conversation.person;
  if (/^[1-9]$/.test(text)) return pickNext(state, Number(text), meta, context);
  // What looks like a code of ours that was mistyped is said to be that.
  const areWords = findTasks(context.directory, text, technician).length > 0 || /\s|^\d+$/.test(text);
  const { person, draft } = conversation;
  return areWords ? findTask(state, { person, staysSignedOn: true }, text, meta, context, draft) : undefined;
}

function pickNext(state: StationState, place: number, meta: InputMeta, context: StationContext): StationStep {
  const { conversation } = state;
  const technician = conversation.step === 'person' ? conversation.person.technician : undefined;
  const target = technician && nextTasks(context.directory, technician, context.settings)[place - 1];
  return target
    ? handleIntent(state, work({ target }), meta, context)
    : refuse(state, 'station.nothing_asked', String(place), meta, context);
}

function applyMeaning(
  state: StationState,
  meaning: Meaning,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  switch (meaning.kind) {
    case 'badge':
      return handleBadge(state, meaning.technician, meaning, meta, context);
    case 'target':
      return handleIntent(state, work({ target: meaning.target }), meta, context);
    case 'order':
      return handleIntent(state, work({ order: meaning.order }), meta, context);
    case 'resource':
      return nameMachine(state, meaning.resource, meta, context);
    case 'traveler': {
      const { target, workType, isOld } = meaning;
      return handleIntent(
        state,
        work({ target, isOldTraveler: isOld, ...(workType ? { workType } : {}) }),
        meta,
        context,
      );
    }
    case 'person-act': {
      const waiting: StationState = {
        ...blank(state),
        conversation: { step: 'intent', intent: actionIntent(meaning.action, meta) },
      };
      return handleBadge(waiting, meaning.technician, meaning, meta, context);
    }
  }
}

const asWorkType = (action: Action): WorkType | undefined => WORK_TYPES.find((each) => each === action);

/** What an action label, or its button, asks for. */
export function act(
  state: StationState,
  action: Action,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const digit = digitOf(action);
  if (digit !== undefined) return keyDigit(state, digit, meta, context);
  const workType = asWorkType(action);
  if (workType) return refineStart(state, { workType }, meta, context);
  switch (action) {
    case 'blank':
      return { state: blank(state), effects: [] };
    case 'crew':
      return state.conversation.step === 'crew'
        ? { state: blank(state), effects: [sound('done')] }
        : openCrew(state, meta, context);
    case 'enter':
    case 'skip':
      return endAnswer(state, action, meta, context);
    case 'join':
      return refineStart(state, { isJoin: true }, meta, context);
    case 'earlier':
      return refineStart(state, { minutesBack: 'ask' }, meta, context);
    case 'on-the-way':
      return goOut(state, meta, context);
    case 'on-site':
      return arrive(state, meta, context);
    case 'note':
      return handleIntent(state, { kind: 'note' }, meta, context);
    case 'part':
    case 'help':
      return handleIntent(state, { kind: 'request', what: action }, meta, context);
    case 'take-back':
      return undo(state, meta, context);
    default: {
      const wanted = asPersonAct(action);
      return wanted
        ? handleIntent(state, actionIntent(wanted, meta), meta, context)
        : refuse(state, 'station.nothing_asked', '', meta, context);
    }
  }
}

function keyDigit(state: StationState, digit: string, meta: InputMeta, context: StationContext): StationStep {
  const { conversation } = state;
  if (conversation.step === 'asked' && takesOf(conversation.question) !== 'nothing')
    return wait(state, { ...conversation, typed: (conversation.typed + digit).slice(0, 10) }, meta, context);
  return conversation.step === 'asked'
    ? chooseOption(state, Number(digit) - 1, meta, context)
    : pickNext(state, Number(digit), meta, context);
}

function endAnswer(
  state: StationState,
  action: 'enter' | 'skip',
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  if (conversation.step !== 'asked') return refuse(state, 'station.nothing_asked', '', meta, context);
  if (action === 'enter') return answer(state, conversation, { text: conversation.typed }, meta, context);
  const { question, intent } = conversation;
  // Without the PIN that was asked for nothing is done for this person.
  if (question.kind === 'pin') return { state: blank(state), effects: [sound('refused')] };
  if (question.kind === 'why' || question.kind === 'how-many')
    return answer(state, conversation, { option: { kind: 'word', word: 'skip' } }, meta, context);
  return question.kind === 'report'
    ? follow(state, conversation, skip(intent, question), meta, context)
    : follow(state, conversation, { kind: 'drop' }, meta, context);
}

export function chooseOption(
  state: StationState,
  place: number,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  if (conversation.step !== 'asked') return refuse(state, 'station.nothing_asked', '', meta, context);
  const option = optionsOf(conversation.question, context.directory)[place];
  return option
    ? answer(state, conversation, { option }, meta, context)
    : refuse(state, 'station.bad_answer', String(place + 1), meta, context);
}
