import type { TechnicianId } from '../people/index.ts';
import type { WorkType } from '../work/index.ts';
import { matchOption } from './answers.ts';
import type {
  ActIntent,
  Conversation,
  Draft,
  Intent,
  Moment,
  Person,
  PersonAct,
  StationState,
  StationStep,
  Table,
  WorkIntent,
} from './conversation.ts';
import { actForCrew, putCrewOn } from './crew.ts';
import type { ResourceId } from './directory.ts';
import { standingOfPerson, takeBack } from './fulfil.ts';
import { refusedTarget, runningOf } from './needs.ts';
import { answer, pursue } from './pursue.ts';
import { optionsOf } from './question.ts';
import { TAKE_BACK_MS, blank, finish, instantOf, refuse, show, wait } from './show.ts';

export const work = (more: Partial<WorkIntent>): WorkIntent => ({ kind: 'work', answers: [], ...more });

export const actOf = (action: PersonAct, { source }: Moment): ActIntent => ({
  kind: 'action',
  action,
  // A scanned label is meant; a touch is easily made by mistake.
  isConfirmed: source !== 'touch',
  answers: [],
});

export type Asked = Extract<Conversation, { step: 'asked' }>;

/** Something that needs a person: done at once if one stands here, else a badge is asked for. */
export function want(state: StationState, intent: Intent, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  const isPresenceOnly = intent.kind === 'work' || intent.kind === 'indirect';
  if (table.settings.kind === 'presence' && isPresenceOnly)
    return refuse(state, 'station.presence_only', '', moment, table);
  switch (conversation.step) {
    case 'person': {
      const drafted =
        intent.kind === 'work' ? { ...intent, ...conversation.draft, ...defined(intent) } : intent;
      return pursue(state, conversation.person, drafted, true, moment, table);
    }
    case 'asked':
      return pursueAsked(state, conversation, intent, moment, table);
    case 'crew': {
      if (intent.kind === 'work' && intent.target !== undefined)
        return putCrewOn(state, conversation, intent, moment, table);
      if (intent.kind === 'action') return actForCrew(state, conversation, intent, moment, table);
      return want(blank(state), intent, moment, table);
    }
    case 'idle':
    case 'intent': {
      const before =
        conversation.step === 'intent' && conversation.intent.kind === 'work'
          ? draftOf(conversation.intent)
          : {};
      const next = intent.kind === 'work' ? { ...intent, ...before, ...defined(intent) } : intent;
      const need = next.kind === 'work' ? refusedTarget(next, table) : undefined;
      if (need?.kind === 'refuse') return refuse(state, need.code, need.text, moment, table);
      return wait(state, { step: 'intent', intent: next }, moment, table);
    }
  }
}

/** What a start itself says of its kind, which counts more than what was said before it. */
const defined = ({ workType, machine }: WorkIntent): Draft => ({
  ...(workType === undefined ? {} : { workType }),
  ...(machine === undefined ? {} : { machine }),
});

export const draftOf = ({ workType, isJoin, machine, minutesBack }: WorkIntent): Draft => ({
  ...(workType === undefined ? {} : { workType }),
  ...(isJoin === undefined ? {} : { isJoin }),
  ...(machine === undefined ? {} : { machine }),
  ...(minutesBack === undefined ? {} : { minutesBack }),
});

/** Something new while a question is open: the answer to it, if it is one; else the question gives way. */
function pursueAsked(
  state: StationState,
  asked: Asked,
  intent: Intent,
  moment: Moment,
  table: Table,
): StationStep {
  const { question, person, stays } = asked;
  if (question.kind === 'pin')
    return wait(state, { ...asked, intent, stays: false }, moment, table, 'question');
  const target = intent.kind === 'work' ? intent.target : undefined;
  const option = target && matchOption(optionsOf(question, table.directory), { target });
  if (option) return answer(state, asked, { option }, moment, table);
  if (intent.kind === 'work' && intent.target === undefined && intent.order === undefined)
    return wait(state, { step: 'person', person, draft: draftOf(intent) }, moment, table);
  return pursue(state, person, intent, stays, moment, table);
}

