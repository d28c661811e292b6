import type { NewOrder } from '@wergon/contract/work';
import { fraction } from '@wergon/core/money';
import type { LocalDay } from '@wergon/core/time';
import { estimateSeconds } from '@wergon/core/work';
import type { Dice } from './dice.ts';
import { CUSTOMERS, JOBS } from './sampleShop.ts';
import type { Step } from './sampleShop.ts';

/** An order as it is entered, with the factor by which its real hours will differ from the estimate. */
export type SampleOrder = {
  readonly order: NewOrder;
  readonly steps: readonly Step[];
  /** The day on which it is released. */
  readonly releaseDay: number;
  readonly difficulty: number;
};

const HUNDREDTHS = 100n;
const hours = (count: number) => fraction(BigInt(Math.round(count * 100)), HUNDREDTHS);

/** Orders of the sample weeks: about as much work as the people can do, a little more of it released each day. */
export function makeOrders(days: readonly number[], dice: Dice): SampleOrder[] {
  const orders: SampleOrder[] = [];
  let number = 24_058;
  const add = (releaseDay: number) => {
    const job = dice.pick(JOBS);
    const quantity = job.most === 1 ? 1 : dice.between(1, job.most);
    number += dice.between(1, 2);
    const includes: NewOrder['estimateIncludes'] = ['setup', 'run', 'rework', 'cleanup'];
    orders.push({
      releaseDay,
      steps: job.steps,
      // Most estimates are good; some jobs are harder than they looked.
      difficulty: dice.chance(0.2) ? 1.15 + dice.roll() * 0.35 : dice.around(0.22) * 0.94,
      order: {
        number: String(number),
        title: quantity > 1 ? `${job.title}, ${quantity} pieces` : job.title,
        customer: job.title.includes('stock') ? 'Stock' : dice.pick(CUSTOMERS),
        quantity,
        due: (releaseDay + dice.between(6, 20)) as LocalDay,
        estimateIncludes: includes,
        tasks: job.steps.map(({ title, department, grade, setup, run, perPiece }) => ({
          title,
          workCenter: department,
          grade,
          ...(setup === undefined ? {} : { setupHours: hours(setup) }),
          ...(run === undefined ? {} : { runHours: hours(run) }),
          ...(perPiece === undefined ? {} : { runHoursPerPiece: hours(perPiece) }),
        })),
      },
    });
  };
  for (let i = 0; i < 34; i += 1) add((days[0] ?? 0) - dice.between(0, 4));
  for (const day of days) for (let i = 0; i < dice.between(7, 9); i += 1) add(day);
  return orders;
}

/** Estimated setup and run seconds of one step. */
export const estimateOfStep = ({ setup = 0, run = 0, perPiece = 0 }: Step, quantity: number) => ({
  setup: estimateSeconds({ setupHours: hours(setup) }, quantity),
  run: estimateSeconds({ runHours: hours(run), runHoursPerPiece: hours(perPiece) }, quantity),
});
