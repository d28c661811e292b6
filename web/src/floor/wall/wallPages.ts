import { standingOf } from '@wergon/core/floor';
import type { Board, Job, Lane, NearTask, Nearness, TaskStanding } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import { t } from '../../words/index.ts';

export type WallPerson = {
  readonly id: string;
  readonly name: string;
  readonly presently: Lane['presently'];
  readonly since: Instant | undefined;
  readonly words: string;
  readonly task: TaskStanding | undefined;
};
export type WallJob = {
  readonly id: string;
  readonly number: string;
  readonly words: string;
  readonly names: string;
  readonly task: TaskStanding;
  /** Whether it is near its estimate or past it, where a page is about that. */
  readonly near?: Nearness;
};
export type WallPage =
  | { readonly kind: 'people'; readonly people: readonly WallPerson[] }
  | { readonly kind: 'jobs' | 'near'; readonly jobs: readonly WallJob[] }
  | { readonly kind: 'week' }
  | { readonly kind: 'tasks'; readonly jobs: readonly Job[] };

/** What a wall's address asks for: `?by=people|jobs|tasks|compare&division=…&jobType=…&rows=…`. */
export type WallAsked = {
  readonly by: string;
  readonly division: string;
  readonly jobType: string;
  readonly rows: number;
};

const FEWEST_ROWS = 3;
const MOST_ROWS = 14;
const USUAL_ROWS = 8;

export function readAsked(search: string): WallAsked {
  const address = new URLSearchParams(search);
  const asked = (name: string) => address.get(name) ?? '';
  const rows = Number(asked('rows')) || USUAL_ROWS;
  return {
    by: asked('by'),
    division: asked('division'),
    jobType: asked('jobType'),
    rows: Math.max(FEWEST_ROWS, Math.min(MOST_ROWS, Math.floor(rows))),
  };
}

/** The address of a wall that shows just that; what is usual stands in no address. */
export function writeAsked({ by, division, jobType, rows }: WallAsked): string {
  const address = new URLSearchParams();
  const parts = { by, division, jobType, rows: rows === USUAL_ROWS ? '' : String(rows) };
  for (const [name, value] of Object.entries(parts)) if (value !== '') address.set(name, value);
  const query = address.toString();
  return query === '' ? '/wall' : `/wall?${query}`;
}

export const isNarrowed = ({ division, jobType }: WallAsked): boolean => division !== '' || jobType !== '';

/** Everybody who is in, of the division and job type that are asked for; who needs somebody stands first. */
export function peopleOf(
  board: Board,
  lanes: readonly Lane[],
  now: Instant,
  asked: WallAsked,
  details: ReadonlyMap<string, Detail>,
): readonly WallPerson[] {
  const fits = ({ task }: WallPerson): boolean => isAsked(details.get(task?.order?.id ?? ''), asked);
  return lanes
    .filter(({ presently }) => presently !== 'out')
    .map((lane) => personOf(board, lane, now))
    .filter(fits)
    .sort((a, b) => ORDER[a.presently] - ORDER[b.presently] || a.name.localeCompare(b.name));
}

/** The tasks that these people are on, each with who is on it; what is most over stands first. */
export function jobsOf(people: readonly WallPerson[]): readonly WallJob[] {
  const byTask = new Map<string, { readonly task: TaskStanding; readonly names: string[] }>();
  for (const { task, name } of people) {
    if (!task) continue;
    const own = byTask.get(task.task.id);
    if (own) own.names.push(name);
    else byTask.set(task.task.id, { task, names: [name] });
  }
  const over = ({ task }: { readonly task: TaskStanding }) => task.comparison.overSeconds ?? 0;
  return [...byTask.values()]
    .sort(
      (a, b) => over(b) - over(a) || (a.task.order?.number ?? '').localeCompare(b.task.order?.number ?? ''),
    )
    .map(({ task, names }) => writeJob(task, names));
}

const writeJob = (task: TaskStanding, names: readonly string[]): WallJob => ({
  id: task.task.id,
  number: task.order?.number ?? '',
  words: [task.task.title, task.order?.customer].filter((part) => part).join(', '),
  names: names.join(', '),
  task,
});

