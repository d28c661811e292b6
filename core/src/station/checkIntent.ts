import type { EntryId, LaborState, Running, TargetId } from '../ledger/index.ts';
import type { BoardOrder, BoardTechnician } from '../floor/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { Defect, findIn } from '../result/index.ts';
import { inForceAt, toInstant } from '../time/index.ts';
import type { Instant } from '../time/index.ts';
import { isWorkable } from '../work/index.ts';
import type {
  ActIntent,
  RequestIntent,
  Intent,
  StationRefusal,
  StationContext,
  WorkIntent,
} from './conversation.ts';
import type { ResourceId, StationDirectory, TaskReport } from './directory.ts';
import { missingOfLeave } from './askLeave.ts';
import type { Answer, Question } from './question.ts';
import { NOT_OWN, nearness, openTasksOf } from './tasks.ts';

/** What is still missing before an intent can be done, or that nothing is. */
export type IntentCheck =
  | { readonly kind: 'ask'; readonly question: Question }
  | { readonly kind: 'refuse'; readonly code: StationRefusal; readonly text: string }
  /** Something of it could only be one thing, and is filled in. */
  | { readonly kind: 'fill'; readonly intent: Intent }
  | { readonly kind: 'already'; readonly target: TargetId }
  | { readonly kind: 'nothing' };

/** A person as they stand at the instant of the act. */
export type PersonAt = {
  readonly technician: BoardTechnician;
  readonly stands: LaborState;
  readonly at: Instant;
};

/** Who is asked: one person for everything; a crew for what must be reported alone, so that nobody waits for a list. */
export type Asks = 'person' | 'crew';

const NOTHING: IntentCheck = { kind: 'nothing' };
const ask = (question: Question): IntentCheck => ({ kind: 'ask', question });
const refuse = (code: StationRefusal, text = ''): IntentCheck => ({ kind: 'refuse', code, text });
const SECONDS_PER_MINUTE = 60;

/** What runs now. */
export const runningOf = ({ doing }: LaborState): readonly Running[] =>
  doing.status === 'work' ? doing.running : [];

/** Says what is still missing before an intent can be done. Asked again after each answer, it ends with `nothing`,
 *  with a refusal, or with the answer that all of it is so already. Source: docs/station.md. */
function checkIntent(
  intent: Intent,
  standing: PersonAt,
  context: StationContext,
  asks: Asks = 'person',
): IntentCheck {
  // What a crew would have to choose is left open.
  const choice = (check: IntentCheck | undefined) =>
    asks === 'crew' && check?.kind === 'ask' ? undefined : check;
  switch (intent.kind) {
    case 'work':
      return (
        choice(missingTarget(intent, standing, context)) ??
        refusedTarget(intent, context, asks) ??
        (asks === 'person' ? notAssigned(intent, [standing.technician.id], context) : undefined) ??
        choice(outsideEstimate(intent, context)) ??
        alreadyOn(intent, standing) ??
        choice(missingMachine(intent, context)) ??
        choice(missingReason(intent, context)) ??
        choice(missingStart(intent, standing, context)) ??
        missingReport(intent, reportsOfStart(intent, standing), context, asks) ??
        NOTHING
      );
    case 'action':
      return needOfAct(intent, standing, context, asks);
    case 'indirect': {
      const choices = [...context.directory.targets.values()].flatMap((target) =>
        target.kind === 'activity' && !target.isOff && isOffered(target.id, context) ? [target.id] : [],
      );
      return choices.length === 0
        ? refuse('station.nothing_found')
        : ask({ kind: 'which-activity', choices });
    }
    case 'request':
      return missingOfRequest(intent, standing, context) ?? NOTHING;
    case 'note':
      return intent.text === undefined ? ask({ kind: 'note' }) : NOTHING;
    case 'find':
      return ask({ kind: 'find' });
    case 'look':
      return forgottenEnd(standing, context) ?? NOTHING;
  }
}

