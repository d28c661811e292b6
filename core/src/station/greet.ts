import type { TechnicianId } from '../people/index.ts';
import type {
  ActIntent,
  Conversation,
  Intent,
  Moment,
  Person,
  StationInput,
  StationState,
  StationStep,
  Table,
  WorkIntent,
} from './conversation.ts';
import { joinCrew } from './crew.ts';
import type { BadgeId } from './directory.ts';
import { standingOfPerson } from './fulfil.ts';
import { isLead, runningOf } from './needs.ts';
import { pursue } from './pursue.ts';
import { blank, instantOf, refuse, show, sound, wait } from './show.ts';
import { actOf, draftOf, takeBackFor } from './wants.ts';
import type { Asked } from './wants.ts';

/** A badge: completes what was waiting for one, lets through what a lead may, signs in or out at a presence station,
 *  else shows where its owner stands. */
export function greet(
  state: StationState,
  id: TechnicianId,
  badge: BadgeId | null,
  moment: Moment,
  table: Table,
): StationStep {
  const technician = table.directory.technicians.get(id);
  if (!technician) return refuse(state, 'station.unknown_code', '', moment, table);
  if (technician.hasLeft && table.isOnline)
    return refuse(blank(state), 'station.technician_left', technician.name, moment, table);
  const { conversation } = state;
  if (conversation.step === 'crew' && badge) return joinCrew(state, conversation, id, badge, moment, table);
  if (conversation.step === 'asked' && conversation.question.kind === 'override')
    return letThrough(state, conversation, id, moment, table);
  if (conversation.step === 'asked' && conversation.person.technician === id)
    return { state: { ...state, said: null }, effects: [sound('question')] };
  const waiting = conversation.step === 'intent' ? conversation.intent : undefined;
  const hasPin = badge !== null && (table.directory.people.get(id)?.hasPin ?? false);
  const asksPin = hasPin && table.settings.identity === 'badge-pin';
  const person: Person = {
    technician: id,
    badge,
    identity: badge === null ? 'name' : asksPin && !table.isOnline ? 'pin-unchecked' : 'badge',
  };
  if (!asksPin || !table.isOnline) return welcome(state, person, waiting, moment, table);
  const asked: Conversation = {
    step: 'asked',
    person,
    intent: waiting ?? { kind: 'look' },
    question: { kind: 'pin', isChecking: false },
    typed: '',
    stays: waiting === undefined,
  };
  return wait(state, asked, moment, table, 'question');
}

/** Somebody whose identity is settled: what he wants is done, or he is shown where he stands. */
function welcome(
  state: StationState,
  person: Person,
  waiting: Intent | undefined,
  moment: Moment,
  table: Table,
): StationStep {
  if (waiting?.kind === 'action' && waiting.action === 'take-back')
    return takeBackFor({ ...state, conversation: { step: 'idle' } }, person, moment, table);
  if (waiting && waiting.kind !== 'look') {
    const { intent, isDraft } = completed(waiting, person, moment, table);
    if (!isDraft) return pursue(state, person, intent, false, moment, table);
    const draft = intent as WorkIntent;
    return wait(state, { step: 'person', person, draft: draftOf(draft) }, moment, table);
  }
  return table.settings.kind === 'presence'
    ? signInOrOut(state, person, moment, table)
    : pursue(state, person, { kind: 'look' }, true, moment, table);
}

/** A kind of work that waited for a badge is meant for what its owner is on; if he is on nothing, for his next task. */
function completed(waiting: Intent, person: Person, moment: Moment, table: Table) {
  const isDraft = waiting.kind === 'work' && waiting.target === undefined && waiting.order === undefined;
  if (!isDraft) return { intent: waiting, isDraft: false };
  const standing = standingOfPerson(table.directory, person, instantOf(moment));
  const isOn = standing !== undefined && runningOf(standing.stands).length > 0;
  return waiting.workType && isOn && !waiting.isJoin && waiting.minutesBack === undefined
    ? { intent: actOf(waiting.workType, moment), isDraft: false }
    : { intent: waiting, isDraft: true };
}

/** A badge alone at a presence station: in, or out; within a minute the answer is only said again. */
function signInOrOut(state: StationState, person: Person, moment: Moment, table: Table): StationStep {
  const { technician } = person;
  const at = instantOf(moment);
  const standing = standingOfPerson(table.directory, person, at);
  if (!standing) return refuse(state, 'station.unknown_code', '', moment, table);
  const isIn = standing.stands.shift !== null;
  if (state.signed.some((each) => each.technician === technician)) {
    const idle: StationState = { ...state, conversation: { step: 'idle' } };
    return isIn
      ? show(idle, { kind: 'shift-in', technician, isRepeat: true }, moment, table)
      : show(idle, { kind: 'shift-out', technician, isRepeat: true, left: [], since: at, at }, moment, table);
  }
  const intent: ActIntent = { ...actOf(isIn ? 'shift-out' : 'shift-in', moment), isConfirmed: true };
  const step = pursue(state, person, intent, false, moment, table);
  // While something is still asked, nobody is signed in or out yet.
  if (!step.effects.some(({ type }) => type === 'append')) return step;
  const signed = [...step.state.signed, { technician, at: moment.now }];
  return { ...step, state: { ...step.state, signed } };
}

function letThrough(
  state: StationState,
  asked: Asked,
  lead: TechnicianId,
  moment: Moment,
  table: Table,
): StationStep {
  if (!isLead(table.directory, lead)) return refuse(state, 'station.not_a_lead', '', moment, table);
  const { intent } = asked;
  return intent.kind === 'work'
    ? pursue(state, asked.person, { ...intent, override: lead }, asked.stays, moment, table)
    : wait(state, { step: 'idle' }, moment, table);
}

export function hearPin(
  state: StationState,
  { technician, answer: given }: Extract<StationInput, { type: 'pin' }>,
  moment: Moment,
  table: Table,
): StationStep {
  const { conversation } = state;
  const isAsked =
    conversation.step === 'asked' &&
    conversation.question.kind === 'pin' &&
    conversation.person.technician === technician;
  // The answer came after he had gone: nothing is done for somebody who is not there.
  if (!isAsked) return { state, effects: [] };
  const { person, intent } = conversation;
  if (given === 'wrong' || given === 'wait') {
    const again = { ...conversation, question: { kind: 'pin', isChecking: false }, typed: '' } as const;
    const code = given === 'wrong' ? 'station.wrong_pin' : 'station.pin_wait';
    return refuse({ ...state, conversation: again }, code, '', moment, table);
  }
  const identity = given === 'right' ? 'badge-and-pin' : 'pin-unchecked';
  const idle: StationState = { ...state, conversation: { step: 'idle' } };
  return welcome(idle, { ...person, identity }, intent, moment, table);
}
