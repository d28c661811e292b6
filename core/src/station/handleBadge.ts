import type { TechnicianId } from '../people/index.ts';
import type {
  ActIntent,
  Conversation,
  Intent,
  InputMeta,
  Person,
  StationInput,
  StationState,
  StationStep,
  StationContext,
  WorkIntent,
} from './conversation.ts';
import { joinCrew } from './crew.ts';
import type { BadgeId } from './directory.ts';
import { personAtStation } from './entriesForIntent.ts';
import { isLead, runningOf } from './checkIntent.ts';
import { advanceIntent } from './advanceIntent.ts';
import { blank, instantOf, refuse, show, sound, wait } from './show.ts';
import { actionIntent, startDetailsOf, takeBackFor } from './handleIntent.ts';
import type { Asked } from './handleIntent.ts';

/** What somebody has shown of themselves: their badge, their name on the list, the number that they typed, or that they
 *  hold the phone that is theirs. */
export type Shown = { readonly badge: BadgeId } | 'name' | 'number' | 'own-phone';

/** A badge: completes what was waiting for one, lets through what a lead may, signs in or out at a presence station,
 *  else shows where its owner stands. */
export function handleBadge(
  state: StationState,
  id: TechnicianId,
  shown: Shown,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const badge = typeof shown === 'object' ? shown.badge : null;
  const known = typeof shown === 'object' ? 'badge' : shown;
  const technician = context.directory.technicians.get(id);
  if (!technician) return refuse(state, 'station.unknown_code', '', meta, context);
  if (technician.hasLeft && context.isOnline)
    return refuse(blank(state), 'station.technician_left', technician.name, meta, context);
  const { conversation } = state;
  if (conversation.step === 'crew' && badge) return joinCrew(state, conversation, id, badge, meta, context);
  if (conversation.step === 'asked' && conversation.question.kind === 'override')
    return letThrough(state, conversation, id, meta, context);
  if (conversation.step === 'asked' && conversation.person.technician === id)
    return { state: { ...state, said: null }, effects: [sound('question')] };
  const waiting = conversation.step === 'intent' ? conversation.intent : undefined;
  const hasPin =
    shown !== 'name' && shown !== 'own-phone' && (context.directory.people.get(id)?.hasPin ?? false);
  const asksPin = hasPin && context.settings.identity === 'badge-pin';
  const person: Person = {
    technician: id,
    badge,
    identity: asksPin && !context.isOnline ? 'pin-unchecked' : known,
  };
  if (!asksPin || !context.isOnline) return identify(state, person, waiting, meta, context);
  const asked: Conversation = {
    step: 'asked',
    person,
    intent: waiting ?? { kind: 'look' },
    question: { kind: 'pin', isChecking: false },
    typed: '',
    staysSignedOn: waiting === undefined,
  };
  return wait(state, asked, meta, context, 'question');
}

/** Somebody whose identity is settled: what they want is done, or they are shown where they stand. */
function identify(
  state: StationState,
  person: Person,
  waiting: Intent | undefined,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  if (waiting?.kind === 'action' && waiting.action === 'take-back')
    return takeBackFor({ ...state, conversation: { step: 'idle' } }, person, meta, context);
  if (waiting && waiting.kind !== 'look') {
    const { intent, draft } = completed(waiting, person, meta, context);
    return draft
      ? wait(state, { step: 'person', person, draft: startDetailsOf(draft) }, meta, context)
      : advanceIntent(state, person, intent, false, meta, context);
  }
  return context.settings.kind === 'presence'
    ? signInOrOut(state, person, meta, context)
    : advanceIntent(state, person, { kind: 'look' }, true, meta, context);
}

/** A kind of work that waited for a badge is meant for what its owner is on; if they are on nothing, for their next task. */
function completed(
  waiting: Intent,
  person: Person,
  meta: InputMeta,
  context: StationContext,
): { readonly intent: Intent; readonly draft?: WorkIntent } {
  if (waiting.kind !== 'work' || waiting.target !== undefined || waiting.order !== undefined)
    return { intent: waiting };
  const standing = personAtStation(context.directory, person, instantOf(meta));
  const isOn = standing !== undefined && runningOf(standing.stands).length > 0;
  return waiting.workType && isOn && !waiting.isJoin && waiting.minutesBack === undefined
    ? { intent: actionIntent(waiting.workType, meta) }
    : { intent: waiting, draft: waiting };
}

/** A badge alone at a presence station: in, or out; within a minute the answer is only said again. */
function signInOrOut(
  state: StationState,
  person: Person,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { technician } = person;
  const at = instantOf(meta);
  const standing = personAtStation(context.directory, person, at);
  if (!standing) return refuse(state, 'station.unknown_code', '', meta, context);
  const isIn = standing.stands.shift !== null;
  if (state.signed.some((each) => each.technician === technician)) {
    const idle: StationState = { ...state, conversation: { step: 'idle' } };
    return isIn
      ? show(idle, { kind: 'shift-in', technician, isRepeat: true }, meta, context)
      : show(idle, { kind: 'shift-out', technician, isRepeat: true, left: [], since: at, at }, meta, context);
  }
  const intent: ActIntent = { ...actionIntent(isIn ? 'shift-out' : 'shift-in', meta), isConfirmed: true };
  const step = advanceIntent(state, person, intent, false, meta, context);
  // While something is still asked, nobody is signed in or out yet.
  if (!step.effects.some(({ type }) => type === 'append')) return step;
  const signed = [...step.state.signed, { technician, at: meta.now }];
  return { ...step, state: { ...step.state, signed } };
}

function letThrough(
  state: StationState,
  asked: Asked,
  lead: TechnicianId,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  if (!isLead(context.directory, lead)) return refuse(state, 'station.not_a_lead', '', meta, context);
  const { intent } = asked;
  return intent.kind === 'work'
    ? advanceIntent(state, asked.person, { ...intent, override: lead }, asked.staysSignedOn, meta, context)
    : wait(state, { step: 'idle' }, meta, context);
}

export function handlePin(
  state: StationState,
  { technician, answer: given }: Extract<StationInput, { type: 'pin' }>,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { conversation } = state;
  const isAsked =
    conversation.step === 'asked' &&
    conversation.question.kind === 'pin' &&
    conversation.person.technician === technician;
  // The answer came after they had gone: nothing is done for somebody who is not there.
  if (!isAsked) return { state, effects: [] };
  const { person, intent } = conversation;
  if (given === 'wrong' || given === 'wait') {
    const again = { ...conversation, question: { kind: 'pin', isChecking: false }, typed: '' } as const;
    const code = given === 'wrong' ? 'station.wrong_pin' : 'station.pin_wait';
    return refuse({ ...state, conversation: again }, code, '', meta, context);
  }
  const known = person.identity === 'number' ? 'number-and-pin' : 'badge-and-pin';
  const identity = given === 'right' ? known : 'pin-unchecked';
  const idle: StationState = { ...state, conversation: { step: 'idle' } };
  return identify(idle, { ...person, identity }, intent, meta, context);
}
