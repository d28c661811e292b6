import type { FloorJson } from '@wergon/contract/floor';
import type { BoardTask } from '@wergon/core/floor';
import { t } from '../words/index.ts';

/** What stands on no board of the floor and is told with it: by order, by task and by person; empty words for nothing. */
export type FloorMore = {
  /** What the order's work is done on. */
  readonly unit: (order: string) => string;
  /** Pieces of a task so far, of how many. */
  readonly pieces: (task: Pick<BoardTask, 'id' | 'order'>) => string;
  /** The machine that somebody is on, and the reason that they gave. */
  readonly doing: (technician: string) => string;
  /** How what they are on is paid from when on. */
  readonly stages: (technician: string) => Lanes[number]['stages'];
};

type Lanes = FloorJson['lanes'];
type Told = Pick<FloorJson, 'orderDetails' | 'taskPieces' | 'lanes'>;

export function floorMore(floor: Told | undefined): FloorMore {
  const orders = new Map((floor?.orderDetails ?? []).map((each) => [each.order as string, each]));
  const pieces = new Map((floor?.taskPieces ?? []).map((each) => [each.task as string, each]));
  const lanes = new Map((floor?.lanes ?? []).map((each) => [each.technician as string, each]));
  return {
    unit: (order) => orders.get(order)?.unit ?? '',
    pieces: ({ id, order }) => {
      const made = pieces.get(id);
      if (!made) return '';
      const { good, scrap } = made;
      const words = t('floor.piecesOf', { good, quantity: orders.get(order)?.quantity ?? 0 });
      return scrap > 0 ? `${words}, ${t('floor.scrapped', { scrap })}` : words;
    },
    doing: (technician) => {
      const { machine = null, reason = null } = lanes.get(technician) ?? {};
      return [machine, reason].filter(Boolean).join(', ');
    },
    stages: (technician) => lanes.get(technician)?.stages ?? [],
  };
}
