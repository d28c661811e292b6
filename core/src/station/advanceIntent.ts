import { toInstant } from '../time/index.ts';
import type {
  Conversation,
  StartDetails,
  Intent,
  InputMeta,
  Person,
  StationState,
  StationStep,
  StationContext,
} from './conversation.ts';
import { answerOption, answerText } from './answers.ts';
import { resumeCrew } from './crew.ts';
import type { Answered } from './answers.ts';
import { entriesForIntent, nthId, personAtStation, takeBack, without } from './entriesForIntent.ts';
import { resolveIntent, whyNotWorkable } from './checkIntent.ts';
import type { Option } from './question.ts';
import { findTasks, findWaitingOrder } from './tasks.ts';
import { blank, finish, instantOf, keep, refuse, show, sound, wait } from './show.ts';

const settle = (staysSignedOn: boolean, person: Person): Conversation =>
  staysSignedOn ? { step: 'person', person, draft: {} } : { step: 'idle' };

/** Does what a person wants, or asks them for what is still missing. `stays`: whether they remain on the screen. */
export function advanceIntent(
  state: StationState,
  person: Person,
  wanted: Intent,
  staysSignedOn: boolean,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  // A start that is made anew begins where the one before began, as if that had not been.
  const replaced = wanted.kind === 'work' ? wanted.replaces : undefined;
  const voids = replaced ? takeBack(replaced, meta.entryId) : [];
  const basis = replaced ? { ...context, directory: without(context.directory, voids) } : context;
  const at = replaced ? toInstant(Math.floor(replaced.at / 1000)) : instantOf(meta);
  const settled = { ...state, conversation: settle(staysSignedOn, person) };
  const standing = personAtStation(basis.directory, person, at);
  if (!standing) return refuse(blank(state), 'station.unknown_code', '', meta, context);
  const { intent, check } = resolveIntent(wanted, standing, basis);
  switch (check.kind) {
    case 'ask': {
      const { question } = check;
      return wait(
        state,
        { step: 'asked', person, intent, question, typed: '', staysSignedOn },
        meta,
        context,
        'question',
      );
    }
    case 'refuse':
      return refuse(settled, check.code, check.text, meta, context);
    case 'already': {
      const { technician } = person;
      return show(settled, { kind: 'already-on', technician, target: check.target }, meta, context);
    }
    case 'nothing': {
      const done = entriesForIntent(intent, standing, nthId(meta.entryId, voids.length), basis);
      if (!done) return wait(settled, settled.conversation, meta, context);
      return finish(settled, [...voids, ...done.entries], done, person, meta, context);
    }
  }
}

type Asked = Extract<Conversation, { step: 'asked' }>;

/** Takes in an offered answer, or figures and words, for the question that stands on the screen. */
export function answer(
  state: StationState,
  asked: Asked,
  given: { readonly option: Option } | { readonly text: string },
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { question, intent } = asked;
  if (question.kind === 'find' && 'text' in given) return findTask(state, asked, given.text, meta, context);
  const answered =
    'option' in given
      ? answerOption(intent, question, given.option)
      : answerText(intent, question, given.text, context.directory.facts.zone);
  return follow(state, asked, answered, meta, context);
}

/** A task that is looked for by its order's number or by words: what fits is offered. */
export function findTask(
  state: StationState,
  { person, staysSignedOn }: Pick<Asked, 'person' | 'staysSignedOn'>,
  words: string,
  meta: InputMeta,
  context: StationContext,
  draft: StartDetails = {},
): StationStep {
  const choices = findTasks(context.directory, words, person.technician);
  if (choices.length === 0) {
    const waiting = findWaitingOrder(context.directory, words);
    return waiting
      ? refuse(state, whyNotWorkable(waiting), waiting.number, meta, context)
      : refuse(state, 'station.nothing_found', words, meta, context);
  }
  const intent: Intent = { kind: 'work', answers: [], ...draft };
  const question = { kind: 'which-task', choices } as const;
  return wait(
    state,
    { step: 'asked', person, intent, question, typed: '', staysSignedOn },
    meta,
    context,
    'question',
  );
}

/** Goes on with what an answer came to. */
export function follow(
  state: StationState,
  asked: Asked,
  answered: Answered,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { person, staysSignedOn, intent, question, crew } = asked;
  switch (answered.kind) {
    case 'go':
      if (crew) return resumeCrew(state, crew, answered.intent, meta, context);
      return advanceIntent(state, person, answered.intent, staysSignedOn, meta, context);
    case 'ask': {
      const step = wait(
        state,
        { ...asked, question: answered.question, typed: '' },
        meta,
        context,
        'question',
      );
      if (!answered.because) return step;
      const refused = refuse(step.state, answered.because, answered.text ?? '', meta, context);
      return { state: refused.state, effects: [sound('question')] };
    }
    case 'refuse': {
      const cleared = { ...state, conversation: { ...asked, typed: '' } };
      return refuse(cleared, answered.code, answered.text, meta, context);
    }
    case 'drop':
      if (crew) return wait({ ...state, said: null }, crew, meta, context);
      return question.kind === 'forgot' && intent.kind !== 'look'
        ? advanceIntent(state, person, intent, staysSignedOn, meta, context)
        : wait({ ...state, said: null }, settle(staysSignedOn, person), meta, context);
    case 'propose':
      return propose(state, asked, answered.ended, meta, context);
    case 'check-pin':
      return {
        state: {
          ...state,
          said: null,
          conversation: { ...asked, question: { kind: 'pin', isChecking: true }, typed: '' },
        },
        effects: [{ type: 'check-pin', technician: person.technician, pin: answered.pin }],
      };
  }
}

/** When a forgotten end was: the technician's word, for the supervisor to decide; it moves no time by itself. */
function propose(
  state: StationState,
  { person, question, intent, staysSignedOn }: Asked,
  ended: ReturnType<typeof instantOf>,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  if (question.kind !== 'forgot') return wait(state, settle(staysSignedOn, person), meta, context);
  const { technician } = person;
  const entry = {
    type: 'proposal',
    id: nthId(meta.entryId, 1),
    at: instantOf(meta),
    technician,
    about: question.about,
    kind: question.forgotten,
    ended,
  } as const;
  const kept = keep(entry, meta.entryId, person, meta);
  const next =
    intent.kind === 'look'
      ? show(
          { ...state, conversation: settle(staysSignedOn, person) },
          { kind: 'proposed', technician },
          meta,
          context,
        )
      : advanceIntent(
          state,
          person,
          intent,
          staysSignedOn,
          { ...meta, entryId: nthId(meta.entryId, 2) },
          context,
        );
  return { state: next.state, effects: [kept, ...next.effects] };
}
