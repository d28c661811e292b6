import type { BoardChanges, BoardJson, FloorChanges, FloorJson } from './board.ts';

/** A list with newer items in the place of those of the same key, and others behind them. */
export function mergeBy<Item>(
  items: readonly Item[],
  newer: readonly Item[],
  keyOf: (item: Item) => string,
): Item[] {
  if (newer.length === 0) return [...items];
  const left = new Map(newer.map((item) => [keyOf(item), item]));
  const merged = items.map((item) => {
    const key = keyOf(item);
    const other = left.get(key);
    left.delete(key);
    return other ?? item;
  });
  return [...merged, ...left.values()];
}

const byId = ({ id }: { readonly id: string }) => id;

/** A board with what has changed of it since. */
export const mergeBoard = <Board extends Pick<BoardJson, keyof BoardChanges>>(
  board: Board,
  { asOf, seq, technicians, orders, tasks }: BoardChanges,
): Board => ({
  ...board,
  asOf,
  seq,
  technicians: mergeBy(board.technicians, technicians, byId),
  orders: mergeBy(board.orders, orders, byId),
  tasks: mergeBy(board.tasks, tasks, byId),
});

/** A day of the floor with what has changed of it since. */
export const mergeFloor = <Floor extends FloorJson>(floor: Floor, changes: FloorChanges): Floor => ({
  ...mergeBoard(floor, changes),
  orderDetails: mergeBy(floor.orderDetails, changes.orderDetails, ({ order }) => order),
  taskPieces: mergeBy(floor.taskPieces, changes.taskPieces, ({ task }) => task),
  lanes: mergeBy(floor.lanes, changes.lanes, ({ technician }) => technician),
});
