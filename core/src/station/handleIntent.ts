import type { PersonAct } from './personAct.ts';
import type { TechnicianId } from '../people/index.ts';
import type { WorkType } from '../work/index.ts';
import { matchOption } from './answers.ts';
import type {
  ActIntent,
  Conversation,
  StartDetails,
  Intent,
  InputMeta,
  Person,
  StationState,
  StationStep,
  StationContext,
  WorkIntent,
} from './conversation.ts';
import { actForCrew, putCrewOn } from './crew.ts';
import type { ResourceId } from './directory.ts';
import { personAtStation, takeBack } from './entriesForIntent.ts';
import { refusedTarget, runningOf } from './checkIntent.ts';
import { answer, advanceIntent } from './advanceIntent.ts';
import { optionsOf } from './question.ts';
import { TAKE_BACK_MS, blank, finish, instantOf, refuse, show, wait } from './show.ts';

export const work = (more: Partial<WorkIntent>): WorkIntent => ({ kind: 'work', answers: [], ...more });

export const actionIntent = (action: PersonAct, { source }: InputMeta): ActIntent => ({
  kind: 'action',
  action,
  // A scanned label is meant; a touch is easily made by mistake.
  isConfirmed: source !== 'touch',
  answers: [],
});

export type Asked = Extract<Conversation, { step: 'asked' }>;

/** Something that needs a person: done at once if one stands here, else a badge is asked for. */
export function handleIntent(
  state: StationState,
  intent: Intent,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  const isPresenceOnly = intent.kind === 'work' || intent.kind === 'indirect';
  if (context.settings.kind === 'presence' && isPresenceOnly)
    return refuse(state, 'station.presence_only', '', meta, context);
  switch (conversation.step) {
    case 'person': {
      const drafted =
        intent.kind === 'work' ? { ...intent, ...conversation.draft, ...defined(intent) } : intent;
      return advanceIntent(state, conversation.person, drafted, true, meta, context);
    }
    case 'asked':
      return advanceAsked(state, conversation, intent, meta, context);
    case 'crew': {
      if (intent.kind === 'work' && intent.target !== undefined)
        return putCrewOn(state, conversation, intent, meta, context);
      if (intent.kind === 'action') return actForCrew(state, conversation, intent, meta, context);
      return handleIntent(blank(state), intent, meta, context);
    }
    case 'idle':
    case 'intent': {
      const before =
        conversation.step === 'intent' && conversation.intent.kind === 'work'
          ? startDetailsOf(conversation.intent)
          : {};
      const next = intent.kind === 'work' ? { ...intent, ...before, ...defined(intent) } : intent;
      const need = next.kind === 'work' ? refusedTarget(next, context) : undefined;
      if (need?.kind === 'refuse') return refuse(state, need.code, need.text, meta, context);
      return wait(state, { step: 'intent', intent: next }, meta, context);
    }
  }
}

/** What a start itself says of its kind, which counts more than what was said before it. */
const defined = ({ workType, machine }: WorkIntent): StartDetails => ({
  ...(workType === undefined ? {} : { workType }),
  ...(machine === undefined ? {} : { machine }),
});

export const startDetailsOf = ({
  workType,
  isJoin,
  isOutside,
  machine,
  minutesBack,
}: WorkIntent): StartDetails => ({
  ...(workType === undefined ? {} : { workType }),
  ...(isJoin === undefined ? {} : { isJoin }),
  ...(isOutside === undefined ? {} : { isOutside }),
  ...(machine === undefined ? {} : { machine }),
  ...(minutesBack === undefined ? {} : { minutesBack }),
});

/** Something new while a question is open: the answer to it, if it is one; else the question gives way. */
function advanceAsked(
  state: StationState,
  asked: Asked,
  intent: Intent,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { question, person, staysSignedOn } = asked;
  if (question.kind === 'pin')
    return wait(state, { ...asked, intent, staysSignedOn: false }, meta, context, 'question');
  const target = intent.kind === 'work' ? intent.target : undefined;
  const option = target && matchOption(optionsOf(question, context.directory), { target });
  if (option) return answer(state, asked, { option }, meta, context);
  if (intent.kind === 'work' && intent.target === undefined && intent.order === undefined)
    return wait(state, { step: 'person', person, draft: startDetailsOf(intent) }, meta, context);
  return advanceIntent(state, person, intent, staysSignedOn, meta, context);
}

/** A kind of work, a machine, JOIN or EARLIER: said of a start that was just made, of what runs, or of the next one. */
export function refineStart(
  state: StationState,
  said: StartDetails,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  if (context.settings.kind === 'presence') return refuse(state, 'station.presence_only', '', meta, context);
  if (conversation.step === 'crew')
    return putCrewOn(state, conversation, work({ ...conversation.work, ...said }), meta, context);
  if (conversation.step === 'asked')
    return advanceAsked(state, conversation, refined(asWork(conversation.intent), said), meta, context);
  if (conversation.step !== 'person') {
    const waiting = conversation.step === 'intent' ? asWork(conversation.intent) : work({});
    const { said: before } = state;
    const maker =
      conversation.step === 'idle' && before && 'technician' in before ? before.technician : undefined;
    const fresh = maker && startStillEditable(state, maker, meta);
    return fresh && maker && said.isJoin === undefined
      ? advanceIntent(state, personOf(maker), refined(fresh, said), false, meta, context)
      : wait(state, { step: 'intent', intent: refined(waiting, said) }, meta, context);
  }
  const { person, draft } = conversation;
  const fresh = startStillEditable(state, person.technician, meta);
  if (fresh && said.isJoin === undefined)
    return advanceIntent(state, person, refined(fresh, said), true, meta, context);
  const standing = personAtStation(context.directory, person, instantOf(meta));
  const isOn = standing !== undefined && runningOf(standing.stands).length > 0;
  const isOnlyType = Object.keys(draft).length === 0 && said.workType !== undefined;
  return isOn && isOnlyType && said.workType
    ? changeType(state, person, said.workType, meta, context)
    : wait(state, { ...conversation, draft: { ...draft, ...said } }, meta, context);
}

