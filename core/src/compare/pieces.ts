import type { Seconds } from '../time/index.ts';

/** Pieces that were reported of a task. */
export type Pieces = { readonly good: number; readonly scrap: number };

type Counted = { readonly title: string; readonly pieces: Pieces | null };
/** Pieces of an order, and the task after which the good ones are good. */
export type OrderPieces = Pieces & { readonly after: string };

/** What the reports of an order's tasks, in their order, say of the order: good pieces are those of the last task that any
 *  were reported of, since each piece goes through all of them; scrap is what was lost on any. `null` where nothing was
 *  reported. Source: docs/orders.md, pieces. */
export function orderPieces(tasks: readonly Counted[]): OrderPieces | null {
  const counted = tasks.flatMap(({ title, pieces }) => (pieces ? [{ title, ...pieces }] : []));
  const last = counted.at(-1);
  const scrap = counted.reduce((sum, each) => sum + each.scrap, 0);
  return last ? { good: last.good, scrap, after: last.title } : null;
}

/** Good pieces to an hour of run time; `null` where one of the two is missing. */
export const piecesPerRunHour = ({ good }: Pieces, runSeconds: Seconds | number): number | null =>
  good > 0 && runSeconds > 0 ? (good * 3600) / runSeconds : null;

type Coded = {
  readonly costCode: string;
  readonly estimatedSeconds: number;
  /** Within the estimate's work types, and outside them. */
  readonly actualSeconds: number;
  readonly outsideSeconds: number;
};
/** Time of a cost code: what was estimated, and all that was worked. */
export type CodedTime = {
  readonly costCode: string;
  readonly estimatedSeconds: number;
  readonly usedSeconds: number;
};

/** Time by cost code, in the order of the codes; tasks without one stand last, under ''. Nothing where no task has one.
 *  Source: docs/orders.md, pieces. */
export function sumByCostCode(tasks: readonly Coded[]): readonly CodedTime[] {
  if (tasks.every(({ costCode }) => costCode === '')) return [];
  const codes = [...new Set(tasks.map(({ costCode }) => costCode))].sort((a, b) =>
    a === '' ? 1 : b === '' ? -1 : a < b ? -1 : 1,
  );
  return codes.map((costCode) => {
    const own = tasks.filter((task) => task.costCode === costCode);
    return {
      costCode,
      estimatedSeconds: own.reduce((sum, task) => sum + task.estimatedSeconds, 0),
      usedSeconds: own.reduce((sum, task) => sum + task.actualSeconds + task.outsideSeconds, 0),
    };
  });
}
