import type { Entry, EntryId, LaborState, Running, TargetId } from '../ledger/index.ts';
import { stateAt } from '../floor/index.ts';
import type { BoardTechnician } from '../floor/index.ts';
import { findAction, normalizeForeign, parseCode } from '../scan/index.ts';
import type { Action } from '../scan/index.ts';
import { toInstant } from '../time/index.ts';
import { isWorkable } from '../work/index.ts';
import { DEFAULT_STATION_SETTINGS, IDLE } from './conversation.ts';

import type {
  Conversation,
  Effect,
  Intent,
  Said,
  Sound,
  Source,
  Start,
  StationInput,
  StationRefusal,
  StationSettings,
  StationState,
  StationStep,
} from './conversation.ts';
import type { BadgeId, StationDirectory } from './directory.ts';

/** The same code within this time is one scan that a trigger doubled, in milliseconds. */
const DOUBLE_TRIGGER_MS = 2_000;
/** How long a start can be taken back by its maker, in milliseconds. */
export const TAKE_BACK_MS = 30_000;

type Moment = { readonly now: number; readonly entryId: EntryId; readonly source: Source };
type Person = { readonly technician: BoardTechnician; readonly badge: BadgeId };

/** One step of the sign-on conversation: takes in a scan, a touch or the passing of time, and says what the screen
 *  shows and what is to be kept. A badge alone never starts or stops anything. Pure; total over all inputs.
 *  Source: docs/station.md. */
export function converse(
  state: StationState,
  input: StationInput,
  directory: StationDirectory,
  settings: StationSettings = DEFAULT_STATION_SETTINGS,
): StationStep {
  const table = { directory, settings };
  switch (input.type) {
    case 'tick':
      return { state: tick(state, input.now), effects: [] };
    case 'calibrated':
      return {
        state: {
          ...blank(state),
          said: { kind: 'calibrated' },
          blankAt: input.now + settings.clearAfterDone * 1000,
        },
        effects: [sound('done')],
      };
    case 'touch':
      return act(tick(state, input.now), input.action, { ...input, source: 'touch' }, table);
    case 'scan': {
      const current = tick(state, input.now);
      const text = input.text.trim().toUpperCase();
      if (isDoubleTrigger(current, text, input.now)) return { state: current, effects: [] };
      return hear({ ...current, heard: { text, at: input.now } }, input.text, input, table);
    }
  }
}

type Table = { readonly directory: StationDirectory; readonly settings: StationSettings };

const isDoubleTrigger = ({ heard }: StationState, text: string, now: number) =>
  heard?.text === text && now - heard.at < DOUBLE_TRIGGER_MS;

function tick(state: StationState, now: number): StationState {
  const starts = state.starts.filter(({ at }) => now - at <= TAKE_BACK_MS);
  const current = starts.length === state.starts.length ? state : { ...state, starts };
  return current.blankAt !== null && now >= current.blankAt ? blank(current) : current;
}

/** Drops a half-finished conversation; labor that runs is not touched. */
const blank = ({ heard, starts }: StationState): StationState => ({ ...IDLE, heard, starts });

const sound = (name: Sound): Effect => ({ type: 'sound', sound: name });

function hear(state: StationState, text: string, moment: Moment, table: Table): StationStep {
  const parsed = parseCode(text);
  const refused = (code: StationRefusal) => refuse(state, code, text, moment, table, true);
  if (parsed.ok && parsed.value.kind === 'action') {
    const action = findAction(parsed.value.code);
    return action ? act(state, action, moment, table) : refused('station.unknown_code');
  }
  // A card that another system gave out is no code of ours, and still somebody's badge.
  const meaning = table.directory.codes.get(parsed.ok ? parsed.value.code : normalizeForeign(text));
  if (!meaning) {
    if (!parsed.ok) return refused(parsed.code);
    return refused(parsed.value.kind === 'resource' ? 'station.unused_code' : 'station.unknown_code');
  }
  switch (meaning.kind) {
    case 'badge':
      return greet(state, meaning.technician, meaning.badge, moment, table);
    case 'target':
      return want(state, runOn(meaning.target), moment, table);
    case 'order':
      return refuse(state, 'station.order_code', text, moment, table);
    case 'traveler': {
      const { target, workType = 'run', isOld } = meaning;
      return want(state, { kind: 'work', target, workType, isOldTraveler: isOld }, moment, table);
    }
    case 'person-act': {
      const met = greet(blank(state), meaning.technician, meaning.badge, moment, table);
      if (met.state.conversation.step !== 'person') return met;
      const done = act(met.state, meaning.action, moment, table);
      return { ...done, state: { ...done.state, conversation: { step: 'idle' } } };
    }
  }
}

