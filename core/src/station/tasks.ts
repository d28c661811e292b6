import type { BoardOrder, BoardTask } from '../floor/index.ts';
import type { TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { isWorkable } from '../work/index.ts';
import type { WorkOrderId } from '../work/index.ts';
import type { StationDirectory } from './directory.ts';
import type { StationSettings } from './settings.ts';

/** Tasks that one screen offers: as many as there are number keys. */
const OFFERED = 9;
const NO_DUE = Number.MAX_SAFE_INTEGER;

type Ranked = { readonly task: BoardTask; readonly rank: readonly (number | string)[] };

const isOpen = ({ orders }: StationDirectory, task: BoardTask): boolean => {
  const order = orders.get(task.order);
  return !task.isFinished && order !== undefined && isWorkable(order.state);
};

const openTasks = (directory: StationDirectory): BoardTask[] =>
  [...directory.targets.values()].filter(
    (target): target is BoardTask => target.kind === 'task' && isOpen(directory, target),
  );

/** How near a task is to somebody who is assigned it in no way. */
export const NOT_OWN = 2;

/** How directly a task is this person's: 0 by name, 1 by their crew, 2 not at all. */
export function nearness(directory: StationDirectory, id: TargetId, technician: TechnicianId): number {
  const assigned = directory.tasks.get(id)?.assigned ?? [];
  const crew = directory.people.get(technician)?.crew ?? '';
  if (assigned.some((each) => each.kind === 'technician' && each.id === technician)) return 0;
  return crew !== '' && assigned.some((each) => each.kind === 'crew' && each.id === crew) ? 1 : NOT_OWN;
}

function compareRanks(a: readonly (number | string)[], b: readonly (number | string)[]): number {
  for (const [i, left] of a.entries()) {
    const right = b[i];
    if (right !== undefined && left !== right) return left < right ? -1 : 1;
  }
  return 0;
}
const inOrder = (ranked: Ranked[]) =>
  ranked.sort((a, b) => compareRanks(a.rank, b.rank)).map(({ task }) => task.id);

const positionOf = ({ tasks }: StationDirectory, id: TargetId) => tasks.get(id)?.position ?? 0;
const dueOf = ({ jobs }: StationDirectory, order: WorkOrderId) => jobs.get(order)?.due ?? NO_DUE;

/** The open tasks of an order: one's own first, then in the order of the work. */
export const openTasksOf = (
  directory: StationDirectory,
  order: WorkOrderId,
  technician: TechnicianId,
): TargetId[] =>
  inOrder(
    openTasks(directory)
      .filter((task) => task.order === order)
      .map((task) => ({
        task,
        rank: [nearness(directory, task.id, technician), positionOf(directory, task.id)],
      })),
  ).slice(0, OFFERED);

/** What a person is to do next: what they or their crew is assigned, soonest due first, then the first open task of each
 *  order at this station's own work centers. What they are on now is left out. */
export function nextTasks(
  directory: StationDirectory,
  technician: TechnicianId,
  { workCenters }: StationSettings,
  most = OFFERED,
): TargetId[] {
  const doing = directory.technicians.get(technician)?.state.doing;
  const running = doing?.status === 'work' ? doing.running : doing?.status === 'break' ? doing.suspended : [];
  const open = openTasks(directory);
  const firstOf = new Map<WorkOrderId, number>();
  for (const { id, order } of open)
    firstOf.set(order, Math.min(firstOf.get(order) ?? NO_DUE, positionOf(directory, id)));
  const ranked = open.flatMap((task): Ranked[] => {
    if (running.some(({ target }) => target === task.id)) return [];
    const near = nearness(directory, task.id, technician);
    const position = positionOf(directory, task.id);
    const isHere = workCenters.includes(directory.tasks.get(task.id)?.workCenter ?? '');
    if (near === NOT_OWN && !(isHere && position === firstOf.get(task.order))) return [];
    const number = directory.orders.get(task.order)?.number ?? '';
    return [{ task, rank: [near, dueOf(directory, task.order), number, position] }];
  });
  return inOrder(ranked).slice(0, most);
}

/** The order that these words name and that cannot be worked on now: it waits, or was never released. */
export function findWaitingOrder({ orders }: StationDirectory, words: string): BoardOrder | undefined {
  const number = words.trim().toLowerCase();
  const order = [...orders.values()].find((each) => each.number.toLowerCase() === number);
  return order && !isWorkable(order.state) ? order : undefined;
}

/** Open tasks that every one of these words stands in: its title, its order's number, title or customer. */
export function findTasks(directory: StationDirectory, words: string, technician: TechnicianId): TargetId[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return [];
  return inOrder(
    openTasks(directory).flatMap((task): Ranked[] => {
      const order = directory.orders.get(task.order);
      const text =
        `${task.title} ${order?.number ?? ''} ${order?.title ?? ''} ${order?.customer ?? ''}`.toLowerCase();
      return wanted.every((each) => text.includes(each))
        ? [
            {
              task,
              rank: [
                nearness(directory, task.id, technician),
                order?.number ?? '',
                positionOf(directory, task.id),
              ],
            },
          ]
        : [];
    }),
  ).slice(0, OFFERED);
}

/** Who else is on a task now. */
export const othersOn = (
  { technicians }: StationDirectory,
  targets: readonly TargetId[],
  self: TechnicianId,
): TechnicianId[] =>
  [...technicians.values()].flatMap(({ id, state: { doing } }) =>
    id !== self && doing.status === 'work' && doing.running.some(({ target }) => targets.includes(target))
      ? [id]
      : [],
  );