/** Somebody goes out: the next task is the one that they travel to, and what they are on is left when it starts. Whether
 *  travel counts in the job its order says; nobody on the road is asked. */
export function goOut(state: StationState, meta: InputMeta, context: StationContext): StationStep {
  const { conversation } = state;
  const said: StartDetails = { workType: 'travel', isOutside: true };
  if (context.settings.kind === 'presence') return refuse(state, 'station.presence_only', '', meta, context);
  return conversation.step === 'person'
    ? wait(state, { ...conversation, draft: { ...conversation.draft, ...said } }, meta, context)
    : refineStart(state, said, meta, context);
}

/** They have come where they travelled to: the same task goes on as work. */
export function arrive(state: StationState, meta: InputMeta, context: StationContext): StationStep {
  const { conversation } = state;
  if (conversation.step !== 'person') return refineStart(state, { workType: 'run' }, meta, context);
  const { person } = conversation;
  const standing = personAtStation(context.directory, person, instantOf(meta));
  const running = standing ? runningOf(standing.stands) : [];
  // However short the way was, it was travelled: arriving is no second thought about what was started.
  return running.some(({ workType }) => workType === 'travel')
    ? changeType(state, person, 'run', meta, context)
    : refuse(state, 'station.not_on_the_way', '', meta, context);
}

/** A start with more said of it. The reason that was given for one kind of work is none of another. */
function refined({ reason, ...intent }: WorkIntent, said: StartDetails): WorkIntent {
  const isSameKind = said.workType === undefined || said.workType === intent.workType;
  return { ...intent, ...said, ...(isSameKind && reason !== undefined ? { reason } : {}) };
}

/** Whatever waits or is asked for as a start; something else gives way to a new one. */
const asWork = (intent: Intent): WorkIntent => (intent.kind === 'work' ? intent : work({}));

/** A start of this person so fresh that more can be said of it: said again with it, it replaces itself. */
function startStillEditable(
  { acts, said }: StationState,
  technician: TechnicianId,
  { now }: InputMeta,
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
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const standing = personAtStation(context.directory, person, instantOf(meta));
  const running = standing ? runningOf(standing.stands) : [];
  const [first] = running;
  if (first && running.every((each) => each.workType === workType)) {
    const { technician } = person;
    return show(state, { kind: 'already-on', technician, target: first.target }, meta, context);
  }
  // Of one task the station also knows whether the estimate includes this kind of work.
  return running.length === 1 && first
    ? advanceIntent(state, person, work({ target: first.target, workType }), true, meta, context)
    : advanceIntent(state, person, actionIntent(workType, meta), true, meta, context);
}

export function nameMachine(
  state: StationState,
  resource: ResourceId,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  const known = context.directory.resources.get(resource);
  if (conversation.step === 'asked') {
    const option = matchOption(optionsOf(conversation.question, context.directory), { machine: resource });
    if (option) return answer(state, conversation, { option }, meta, context);
  }
  return known?.kind === 'machine'
    ? refineStart(state, { machine: resource }, meta, context)
    : refuse(state, 'station.nothing_asked', known?.name ?? '', meta, context);
}

/** Takes one's own last act back: by its maker, or on the screen that still shows it. */
export function undo(state: StationState, meta: InputMeta, context: StationContext): StationStep {
  const { conversation, said } = state;
  // Whoever has not said their PIN yet is asked for it first, as for anything else.
  if (conversation.step === 'asked' && conversation.question.kind === 'pin')
    return advanceAsked(state, conversation, actionIntent('take-back', meta), meta, context);
  const standing =
    conversation.step === 'person' || conversation.step === 'asked' ? conversation.person : undefined;
  const shown = conversation.step === 'idle' && said && 'technician' in said ? said.technician : undefined;
  const technician = standing?.technician ?? shown;
  if (technician === undefined) return handleIntent(state, actionIntent('take-back', meta), meta, context);
  return takeBackFor(state, standing ?? personOf(technician), meta, context);
}

export function takeBackFor(
  state: StationState,
  person: Person,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { technician } = person;
  const own = state.acts.find((each) => each.technician === technician);
  if (!own) return refuse(state, 'station.nothing_to_take_back', '', meta, context);
  const said = { kind: 'taken-back', technician } as const;
  const signed = state.signed.filter((each) => each.technician !== technician);
  const voids = takeBack(own, meta.entryId);
  return finish({ ...state, signed }, voids, { said, work: null, isTakeBack: true }, person, meta, context);
}
