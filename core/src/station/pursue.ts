import { Defect } from '../result/index.ts';
import { toInstant } from '../time/index.ts';
import type {
  Conversation,
  Draft,
  Intent,
  Moment,
  Person,
  StationState,
  StationStep,
  Table,
} from './conversation.ts';
import { answerOption, answerText } from './answers.ts';
import { resumeCrew } from './crew.ts';
import type { Answered } from './answers.ts';
import { fulfil, nthId, standingOfPerson, takeBack, without } from './fulfil.ts';
import { findNeed, whyNotWorkable } from './needs.ts';
import type { Option } from './question.ts';
import { findTasks, findWaitingOrder } from './tasks.ts';
import { blank, finish, instantOf, keep, refuse, show, sound, wait } from './show.ts';

/** More answers than any intent can want; a rule that asked for ever would be a bug. */
const MOST_STEPS = 50;

const settle = (stays: boolean, person: Person): Conversation =>
  stays ? { step: 'person', person, draft: {} } : { step: 'idle' };

/** Does what a person wants, or asks him for what is still missing. `stays`: whether he remains on the screen. */
export function pursue(
  state: StationState,
  person: Person,
  wanted: Intent,
  stays: boolean,
  moment: Moment,
  table: Table,
): StationStep {
  // A start that is made anew begins where the one before began, as if that had not been.
  const replaced = wanted.kind === 'work' ? wanted.replaces : undefined;
  const voids = replaced ? takeBack(replaced, moment.entryId) : [];
  const basis = replaced ? { ...table, directory: without(table.directory, voids) } : table;
  const at = replaced ? toInstant(Math.floor(replaced.at / 1000)) : instantOf(moment);
  const settled = { ...state, conversation: settle(stays, person) };
  const standing = standingOfPerson(basis.directory, person, at);
  if (!standing) return refuse(blank(state), 'station.unknown_code', '', moment, table);
  let intent = wanted;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const need = findNeed(intent, standing, basis);
    switch (need.kind) {
      case 'fill':
        intent = need.intent;
        continue;
      case 'ask': {
        const { question } = need;
        return wait(
          state,
          { step: 'asked', person, intent, question, typed: '', stays },
          moment,
          table,
          'question',
        );
      }
      case 'refuse':
        return refuse(settled, need.code, need.text, moment, table);
      case 'already': {
        const { technician } = person;
        return show(settled, { kind: 'already-on', technician, target: need.target }, moment, table);
      }
      case 'nothing': {
        const done = fulfil(intent, standing, nthId(moment.entryId, voids.length), basis);
        if (!done) return wait(settled, settled.conversation, moment, table);
        return finish(settled, [...voids, ...done.entries], done, person, moment, table);
      }
    }
  }
  throw new Defect('an intent that is never complete');
}

type Asked = Extract<Conversation, { step: 'asked' }>;

/** Takes in an offered answer, or figures and words, for the question that stands on the screen. */
export function answer(
  state: StationState,
  asked: Asked,
  given: { readonly option: Option } | { readonly text: string },
  moment: Moment,
  table: Table,
): StationStep {
  const { question, intent } = asked;
  if (question.kind === 'find' && 'text' in given) return findTask(state, asked, given.text, moment, table);
  const answered =
    'option' in given
      ? answerOption(intent, question, given.option)
      : answerText(intent, question, given.text, table.directory.facts.zone);
  return follow(state, asked, answered, moment, table);
}

/** A task that is looked for by its order's number or by words: what fits is offered. */
export function findTask(
  state: StationState,
  { person, stays }: Pick<Asked, 'person' | 'stays'>,
  words: string,
  moment: Moment,
  table: Table,
  draft: Draft = {},
): StationStep {
  const choices = findTasks(table.directory, words, person.technician);
  if (choices.length === 0) {
    const waiting = findWaitingOrder(table.directory, words);
    return waiting
      ? refuse(state, whyNotWorkable(waiting), waiting.number, moment, table)
      : refuse(state, 'station.nothing_found', words, moment, table);
  }
  const intent: Intent = { kind: 'work', answers: [], ...draft };
  const question = { kind: 'which-task', choices } as const;
  return wait(
    state,
    { step: 'asked', person, intent, question, typed: '', stays },
    moment,
    table,
    'question',
  );
}

/** Goes on with what an answer came to. */
export function follow(
  state: StationState,
  asked: Asked,
  answered: Answered,
  moment: Moment,
  table: Table,
): StationStep {
  const { person, stays, intent, question, crew } = asked;
  switch (answered.kind) {
    case 'go':
      if (crew) return resumeCrew(state, crew, answered.intent, moment, table);
      return pursue(state, person, answered.intent, stays, moment, table);
    case 'ask': {
      const step = wait(
        state,
        { ...asked, question: answered.question, typed: '' },
        moment,
        table,
        'question',
      );
      if (!answered.because) return step;
      const refused = refuse(step.state, answered.because, answered.text ?? '', moment, table);
      return { state: refused.state, effects: [sound('question')] };
    }
    case 'refuse': {
      const cleared = { ...state, conversation: { ...asked, typed: '' } };
      return refuse(cleared, answered.code, answered.text, moment, table);
    }
    case 'drop':
      if (crew) return wait({ ...state, said: null }, crew, moment, table);
      return question.kind === 'forgot' && intent.kind !== 'look'
        ? pursue(state, person, intent, stays, moment, table)
        : wait({ ...state, said: null }, settle(stays, person), moment, table);
    case 'propose':
      return propose(state, asked, answered.ended, moment, table);
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
  { person, question, intent, stays }: Asked,
  ended: ReturnType<typeof instantOf>,
  moment: Moment,
  table: Table,
): StationStep {
  if (question.kind !== 'forgot') return wait(state, settle(stays, person), moment, table);
  const { technician } = person;
  const entry = {
    type: 'proposal',
    id: nthId(moment.entryId, 1),
    at: instantOf(moment),
    technician,
    about: question.about,
    kind: question.forgotten,
    ended,
  } as const;
  const kept = keep(entry, moment.entryId, person, moment);
  const next =
    intent.kind === 'look'
      ? show(
          { ...state, conversation: settle(stays, person) },
          { kind: 'proposed', technician },
          moment,
          table,
        )
      : pursue(state, person, intent, stays, { ...moment, entryId: nthId(moment.entryId, 2) }, table);
  return { state: next.state, effects: [kept, ...next.effects] };
}