const runOn = (target: TargetId): Intent => ({
  kind: 'work',
  target,
  workType: 'run',
  isOldTraveler: false,
});

/** A badge: completes what was waiting for one, else shows where its owner stands. */
function greet(
  state: StationState,
  id: BoardTechnician['id'],
  badge: BadgeId,
  moment: Moment,
  table: Table,
): StationStep {
  const technician = table.directory.technicians.get(id);
  if (!technician) return refuse(state, 'station.unknown_code', '', moment, table);
  if (technician.hasLeft)
    return refuse(blank(state), 'station.technician_left', technician.name, moment, table);
  const { conversation } = state;
  if (conversation.step === 'intent') {
    const done = fulfil(state, conversation.intent, { technician, badge }, moment, table);
    return { ...done, state: { ...done.state, conversation: { step: 'idle' } } };
  }
  const person: Conversation = { step: 'person', technician: id, badge };
  return {
    state: {
      ...state,
      conversation: person,
      said: null,
      blankAt: moment.now + table.settings.clearAfterBadge * 1000,
    },
    effects: [sound('heard')],
  };
}

function act(state: StationState, action: Action, moment: Moment, table: Table): StationStep {
  if (action === 'blank') return { state: blank(state), effects: [] };
  const maker =
    action === 'take-back' && state.conversation.step === 'idle' ? makerOf(state, table) : undefined;
  return maker
    ? fulfil(state, { kind: 'action', action }, maker, moment, table)
    : want(state, { kind: 'action', action }, moment, table);
}

/** While a start still stands on the screen, whoever takes it back there is its maker. */
function makerOf({ said }: StationState, { directory }: Table): Person | undefined {
  if (said?.kind !== 'started' && said?.kind !== 'switched') return undefined;
  const technician = directory.technicians.get(said.technician);
  return technician && { technician, badge: '' as BadgeId };
}

/** Something that needs a person: done at once if one stands here, else a badge is asked for. */
function want(state: StationState, intent: Intent, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  if (conversation.step === 'person') {
    const technician = table.directory.technicians.get(conversation.technician);
    if (technician) return fulfil(state, intent, { technician, badge: conversation.badge }, moment, table);
  }
  const problem = intent.kind === 'work' ? findWorkProblem(intent, table.directory) : undefined;
  if (problem) return refuse(state, problem.code, problem.text, moment, table);
  return {
    state: {
      ...state,
      conversation: { step: 'intent', intent },
      said: null,
      blankAt: moment.now + table.settings.clearAfterBadge * 1000,
    },
    effects: [sound('heard')],
  };
}

function findWorkProblem(
  { target }: Extract<Intent, { kind: 'work' }>,
  { targets, orders }: StationDirectory,
): { readonly code: StationRefusal; readonly text: string } | undefined {
  const known = targets.get(target);
  if (!known) return { code: 'station.unknown_code', text: '' };
  if (known.kind === 'activity') return undefined;
  const order = orders.get(known.order);
  if (order && !isWorkable(order.state)) return { code: 'station.order_not_released', text: order.number };
  return known.isFinished ? { code: 'station.task_finished', text: known.title } : undefined;
}