/** What the desk must know of a request; of a part that was named also how many, and why; of time off why and when. */
function missingOfRequest(
  { what, text, quantity, why, leave = {}, withdraws }: RequestIntent,
  { technician, stands, at }: PersonAt,
  { directory }: StationContext,
): IntentCheck | undefined {
  if (what === 'time-off') {
    if (withdraws !== undefined) return undefined;
    const asked = directory.people.get(technician.id)?.leave ?? [];
    const question = missingOfLeave(leave, text, directory.facts.zone.dayAt(at), asked);
    return question && ask(question);
  }
  if (text === undefined) {
    const orders = runningOf(stands).map(({ target }) => {
      const known = directory.targets.get(target);
      return known?.kind === 'task' ? known.order : undefined;
    });
    const parts = orders.flatMap((order) => (order && directory.jobs.get(order)?.parts) ?? []);
    return ask({ kind: 'request', what, parts: what === 'part' ? [...new Set(parts)] : [] });
  }
  if (what !== 'part' || text === '') return undefined;
  if (quantity === undefined) return ask({ kind: 'how-many', part: text });
  return why === undefined ? ask({ kind: 'why-part', part: text }) : undefined;
}

/** Whether an indirect activity is offered here: one of all divisions, or of one of the station's. */
function isOffered(activity: TargetId, { directory, settings }: StationContext): boolean {
  const division = directory.activities.get(activity)?.division ?? '';
  return division === '' || settings.divisions.length === 0 || settings.divisions.includes(division);
}

function missingTarget(
  intent: WorkIntent,
  { technician }: PersonAt,
  { directory }: StationContext,
): IntentCheck | undefined {
  if (intent.target !== undefined || intent.order === undefined) return undefined;
  const choices = openTasksOf(directory, intent.order, technician.id);
  const [only] = choices;
  if (only === undefined) {
    const order = directory.orders.get(intent.order);
    const code = order && !isWorkable(order.state) ? whyNotWorkable(order) : 'station.no_open_task';
    return refuse(code, order?.number ?? '');
  }
  return choices.length === 1
    ? { kind: 'fill', intent: { ...intent, target: only } }
    : ask({ kind: 'which-task', choices });
}

/** Why an order cannot be worked on now. */
export const whyNotWorkable = ({ state }: Pick<BoardOrder, 'state'>): StationRefusal =>
  state === 'on-hold' ? 'station.order_on_hold' : 'station.order_not_released';

/** A no that a lead's badge may let through. A crew is asked nothing of the kind: its lead says it at their own badge. */
const noOf =
  ({ settings }: StationContext, asks: Asks) =>
  (code: StationRefusal, text: string): IntentCheck =>
    asks === 'person' && settings.mayOverride ? ask({ kind: 'override', code, text }) : refuse(code, text);

/** A task that is somebody else's, in a shop where only they may start it; whom to ask is said. What nobody is assigned
 *  is anybody's, and with one of a crew who is assigned the others may help. */
export function notAssigned(
  { target, override }: WorkIntent,
  technicians: readonly TechnicianId[],
  context: StationContext,
  asks: Asks = 'person',
): IntentCheck | undefined {
  const { directory, isOnline } = context;
  if (target === undefined || override || !isOnline || !directory.isAssignedOnly) return undefined;
  const assigned = directory.tasks.get(target)?.assigned ?? [];
  const isTheirs = technicians.some((each) => nearness(directory, target, each) < NOT_OWN);
  if (assigned.length === 0 || isTheirs) return undefined;
  const names = assigned.map(({ kind, id }) =>
    kind === 'crew' ? id : (findIn(directory.technicians, id)?.name ?? id),
  );
  return noOf(context, asks)('station.not_assigned', names.join(', '));
}

/** What the shop does not want started, as far as the station can know it. */
export function refusedTarget(
  { target, isReopened, override }: WorkIntent,
  context: StationContext,
  asks: Asks = 'person',
): IntentCheck | undefined {
  const { directory, settings, isOnline } = context;
  if (target === undefined) return undefined;
  const known = directory.targets.get(target);
  if (!known) return refuse('station.unknown_code');
  if (known.kind === 'activity' || override || !isOnline) return undefined;
  const no = noOf(context, asks);
  const order = directory.orders.get(known.order);
  if (order && !isWorkable(order.state)) return no(whyNotWorkable(order), order.number);
  if (!known.isFinished || isReopened) return undefined;
  return asks === 'person' && settings.mayReopen
    ? ask({ kind: 'reopen', target })
    : no('station.task_finished', known.title);
}

function outsideEstimate({ target, workType, isOutside }: WorkIntent, { directory }: StationContext) {
  const known = target && directory.targets.get(target);
  if (!workType || isOutside || known?.kind !== 'task') return undefined;
  if (directory.orders.get(known.order)?.includes.has(workType) ?? true) return undefined;
  return ask({
    kind: 'outside',
    workType,
    target: known.id,
    activity: directory.belongs.get(workType) ?? null,
  });
}

