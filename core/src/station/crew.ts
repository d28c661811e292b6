import type { TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type {
  ActIntent,
  Effect,
  Intent,
  Member,
  OpenCrew,
  InputMeta,
  Person,
  StationRefusal,
  StationState,
  StationStep,
  StationContext,
  WorkIntent,
} from './conversation.ts';
import type { BadgeId } from './directory.ts';
import { entriesForIntent, memberId, personAtStation } from './entriesForIntent.ts';
import { isLead, notAssigned, refusedTarget, resolveIntent, runningOf } from './checkIntent.ts';
import type { PersonAt } from './checkIntent.ts';
import type { Answer, Question } from './question.ts';
import { blank, finish, instantOf, refuse, sound, wait } from './show.ts';

/** How long a crew that was opened by its label waits for the next badge, in milliseconds. */
const CREW_WAITS_MS = 10_000;

/** Leaves the screen as long as an open crew waits: briefly for the next badge, longer for a list to be ticked. */
function withCrew(
  step: StationStep,
  crew: OpenCrew,
  { now }: InputMeta,
  { settings }: StationContext,
): StationStep {
  const waits = crew.lead ? settings.clearAfterBadge * 1000 : CREW_WAITS_MS;
  return { ...step, state: { ...step.state, conversation: crew, blankAt: now + waits } };
}

/** Opens a crew by its own label: every badge from here on belongs to it. */
export function openCrew(state: StationState, meta: InputMeta, context: StationContext): StationStep {
  const crew: OpenCrew = { step: 'crew', lead: null, members: [], work: null, started: [] };
  return withCrew(wait(blank(state), crew, meta, context, 'question'), crew, meta, context);
}

/** Opens a lead's own crew from the list. Whoever is not in while others are is unticked as missing. */
export function openOwnCrew(
  state: StationState,
  lead: Person,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { people, technicians } = context.directory;
  const name = people.get(lead.technician)?.crew ?? '';
  if (!isLead(context.directory, lead.technician))
    return refuse(state, 'station.not_a_lead', '', meta, context);
  const own = [...technicians.values()].filter(
    ({ id, hasLeft }) => name !== '' && !hasLeft && people.get(id)?.crew === name,
  );
  if (own.length === 0) return refuse(state, 'station.no_crew', '', meta, context);
  const isPresent = (id: TechnicianId) => {
    const standing = personAtStation(
      context.directory,
      { technician: id, badge: null, identity: 'name' },
      instantOf(meta),
    );
    return (
      standing !== undefined && (standing.stands.shift !== null || standing.stands.doing.status !== 'nothing')
    );
  };
  const isAnyIn = own.some(({ id }) => isPresent(id));
  const members = own.map(({ id }): Member => ({
    technician: id,
    badge: id === lead.technician ? lead.badge : null,
    isMissing: isAnyIn && !isPresent(id),
  }));
  const crew: OpenCrew = { step: 'crew', lead, members, work: null, started: [] };
  return withCrew(wait(state, crew, meta, context, 'question'), crew, meta, context);
}

/** A badge in an open crew: one more of it, started at once if the task is known. */
export function joinCrew(
  state: StationState,
  crew: OpenCrew,
  technician: TechnicianId,
  badge: BadgeId,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const member: Member = { technician, badge, isMissing: false };
  const isKnown = crew.members.some((each) => each.technician === technician);
  const members = isKnown
    ? crew.members.map((each) => (each.technician === technician ? member : each))
    : [...crew.members, member];
  return startCrew(state, { ...crew, members }, meta, context);
}

/** A name of the list was touched: that one is missing, or is there after all. */
export function tickOff(
  state: StationState,
  crew: OpenCrew,
  technician: TechnicianId,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const members = crew.members.map((each) =>
    each.technician === technician ? { ...each, isMissing: !each.isMissing } : each,
  );
  const ticked = { ...crew, members };
  return withCrew(wait(state, ticked, meta, context), ticked, meta, context);
}

/** A task in an open crew: everybody who is there begins on it. */
export function putCrewOn(
  state: StationState,
  crew: OpenCrew,
  intent: WorkIntent,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const work = { ...crew.work, ...intent };
  const check = refusedTarget(work, context, 'crew');
  return check?.kind === 'refuse'
    ? refuse(state, check.code, check.text, meta, context)
    : startCrew(state, { ...crew, work, started: [] }, meta, context);
}

/** Nobody of a crew is asked for a PIN; where the station asks for them, the entry says that it was not. */
function personOf(
  { technician, badge }: Member,
  lead: Person | null,
  { directory, settings }: StationContext,
): Person {
  const hasPin = settings.identity === 'badge-pin' && (directory.people.get(technician)?.hasPin ?? false);
  const known = badge ? 'badge' : 'name';
  return { technician, badge: badge ?? lead?.badge ?? null, identity: hasPin ? 'pin-unchecked' : known };
}

/** Asks the crew: whoever opened it, else the first of it, stands for all. */
function askCrew(
  state: StationState,
  crew: OpenCrew,
  intent: WorkIntent | ActIntent,
  question: Question,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const [first] = crew.members.filter(({ isMissing }) => !isMissing);
  const person = crew.lead ?? (first && personOf(first, null, context));
  return person
    ? wait(
        state,
        { step: 'asked', person, intent, question, typed: '', staysSignedOn: false, crew },
        meta,
        context,
        'question',
      )
    : refuse(blank(state), 'station.no_crew', '', meta, context);
}

/** Goes on with a crew once it has answered. */
export const resumeCrew = (
  state: StationState,
  crew: OpenCrew,
  intent: Intent,
  meta: InputMeta,
  context: StationContext,
): StationStep =>
  intent.kind === 'work'
    ? startCrew(state, { ...crew, work: intent }, meta, context)
    : intent.kind === 'action'
      ? actForCrew(state, crew, intent, meta, context)
      : withCrew(wait(state, crew, meta, context), crew, meta, context);

/** Of a crew's answers those that one of it records: of what they are on, or begins, and only what nobody has recorded. */
function answersOf(
  answers: readonly Answer[],
  given: Set<Answer>,
  { stands }: PersonAt,
  begun: TargetId | undefined,
): readonly Answer[] {
  const on = new Set([...runningOf(stands).map(({ target }) => target), begun]);
  const own = answers.filter((answer) => on.has(answer.target) && !given.has(answer));
  for (const answer of own) given.add(answer);
  return own;
}

/** What the loop came to for every member: a question or a refusal that stops all of them, or what each one did. */
type CrewRun =
  | { readonly kind: 'ask'; readonly question: Question }
  | { readonly kind: 'refuse'; readonly code: StationRefusal; readonly text: string }
  | {
      readonly kind: 'done';
      readonly state: StationState;
      readonly effects: readonly Effect[];
      readonly did: readonly TechnicianId[];
    };
type CrewIntent = WorkIntent | ActIntent;

/** Runs the loop once for each member. A report that must not be left out is asked for before anybody has begun or
 *  stopped, and once, not of every one; a member for whom it makes no sense does nothing. */
function runCrew(
  state: StationState,
  { lead }: OpenCrew,
  members: readonly Member[],
  intentOf: (standing: PersonAt) => CrewIntent,
  meta: InputMeta,
  context: StationContext,
): CrewRun {
  const runs = members.flatMap((member, k) => {
    const person = personOf(member, lead, context);
    const standing = personAtStation(context.directory, person, instantOf(meta));
    if (!standing) return [];
    const own = { ...meta, entryId: memberId(meta.entryId, k) };
    const { intent, check } = resolveIntent(intentOf(standing), standing, context, 'crew');
    return intent.kind === 'work' || intent.kind === 'action'
      ? [{ person, standing, meta: own, intent, check }]
      : [];
  });
  for (const { check, intent } of runs) {
    if (check.kind === 'ask') return { kind: 'ask', question: check.question };
    if (check.kind === 'refuse' && intent.kind === 'work') return check;
  }
  let current = state;
  const effects: Effect[] = [];
  const given = new Set<Answer>();
  const did: TechnicianId[] = [];
  for (const { person, standing, meta: own, intent, check } of runs) {
    if (check.kind !== 'nothing') continue;
    const begun = intent.kind === 'work' ? intent.target : undefined;
    const answers = answersOf(intent.answers, given, standing, begun);
    const outcome = entriesForIntent({ ...intent, answers }, standing, own.entryId, context);
    if (!outcome) continue;
    // A start of a crew is not made anew by what one of them says afterwards.
    const step = finish(current, outcome.entries, { ...outcome, work: null }, person, own, context);
    current = step.state;
    effects.push(...step.effects.filter(({ type }) => type === 'append'));
    did.push(person.technician);
  }
  return { kind: 'done', state: current, effects, did };
}

/** Starts whoever is there and has not been started yet. Each one's start is an act of their own. */
function startCrew(
  state: StationState,
  crew: OpenCrew,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const { work } = crew;
  if (work?.target === undefined)
    return withCrew(wait(state, crew, meta, context, 'question'), crew, meta, context);
  const { target } = work;
  const waiting = crew.members.filter(
    ({ technician, isMissing }) => !isMissing && !crew.started.includes(technician),
  );
  const all = [...crew.started, ...waiting.map(({ technician }) => technician)];
  const check = all.length > 0 ? notAssigned(work, all, context, 'crew') : undefined;
  if (check?.kind === 'refuse') return refuse(state, check.code, check.text, meta, context);
  const run = runCrew(state, crew, waiting, () => work, meta, context);
  if (run.kind === 'ask') return askCrew(state, crew, work, run.question, meta, context);
  if (run.kind === 'refuse') return refuse(state, run.code, run.text, meta, context);
  const open = { ...crew, started: all };
  if (all.length === 0)
    return withCrew(wait(run.state, open, meta, context, 'question'), open, meta, context);
  const said = { kind: 'crew-started', technicians: all, target } as const;
  const effects = [...run.effects, sound('done')];
  return withCrew({ state: { ...run.state, said }, effects }, open, meta, context);
}

/** Signs a crew in, out, on a break or off its task, all who are there; those for whom it makes no sense are named. */
export function actForCrew(
  state: StationState,
  crew: OpenCrew,
  intent: ActIntent,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const present = crew.members.filter(({ isMissing }) => !isMissing);
  if (present.length === 0) return refuse(blank(state), 'station.no_crew', '', meta, context);
  const wholeFor = ({ stands }: PersonAt): ActIntent => ({
    ...intent,
    isConfirmed: true,
    targets: runningOf(stands).map(({ target }) => target),
  });
  const run = runCrew(state, crew, present, wholeFor, meta, context);
  if (run.kind === 'ask') return askCrew(state, crew, intent, run.question, meta, context);
  if (run.kind === 'refuse') return refuse(state, run.code, run.text, meta, context);
  const technicians = run.did;
  const skipped = present.map(({ technician }) => technician).filter((each) => !technicians.includes(each));
  const said = { kind: 'crew-did', action: intent.action, technicians, skipped } as const;
  return {
    state: { ...blank(run.state), said, blankAt: meta.now + context.settings.clearAfterDone * 1000 },
    effects: [...run.effects, sound('done')],
  };
}