function fulfil(
  state: StationState,
  intent: Intent,
  person: Person,
  moment: Moment,
  table: Table,
): StationStep {
  const at = toInstant(Math.floor(moment.now / 1000));
  const stands = stateAt(table.directory, person.technician, at);
  const make = { id: moment.entryId, at, technician: person.technician.id };
  const refused = (code: StationRefusal, text = '') => refuse(state, code, text, moment, table);
  const done = (said: Said, entry: Entry, start?: Start) =>
    finish(state, said, entry, start, person, moment, table);
  const technician = person.technician.id;

  if (intent.kind === 'work') {
    const problem = findWorkProblem(intent, table.directory);
    if (problem) return refused(problem.code, problem.text);
    const left = runningOf(stands);
    const { target, workType, isOldTraveler } = intent;
    if (left.length === 1 && left[0]?.target === target && left[0].workType === workType)
      return show(state, { kind: 'already-on', technician, target }, moment, table);
    const said = { technician, target, workType, isOldTraveler, entry: make.id };
    return done(
      left.length > 0 ? { kind: 'switched', ...said, left } : { kind: 'started', ...said },
      { ...make, type: 'work-start', targets: [target], ...(workType === 'run' ? {} : { workType }) },
      { technician, entry: make.id, at: moment.now },
    );
  }
  switch (intent.action) {
    case 'shift-in':
      if (stands.shift) return refused('station.already_in');
      return done({ kind: 'shift-in', technician }, { ...make, type: 'shift-in' });
    case 'shift-out':
      if (!stands.shift && stands.doing.status === 'nothing') return refused('station.not_in');
      return done({ kind: 'shift-out', technician }, { ...make, type: 'shift-out' });
    case 'break': {
      const isOver = stands.doing.status === 'break';
      return done(
        { kind: isOver ? 'break-over' : 'break', technician },
        { ...make, type: isOver ? 'break-end' : 'break-start' },
      );
    }
    case 'done': {
      const left = runningOf(stands);
      if (left.length === 0 || stands.doing.status !== 'work') return refused('station.on_nothing');
      return done(
        { kind: 'done', technician, left, since: stands.doing.since, at },
        { ...make, type: 'task-done', targets: left.map(({ target }) => target) },
      );
    }
    case 'setup':
    case 'run':
    case 'cleanup':
    case 'down':
    case 'rework':
    case 'travel': {
      const left = runningOf(stands);
      const workType = intent.action;
      if (left.length === 0) return refused('station.type_without_task');
      if (left.every((each) => each.workType === workType))
        return show(
          state,
          { kind: 'already-on', technician, target: (left[0] as Running).target },
          moment,
          table,
        );
      const targets = left.map(({ target }) => target);
      return done(
        { kind: 'work-type', technician, left, workType },
        { ...make, type: 'work-start', targets, workType },
      );
    }
    case 'off-task': {
      const left = runningOf(stands);
      if (left.length === 0 || stands.doing.status !== 'work') return refused('station.on_nothing');
      return done(
        { kind: 'stopped', technician, left, since: stands.doing.since, at },
        { ...make, type: 'work-stop' },
      );
    }
    case 'take-back': {
      const start = state.starts.find((each) => each.technician === technician);
      if (!start) return refused('station.nothing_to_take_back');
      const entry: Entry = { id: make.id, type: 'void', target: start.entry };
      return finish(state, { kind: 'taken-back', technician }, entry, undefined, person, moment, table);
    }
  }
}

const runningOf = ({ doing }: LaborState): readonly Running[] =>
  doing.status === 'work' ? doing.running : [];

function finish(
  state: StationState,
  said: Said,
  entry: Entry,
  start: Start | undefined,
  { technician: { id }, badge }: Person,
  { now, source }: Moment,
  { settings }: Table,
): StationStep {
  // Only one's last act can be taken back: any later one leaves the start where it is.
  const others = state.starts.filter(({ technician }) => technician !== id);
  return {
    state: {
      ...state,
      said,
      starts: start ? [...others, start] : others,
      blankAt: now + settings.clearAfterDone * 1000,
    },
    effects: [{ type: 'append', entry, source, via: badge ? [badge] : [] }, sound('done')],
  };
}

function show(state: StationState, said: Said, { now }: Moment, { settings }: Table): StationStep {
  return {
    state: { ...state, said, blankAt: now + settings.clearAfterDone * 1000 },
    effects: [sound('done')],
  };
}

/** A badge's body is a secret, even of one that is mangled or revoked: only how it began is kept. */
const withoutBadge = (text: string): string =>
  /^\s*B\w{6,}/i.test(text) ? `${text.trim().slice(0, 3)}…` : text;

/** Says no, and keeps the conversation where it was: the next scan is understood as if this one had not been. */
function refuse(
  state: StationState,
  code: StationRefusal,
  text: string,
  { now }: Moment,
  { settings }: Table,
  isReported = false,
): StationStep {
  const { clearAfterBadge, clearAfterDone } = settings;
  const seconds = state.conversation.step === 'idle' ? clearAfterDone : clearAfterBadge;
  const effects: Effect[] = [sound('refused')];
  if (isReported) effects.push({ type: 'report', text: withoutBadge(text), code });
  return {
    state: { ...state, said: { kind: 'refused', code, text }, blankAt: now + seconds * 1000 },
    effects,
  };
}
