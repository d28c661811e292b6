import { entryIdOf } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { digitOf, findAction, parseCode } from '../scan/index.ts';
import type {
  InputMeta,
  StationInput,
  StationState,
  StationStep,
  StationContext,
  Touch,
} from './conversation.ts';
import { openOwnCrew, tickOff } from './crew.ts';
import { handleBadge, handlePin } from './handleBadge.ts';
import { act, chooseOption, handleScan } from './handleScan.ts';
import { answer } from './advanceIntent.ts';
import { blank, refuse, show, tick } from './show.ts';
import { handleIntent, work } from './handleIntent.ts';

/** The same code within this time is one scan that a trigger doubled, in milliseconds. */
const DOUBLE_TRIGGER_MS = 2_000;

/** Of a calibration nothing is recorded. */
const NO_ENTRY = entryIdOf('none', 0);

/** One step of the sign-on conversation: takes in a scan, a touch, an answer or the passing of time, and says what the
 *  screen shows and what is to be kept. At a labor station a badge alone never starts or stops anything. Pure; total
 *  over all inputs. Source: docs/station.md. */
export function converse(before: StationState, input: StationInput, context: StationContext): StationStep {
  const state = tick(before, input.now);
  switch (input.type) {
    case 'tick':
      return { state, effects: [] };
    case 'stay': {
      if (state.conversation.step !== 'person') return { state, effects: [] };
      const blankAt = input.now + context.settings.clearAfterBadge * 1000;
      return { state: { ...state, blankAt: Math.max(state.blankAt ?? 0, blankAt) }, effects: [] };
    }
    case 'calibrated': {
      const meta: InputMeta = { now: input.now, entryId: NO_ENTRY, source: 'scan' };
      return show(blank(state), { kind: 'calibrated' }, meta, context);
    }
    case 'scan': {
      const text = input.text.trim().toUpperCase();
      const isDouble = state.heard?.text === text && input.now - state.heard.at < DOUBLE_TRIGGER_MS;
      // A figure keyed twice is two figures; only codes come doubled.
      if (isDouble && text.length > 3 && !isDigitLabel(text)) return { state, effects: [] };
      return handleScan({ ...state, heard: { text, at: input.now } }, input, context);
    }
    case 'touch':
      return touch(state, input.action, { ...input, source: 'touch' }, context);
    case 'pick':
      return handleIntent(state, work({ target: input.target }), { ...input, source: 'touch' }, context);
    case 'name':
      return touchName(state, input.technician, { ...input, source: 'touch' }, context);
    case 'choose':
      return chooseOption(state, input.option, { ...input, source: 'touch' }, context);
    case 'answer': {
      const { conversation } = state;
      const meta: InputMeta = { ...input, source: 'typed' };
      return conversation.step === 'asked'
        ? answer(state, conversation, { text: input.text }, meta, context)
        : refuse(state, 'station.nothing_asked', '', meta, context);
    }
    case 'pin':
      return handlePin(state, input, { ...input, source: 'typed' }, context);
  }
}

const isDigitLabel = (text: string): boolean => {
  const parsed = parseCode(text);
  const action = parsed.ok ? findAction(parsed.value.code) : undefined;
  return action !== undefined && digitOf(action) !== undefined;
};

function touch(state: StationState, action: Touch, meta: InputMeta, context: StationContext): StationStep {
  const { conversation } = state;
  switch (action) {
    case 'indirect':
      return handleIntent(state, { kind: 'indirect' }, meta, context);
    case 'correction':
      return handleIntent(state, { kind: 'request', what: 'correction' }, meta, context);
    case 'time-off':
      return handleIntent(state, { kind: 'request', what: 'time-off' }, meta, context);
    case 'find':
      return handleIntent(state, { kind: 'find' }, meta, context);
    case 'lead-crew':
      return conversation.step === 'person'
        ? openOwnCrew(state, conversation.person, meta, context)
        : refuse(state, 'station.nothing_asked', '', meta, context);
    default:
      return act(state, action, meta, context);
  }
}

function touchName(
  state: StationState,
  technician: TechnicianId,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  if (conversation.step === 'crew') return tickOff(state, conversation, technician, meta, context);
  if (context.directory.owner === technician)
    return handleBadge(state, technician, 'own-phone', meta, context);
  return context.settings.identity === 'names'
    ? handleBadge(state, technician, 'name', meta, context)
    : refuse(state, 'station.nothing_asked', '', meta, context);
}