/** A kind of work, a machine, JOIN or EARLIER: said of a start that was just made, of what runs, or of the next one. */
export function sayOfWork(state: StationState, said: Draft, moment: Moment, table: Table): StationStep {
  const { conversation } = state;
  if (table.settings.kind === 'presence') return refuse(state, 'station.presence_only', '', moment, table);
  if (conversation.step === 'crew')
    return putCrewOn(state, conversation, work({ ...conversation.work, ...said }), moment, table);
  if (conversation.step === 'asked')
    return pursueAsked(state, conversation, { ...asWork(conversation.intent), ...said }, moment, table);
  if (conversation.step !== 'person') {
    const waiting = conversation.step === 'intent' ? asWork(conversation.intent) : work({});
    const { said: before } = state;
    const maker =
      conversation.step === 'idle' && before && 'technician' in before ? before.technician : undefined;
    const fresh = maker && findFresh(state, maker, moment);
    return fresh && maker && said.isJoin === undefined
      ? pursue(state, personOf(maker), { ...fresh, ...said }, false, moment, table)
      : wait(state, { step: 'intent', intent: { ...waiting, ...said } }, moment, table);
  }
  const { person, draft } = conversation;
  const fresh = findFresh(state, person.technician, moment);
  if (fresh && said.isJoin === undefined)
    return pursue(state, person, { ...fresh, ...said }, true, moment, table);
  const standing = standingOfPerson(table.directory, person, instantOf(moment));
  const isOn = standing !== undefined && runningOf(standing.stands).length > 0;
  const isOnlyType = Object.keys(draft).length === 0 && said.workType !== undefined;
  return isOn && isOnlyType && said.workType
    ? changeType(state, person, said.workType, moment, table)
    : wait(state, { ...conversation, draft: { ...draft, ...said } }, moment, table);
}

/** Whatever waits or is asked for as a start; something else gives way to a new one. */
const asWork = (intent: Intent): WorkIntent => (intent.kind === 'work' ? intent : work({}));

/** A start of this person so fresh that more can be said of it: said again with it, it replaces itself. */
function findFresh(
  { acts, said }: StationState,
  technician: TechnicianId,
  { now }: Moment,
): WorkIntent | undefined {
  const act = acts.find((each) => each.technician === technician && now - each.at <= TAKE_BACK_MS);
  const isShown =
    (said?.kind === 'started' || said?.kind === 'switched' || said?.kind === 'joined') &&
    said.technician === technician;
  return act?.work && isShown ? { ...act.work, replaces: act } : undefined;
}

const personOf = (technician: TechnicianId): Person => ({
  technician,
  badge: null,
  identity: 'badge',
});

function changeType(
  state: StationState,
  person: Person,
  workType: WorkType,
  moment: Moment,
  table: Table,
): StationStep {
  const standing = standingOfPerson(table.directory, person, instantOf(moment));
  const running = standing ? runningOf(standing.stands) : [];
  const [first] = running;
  if (first && running.every((each) => each.workType === workType)) {
    const { technician } = person;
    return show(state, { kind: 'already-on', technician, target: first.target }, moment, table);
  }
  // Of one task the station also knows whether the estimate includes this kind of work.
  return running.length === 1 && first
    ? pursue(state, person, work({ target: first.target, workType }), true, moment, table)
    : pursue(state, person, actOf(workType, moment), true, moment, table);
}

export function nameMachine(
  state: StationState,
  resource: ResourceId,
  moment: Moment,
  table: Table,
): StationStep {
  const { conversation } = state;
  const known = table.directory.resources.get(resource);
  if (conversation.step === 'asked') {
    const option = matchOption(optionsOf(conversation.question, table.directory), { machine: resource });
    if (option) return answer(state, conversation, { option }, moment, table);
  }
  return known?.kind === 'machine'
    ? sayOfWork(state, { machine: resource }, moment, table)
    : refuse(state, 'station.nothing_asked', known?.name ?? '', moment, table);
}

/** Takes one's own last act back: by its maker, or on the screen that still shows it. */
export function undo(state: StationState, moment: Moment, table: Table): StationStep {
  const { conversation, said } = state;
  // Whoever has not said his PIN yet is asked for it first, as for anything else.
  if (conversation.step === 'asked' && conversation.question.kind === 'pin')
    return pursueAsked(state, conversation, actOf('take-back', moment), moment, table);
  const standing =
    conversation.step === 'person' || conversation.step === 'asked' ? conversation.person : undefined;
  const shown = conversation.step === 'idle' && said && 'technician' in said ? said.technician : undefined;
  const technician = standing?.technician ?? shown;
  if (technician === undefined) return want(state, actOf('take-back', moment), moment, table);
  return takeBackFor(state, standing ?? personOf(technician), moment, table);
}

export function takeBackFor(state: StationState, person: Person, moment: Moment, table: Table): StationStep {
  const { technician } = person;
  const own = state.acts.find((each) => each.technician === technician);
  if (!own) return refuse(state, 'station.nothing_to_take_back', '', moment, table);
  const said = { kind: 'taken-back', technician } as const;
  const signed = state.signed.filter((each) => each.technician !== technician);
  const voids = takeBack(own, moment.entryId);
  return finish({ ...state, signed }, voids, { said, work: null, isTakeBack: true }, person, moment, table);
}
