import { groupBy } from '@wergon/core/result';
import { isMissing } from '@wergon/core/floor';
import type { FloorJson } from '@wergon/contract/floor';
import type { Block, Board, Lane } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';

export const SHOWN = [
  'everybody',
  'on tasks',
  'on indirect work',
  'on break',
  'no task',
  'not here',
] as const;
export type Shown = (typeof SHOWN)[number];
export type Grouping = 'department' | 'crew';

export type WorkBlock = Extract<Block, { kind: 'work' }>;
/** The block whose scans are open. */
export type Opened = { readonly technician: string; readonly from: Instant };
export type FloorRow =
  | { readonly kind: 'group'; readonly key: string; readonly name: string; readonly peopleIn: number }
  | { readonly kind: 'lane'; readonly key: string; readonly lane: Lane }
  | { readonly kind: 'scans'; readonly key: string; readonly lane: Lane; readonly block: WorkBlock };

type Person = FloorJson['people'][number];

/** Whether anything stands on a lane. */
export const isDrawn = ({ blocks, enteredSeconds }: Lane): boolean => blocks.length > 0 || enteredSeconds > 0;

/** Whether a lane belongs to what is shown. */
export function isShown(lane: Lane, shown: Shown, person: Person | undefined, now: Instant): boolean {
  switch (shown) {
    case 'everybody':
      return isDrawn(lane) || lane.presently !== 'out';
    case 'on tasks':
      return lane.presently === 'work';
    case 'on indirect work':
      return lane.presently === 'indirect';
    case 'on break':
      return lane.presently === 'break';
    case 'no task':
      return lane.presently === 'nothing';
    case 'not here':
      return person !== undefined && isMissing(lane.presently, person, now);
  }
}

/** What is said on a lane, for the search: name, orders, customers, tasks and activities. */
export function wordsIn(board: Board, lane: Lane, unitOf: (order: string) => string): string {
  const names = lane.blocks.flatMap((block) =>
    block.kind !== 'work'
      ? []
      : block.running.map(({ target }) => {
          const known = board.targets.get(target);
          const order = known?.kind === 'task' ? board.orders.get(known.order) : undefined;
          return `${known?.title ?? ''} ${order?.number ?? ''} ${order?.customer ?? ''} ${order ? unitOf(order.id) : ''}`;
        }),
  );
  return `${lane.technician.name} ${names.join(' ')}`.toLowerCase();
}

/** Lanes under their department or crew, with the scans of an opened block behind its lane. */
export function rowsOf(
  lanes: readonly Lane[],
  groupOf: (lane: Lane) => string,
  opened: Opened | null,
): readonly FloorRow[] {
  return [...groupBy(lanes, groupOf)].flatMap(([name, own]) => [
    {
      kind: 'group' as const,
      key: `group ${name}`,
      name,
      peopleIn: own.filter(({ presently }) => presently !== 'out').length,
    },
    ...own.flatMap((lane): FloorRow[] => {
      const row: FloorRow = { kind: 'lane', key: lane.technician.id, lane };
      if (opened?.technician !== lane.technician.id) return [row];
      const block = lane.blocks.find(
        (each): each is WorkBlock => each.kind === 'work' && each.stint.from === opened.from,
      );
      return block ? [row, { kind: 'scans', key: `scans ${lane.technician.id}`, lane, block }] : [row];
    }),
  ]);
}
