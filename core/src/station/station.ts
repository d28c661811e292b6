import type { TechnicianId } from '../people/index.ts';
import { digitOf, findAction, parseCode } from '../scan/index.ts';
import type { Moment, StationInput, StationState, StationStep, Table, Touch } from './conversation.ts';
import { openOwnCrew, tickOff } from './crew.ts';
import { greet, hearPin } from './greet.ts';
import { act, chooseOption, hear } from './hear.ts';
import { answer } from './pursue.ts';
import { blank, refuse, show, tick } from './show.ts';
import { want, work } from './wants.ts';

/** The same code within this time is one scan that a trigger doubled, in milliseconds. */
const DOUBLE_TRIGGER_MS = 2_000;

/** One step of the sign-on conversation: takes in a scan, a touch, an answer or the passing of time, and says what the
 *  screen shows and what is to be kept. At a labor station a badge alone never starts or stops anything. Pure; total
 *  over all inputs. Source: docs/station.md. */
export function converse(before: StationState, input: StationInput, table: Table): StationStep {
  const state = tick(before, input.now);
  switch (input.type) {
    case 'tick':
      return { state, effects: [] };
    case 'calibrated': {
      const moment: Moment = { now: input.now, entryId: '' as Moment['entryId'], source: 'scan' };
      return show(blank(state), { kind: 'calibrated' }, moment, table);
    }
    case 'scan': {
      const text = input.text.trim().toUpperCase();
      const isDouble = state.heard?.text === text && input.now - state.heard.at < DOUBLE_TRIGGER_MS;
      // A figure keyed twice is two figures; only codes come doubled.
      if (isDouble && text.length > 3 && !isDigitLabel(text)) return { state, effects: [] };
      return hear({ ...state, heard: { text, at: input.now } }, input, table);
    }
    case 'touch':
      return touch(state, input.action, { ...input, source: 'touch' }, table);
    case 'pick':
      return want(state, work({ target: input.target }), { ...input, source: 'touch' }, table);
    case 'name':
      return touchName(state, input.technician, { ...input, source: 'touch' }, table);
    case 'choose':
      return chooseOption(state, input.option, { ...input, source: 'touch' }, table);
    case 'answer': {
      const { conversation } = state;
      const moment: Moment = { ...input, source: 'typed' };
      return conversation.step === 'asked'
        ? answer(state, conversation, { text: input.text }, moment, table)
        : refuse(state, 'station.nothing_asked', '', moment, table);
    }
    case 'pin':
      return hearPin(state, input, { ...input, source: 'typed' }, table);
  }
}

const isDigitLabel = (text: string): boolean => {
  const parsed = parseCode(text);
  const action = parsed.ok ? findAction(parsed.value.code) : undefined;
  return action !== undefined && digitOf(action) !== undefined;
};

function touch(state: StationState, action: Touch, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  switch (action) {
    case 'indirect':
      return want(state, { kind: 'indirect' }, moment, table);
    case 'correction':
      return want(state, { kind: 'request', what: 'correction' }, moment, table);
    case 'note':
    case 'find':
      return want(state, { kind: action }, moment, table);
    case 'lead-crew':
      return conversation.step === 'person'
        ? openOwnCrew(state, conversation.person, moment, table)
        : refuse(state, 'station.nothing_asked', '', moment, table);
    default:
      return act(state, action, moment, table);
  }
}

function touchName(state: StationState, technician: TechnicianId, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  if (conversation.step === 'crew') return tickOff(state, conversation, technician, moment, table);
  return table.settings.identity === 'names'
    ? greet(state, technician, null, moment, table)
    : refuse(state, 'station.nothing_asked', '', moment, table);
}
