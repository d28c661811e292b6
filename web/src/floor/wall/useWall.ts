import { computed, onScopeDispose, ref, watch } from 'vue';
import type { FloorJson } from '@wergon/contract/floor';
import { standingOf } from '@wergon/core/floor';
import type { Board, Lane, TaskStanding } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import { useFloor } from '../useFloor.ts';

/** So long a page of the wall stands, in milliseconds. */
const TURN_MS = 15_000;

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
};
export type WallPage =
  | { readonly kind: 'people'; readonly people: readonly WallPerson[] }
  | { readonly kind: 'jobs'; readonly jobs: readonly WallJob[] };

const chunks = <T>(items: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(items.length / size) }, (_, i) => items.slice(i * size, (i + 1) * size));

/** The floor for a big screen: pages that turn by themselves, filtered as its address says
 *  (`?by=people|jobs&division=…&jobType=…&rows=…`). */
export function useWall(kept: FloorJson | undefined) {
  const floor = useFloor(kept);
  const address = new URLSearchParams(location.search);
  const asked = (name: string) => address.get(name) ?? '';
  const details = computed(
    () => new Map((floor.query.data.value?.orderDetails ?? []).map((each) => [each.order, each])),
  );
  const filter = computed(() => ({ division: asked('division'), jobType: asked('jobType') }));
  const isFiltered = computed(() => filter.value.division !== '' || filter.value.jobType !== '');
  const fits = (task: TaskStanding | undefined): boolean => {
    if (!isFiltered.value) return true;
    const own = details.value.get(task?.order?.id ?? '');
    const { division, jobType } = filter.value;
    return (
      own !== undefined &&
      (division === '' || own.division === division) &&
      (jobType === '' || own.jobType === jobType)
    );
  };

  const people = computed((): readonly WallPerson[] =>
    floor.board.value
      ? floor.lanes.value
          .filter(({ presently }) => presently !== 'out')
          .map((lane) => personOf(floor.board.value as Board, lane, floor.now.value))
          .filter(({ task }) => fits(task))
          .sort((a, b) => ORDER[a.presently] - ORDER[b.presently] || a.name.localeCompare(b.name))
      : [],
  );
  const jobs = computed((): readonly WallJob[] => {
    const byTask = new Map<string, { readonly task: TaskStanding; readonly names: string[] }>();
    for (const { task, name } of people.value) {
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
      .map(({ task, names }) => ({
        id: task.task.id,
        number: task.order?.number ?? '',
        words: [task.task.title, task.order?.customer].filter((part) => part).join(', '),
        names: names.join(', '),
        task,
      }));
  });

  const rows = computed(() => Math.max(3, Math.min(14, Number(asked('rows')) || 8)));
  const pages = computed((): readonly WallPage[] => {
    const by = asked('by');
    const all: WallPage[] = [
      ...(by === 'jobs'
        ? []
        : chunks(people.value, rows.value).map((part): WallPage => ({ kind: 'people', people: part }))),
      ...(by === 'people'
        ? []
        : chunks(jobs.value, rows.value).map((part): WallPage => ({ kind: 'jobs', jobs: part }))),
    ];
    return all;
  });
  const place = ref(0);
  const timer = setInterval(() => (place.value += 1), TURN_MS);
  onScopeDispose(() => clearInterval(timer));
  watch(pages, ({ length }) => {
    if (length > 0) place.value %= length;
  });
  const page = computed(() => pages.value[place.value % Math.max(1, pages.value.length)]);
  return { ...floor, page, pages, place, jobs, people, filter, isFiltered };
}

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
    break: 'on a break',
    nothing: 'on nothing',
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