function alreadyOn(
  { target, workType = 'run', isJoin }: WorkIntent,
  { stands }: PersonAt,
): IntentCheck | undefined {
  const running = runningOf(stands);
  const isOn = running.some((each) => each.target === target && each.workType === workType);
  return target !== undefined && isOn && (isJoin || running.length === 1)
    ? { kind: 'already', target }
    : undefined;
}

function missingMachine(
  intent: WorkIntent,
  { directory, settings }: StationContext,
): IntentCheck | undefined {
  if (intent.machine !== undefined || intent.target === undefined) return undefined;
  const workCenter = directory.tasks.get(intent.target)?.workCenter ?? '';
  const own = settings.machine === null ? undefined : directory.resources.get(settings.machine);
  if (settings.machine !== null && own?.workCenter === workCenter)
    return { kind: 'fill', intent: { ...intent, machine: settings.machine } };
  const resources = [...directory.resources];
  const isAsked = resources.some(
    ([, { kind, name, asksMachine }]) => kind === 'work-center' && name === workCenter && asksMachine,
  );
  const choices = resources.flatMap(([id, { kind, workCenter: where }]): ResourceId[] =>
    kind === 'machine' && where === workCenter ? [id] : [],
  );
  const [only] = choices;
  if (!isAsked || only === undefined) return undefined;
  return choices.length === 1
    ? { kind: 'fill', intent: { ...intent, machine: only } }
    : ask({ kind: 'which-machine', choices });
}

/** Why work stands still or is done once more, where the shop wants to know that. */
function missingReason(
  { target, workType, reason }: WorkIntent,
  { directory }: StationContext,
): IntentCheck | undefined {
  const known = target && directory.targets.get(target);
  if (!known || reason !== undefined) return undefined;
  const isWaiting = known.kind === 'activity' && directory.belongs.get('down') === known.id;
  const why = isWaiting ? 'down' : workType === 'down' || workType === 'rework' ? workType : undefined;
  return why && (directory.reasons.get(why) ?? []).length > 0 ? ask({ kind: 'why', why }) : undefined;
}

/** How far back a start may be set, in whole minutes: within the station's limit, and not before their last entry. */
export function mostMinutesBack(
  { technician, at }: PersonAt,
  { directory, settings }: StationContext,
): number {
  const lastAt = directory.people.get(technician.id)?.lastAt ?? null;
  const sinceLast = lastAt === null ? Infinity : Math.floor((at - lastAt) / SECONDS_PER_MINUTE);
  return Math.max(0, Math.min(settings.maxEarlierMinutes, sinceLast));
}

function missingStart(
  { minutesBack }: WorkIntent,
  standing: PersonAt,
  context: StationContext,
): IntentCheck | undefined {
  if (minutesBack === undefined || minutesBack === 0) return undefined;
  const most = mostMinutesBack(standing, context);
  if (most === 0 || (minutesBack !== 'ask' && minutesBack > most))
    return refuse('station.too_early', String(most));
  return minutesBack === 'ask' ? ask({ kind: 'earlier', most }) : undefined;
}

type Due = readonly { readonly target: TargetId; readonly when: readonly TaskReport['when'][] }[];

/** Reports that a start brings: those of the task at its start, and those of what it ends. */
function reportsOfStart({ target, isJoin }: WorkIntent, { stands }: PersonAt): Due {
  const left = isJoin ? [] : runningOf(stands).filter((each) => each.target !== target);
  return [
    ...left.map((each) => ({ target: each.target, when: ['end'] as const })),
    ...(target === undefined || runningOf(stands).some((each) => each.target === target)
      ? []
      : [{ target, when: ['start'] as const }]),
  ];
}

function missingReport(
  { answers }: { readonly answers: readonly Answer[] },
  due: Due,
  { directory }: StationContext,
  asks: Asks,
): IntentCheck | undefined {
  for (const { target, when } of due) {
    const reports = directory.tasks.get(target)?.reports ?? [];
    const index = reports.findIndex(
      (report, i) =>
        when.includes(report.when) &&
        (asks === 'person' || !report.maySkip) &&
        !answers.some((answer) => answer.target === target && answer.index === i),
    );
    const report = reports[index];
    if (report) return ask({ kind: 'report', target, index, report, half: {} });
  }
  return undefined;
}