/** The tasks near their estimates or past them, of the division and job type that are asked for. */
export const nearFor = (
  tasks: readonly NearTask[],
  asked: WallAsked,
  details: ReadonlyMap<string, Detail>,
): readonly WallJob[] =>
  tasks
    .filter(({ task }) => isAsked(details.get(task.order), asked))
    .map((task) => ({ ...writeJob(task, task.on), near: task.near }));

const chunks = <T>(items: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(items.length / size) }, (_, i) => items.slice(i * size, (i + 1) * size));

/** A job with its tasks takes as much room as so many lines. */
const LINES_OF_A_JOB = 4;

/** The jobs of the division and job type that are asked for. */
export const jobsFor = (
  jobs: readonly Job[],
  asked: WallAsked,
  details: ReadonlyMap<string, Detail>,
): readonly Job[] => jobs.filter(({ order }) => isAsked(details.get(order.id), asked));

/** What an order belongs to. */
type Detail = { readonly division: string; readonly jobType: string };
const isAsked = (own: Detail | undefined, { division, jobType }: WallAsked): boolean =>
  (division === '' || own?.division === division) && (jobType === '' || own?.jobType === jobType);

/** What there is to show. */
export type WallContent = {
  readonly people: readonly WallPerson[];
  readonly jobs: readonly WallJob[];
  readonly all: readonly Job[];
  readonly near: readonly WallJob[];
};

/** The pages that the wall turns through. What is compared is there only where whoever signed the wall in may see work. */
export function pagesOf(
  { people, jobs, all, near }: WallContent,
  asked: WallAsked,
  seesWork: boolean,
): readonly WallPage[] {
  const { by, rows } = asked;
  const ofPeople = chunks(people, rows).map((part): WallPage => ({ kind: 'people', people: part }));
  const ofJobs = chunks(jobs, rows).map((part): WallPage => ({ kind: 'jobs', jobs: part }));
  const ofNear = chunks(near, rows).map((part): WallPage => ({ kind: 'near', jobs: part }));
  switch (by) {
    case 'tasks':
      return chunks(all, Math.ceil(rows / LINES_OF_A_JOB)).map((part) => ({ kind: 'tasks', jobs: part }));
    case 'people':
      return ofPeople;
    case 'jobs':
      return ofJobs;
    case 'compare':
      if (!seesWork) return ofJobs;
      return [...(ofNear.length > 0 ? ofNear : [{ kind: 'near', jobs: [] } as const]), WEEK];
  }
  const turned = [...ofPeople, ...ofJobs];
  if (!seesWork || turned.length === 0) return turned;
  // By turns only the worst of them, and the week where the whole shop is looked at.
  return [...turned, ...ofNear.slice(0, 1), ...(isNarrowed(asked) ? [] : [WEEK])];
}
const WEEK: WallPage = { kind: 'week' };

/** Who needs somebody stands first. */
const ORDER: Readonly<Record<Lane['presently'], number>> = {
  nothing: 0,
  work: 1,
  indirect: 2,
  break: 3,
  out: 4,
};

function personOf(board: Board, lane: Lane, now: Instant): WallPerson {
  const { doing } = lane.technician.state;
  const [first, ...more] = doing.status === 'work' ? doing.running : [];
  const standing = first && standingOf(board, first.target, now);
  const title =
    standing?.kind === 'task'
      ? `${standing.order?.number ?? ''} ${standing.task.title}`
      : (standing?.activity.title ?? '');
  const words: Readonly<Record<Lane['presently'], string>> = {
    work: `${title}${more.length > 0 ? ` + ${more.length}` : ''}`,
    indirect: title,
    break: t('floor.onABreakWord'),
    nothing: t('floor.noTask'),
    out: '',
  };
  return {
    id: lane.technician.id,
    name: lane.technician.name,
    presently: lane.presently,
    since: lane.since,
    words: words[lane.presently],
    task: standing?.kind === 'task' && lane.presently === 'work' ? standing : undefined,
  };
}
