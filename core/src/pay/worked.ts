import { itemAt, groupBy } from '../result/index.ts';
import { shareByWeight } from '../money/index.ts';
import type { TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { LocalDay } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { ClosedClasses, ClosedLine } from './adjustments.ts';
import type { ClassedShare } from './classify.ts';
import { PAY_CLASSES } from './payClass.ts';
import type { PayClass } from './payClass.ts';

/** Paid seconds of somebody's shift day, of one class and on one target; without a target they are on nothing. Below zero
 *  where an adjustment takes back. */
export type WorkedLine = {
  readonly technician: TechnicianId;
  readonly shiftDay: LocalDay;
  readonly target: TargetId | undefined;
  readonly workType: WorkType | undefined;
  readonly class: PayClass;
  readonly seconds: number;
};

const keyOf = (each: WorkedLine): string =>
  [each.technician, each.shiftDay, each.target ?? '', each.workType ?? '', each.class].join(' ');

/** Lines of one key together, in the order of their first; those that come to nothing are left out. */
function sumByKey(lines: Iterable<WorkedLine>): readonly WorkedLine[] {
  const sums = new Map<string, WorkedLine>();
  for (const line of lines) {
    const key = keyOf(line);
    sums.set(key, { ...line, seconds: (sums.get(key)?.seconds ?? 0) + line.seconds });
  }
  return [...sums.values()].filter(({ seconds }) => seconds !== 0);
}

/** What somebody worked and is paid for, by shift day, class and target. Source: docs/pay.md, pay lines. */
export const workedLinesOf = (
  technician: TechnicianId,
  shares: readonly ClassedShare[],
): readonly WorkedLine[] =>
  sumByKey(
    shares.map(({ shiftDay, target, workType, class: paidAs, seconds }) => ({
      technician,
      shiftDay,
      target,
      workType,
      class: paidAs,
      seconds,
    })),
  );

/** Derived − closed, line by line, only where they differ: what becomes overtime later is paid the rest, and what was
 *  overtime is taken back. Closed lines and adjustments together are what was derived. Source: docs/pay.md, adjustments. */
export const workedAdjustmentsOf = (
  derived: readonly WorkedLine[],
  closed: readonly WorkedLine[],
): readonly WorkedLine[] =>
  sumByKey([...derived, ...closed.map((each) => ({ ...each, seconds: -each.seconds }))]);

/** Seconds of each class of somebody's shift days, and those of them that are on nothing. */
export function classesOf(lines: readonly WorkedLine[]): readonly ClosedClasses[] {
  const days = new Map<string, ClosedClasses>();
  for (const { technician, shiftDay: day, class: paidAs, target, seconds } of lines) {
    const key = `${technician} ${day}`;
    const sum = days.get(key) ?? { technician, day, straight: 0, overtime: 0, double: 0, unallocated: 0 };
    days.set(key, {
      ...sum,
      [paidAs]: sum[paidAs] + seconds,
      unallocated: sum.unallocated + (target === undefined ? seconds : 0),
    });
  }
  return [...days.values()];
}

/** Pay lines of a closing that kept no more than the classes of its days: each class shared by what is left of the day's
 *  lines, straight first. What was taken back is one line, as nobody kept where it was. */
export function workedOfClasses(
  lines: readonly ClosedLine[],
  classes: readonly ClosedClasses[],
): readonly WorkedLine[] {
  const ofDay = groupBy(lines, ({ technician, shiftDay }) => `${technician} ${shiftDay}`);
  return sumByKey(
    classes.flatMap(({ technician, day, unallocated, ...seconds }) => {
      const lined = ofDay.get(`${technician} ${day}`) ?? [];
      const sum = lined.reduce((total, line) => total + line.seconds, 0);
      const line = { technician, shiftDay: day };
      if (seconds.overtime === 0 && seconds.double === 0 && unallocated === 0 && seconds.straight === sum)
        return lined.map(({ target, workType, ...each }) => ({
          ...{ ...line, target, workType, class: 'straight' as const, seconds: each.seconds },
        }));
      const own = [
        ...lined,
        ...(unallocated === 0 ? [] : [{ target: undefined, workType: undefined, seconds: unallocated }]),
      ];
      const on = own.length > 0 ? own : [{ target: undefined, workType: undefined, seconds: 0 }];
      const isSharable =
        PAY_CLASSES.every((each) => seconds[each] >= 0) && on.every((each) => each.seconds >= 0);
      const left = on.map((each) => Math.max(0, each.seconds));
      return PAY_CLASSES.flatMap((paidAs) => {
        const given =
          isSharable && left.some((weight) => weight > 0)
            ? shareByWeight(seconds[paidAs], left)
            : on.map((_, i) => (i === 0 ? seconds[paidAs] : 0));
        return on.map(({ target, workType }, i) => {
          const share = itemAt(given, i);
          left[i] = Math.max(0, itemAt(left, i) - share);
          return { ...line, target, workType, class: paidAs, seconds: share };
        });
      });
    }),
  );
}