const isStopOf = ({ action }: ActIntent): boolean => action === 'off-task' || action === 'done';

/** What an act ends: what it names, or all that runs when somebody goes home. */
function endedBy(intent: ActIntent, { stands }: PersonAt): readonly TargetId[] {
  if (isStopOf(intent)) return intent.targets ?? [];
  return intent.action === 'shift-out' ? runningOf(stands).map(({ target }) => target) : [];
}

/** Reports that an act brings: those of what it ends. */
function reportsOfAct(intent: ActIntent, standing: PersonAt): Due {
  const when: TaskReport['when'][] = intent.action === 'done' ? ['end', 'done'] : ['end'];
  return endedBy(intent, standing).map((target) => ({ target, when }));
}

function needOfAct(intent: ActIntent, standing: PersonAt, context: StationContext, asks: Asks): IntentCheck {
  const { stands } = standing;
  const running = runningOf(stands);
  const all = running.map(({ target }) => target);
  const isStop = isStopOf(intent);
  if (isStop && running.length === 0) return refuse('station.on_nothing');
  if (intent.action === 'shift-in' && stands.shift) return refuse('station.already_in');
  if (intent.action === 'shift-out' && !stands.shift && stands.doing.status === 'nothing')
    return refuse('station.not_in');
  if (isStop && intent.targets === undefined)
    return running.length === 1
      ? { kind: 'fill', intent: { ...intent, targets: all } }
      : ask({ kind: 'which-running', choices: all });
  // A label that was scanned while they were on it may be answered when they are on it no longer.
  if (isStop && !intent.targets?.some((target) => all.includes(target))) return refuse('station.on_nothing');
  const ends = isStop || intent.action === 'shift-out';
  if (ends && !intent.isConfirmed) return ask({ kind: 'confirm-stop', targets: endedBy(intent, standing) });
  return missingReport(intent, reportsOfAct(intent, standing), context, asks) ?? NOTHING;
}

/** A stop or a shift end that the rule had to make, and that its technician has not spoken of yet. */
function forgottenEnd({ technician, at }: PersonAt, { directory }: StationContext): IntentCheck | undefined {
  const { shift, doing } = technician.state;
  const policyAt = (since: Instant) => inForceAt(directory.facts.policy, since);
  const isOverdue = (since: Instant, hours: number) => at > since + hours * 3600;
  const person = directory.people.get(technician.id);
  const offer = (
    forgotten: 'forgotten-stop' | 'forgotten-shift-out',
    about: EntryId,
    from: Instant,
    hours: number,
  ): IntentCheck | undefined => {
    if (directory.proposed.has(about)) return undefined;
    const to = toInstant(from + hours * 3600);
    const likely = [person?.plannedEnd, person?.lastAt].filter(
      (each): each is Instant => each !== null && each !== undefined && each > from && each <= to,
    );
    return ask({ kind: 'forgot', forgotten, about, from, to, choices: [...new Set(likely)] });
  };
  if (shift) {
    const { maxShiftHours } = policyAt(shift.since);
    if (isOverdue(shift.since, maxShiftHours))
      return offer('forgotten-shift-out', shift.entry, shift.since, maxShiftHours);
  }
  if (doing.status !== 'work') return undefined;
  const { maxStintHours } = policyAt(doing.since);
  return isOverdue(doing.since, maxStintHours)
    ? offer('forgotten-stop', doing.entry, doing.since, maxStintHours)
    : undefined;
}

/** Whether a lead's badge may let it through: anybody whom the shop calls a lead. */
export const isLead = ({ people }: StationDirectory, technician: BoardTechnician['id']): boolean =>
  people.get(technician)?.isLead ?? false;

/** More answers than any intent can want; a rule that asked for ever would be a bug. */
const MOST_STEPS = 50;

/** The loop of the sign-on: checks an intent and fills in what can only be one thing, until something must be asked or
 *  refused, is so already, or nothing is missing. One person runs it once, a crew once for each of its members.
 *  Source: docs/station.md. */
export function resolveIntent(
  wanted: Intent,
  standing: PersonAt,
  context: StationContext,
  asks: Asks = 'person',
): { readonly intent: Intent; readonly check: Exclude<IntentCheck, { readonly kind: 'fill' }> } {
  let intent = wanted;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const check = checkIntent(intent, standing, context, asks);
    if (check.kind !== 'fill') return { intent, check };
    intent = check.intent;
  }
  throw new Defect('an intent that is never complete');
}
