import { newOrderSchema } from '@wergon/contract/work';
import type { NewOrder } from '@wergon/contract/work';
import { fraction } from '@wergon/core/money';
import { formatDay, addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { estimateSeconds } from '@wergon/core/work';
import type { Random } from './random.ts';
import { originOf, stepFields } from './enterStandards.ts';
import type { Origins } from './enterStandards.ts';
import { OPTIONAL, PARTS, makeUnits } from './sampleLists.ts';
import { CUSTOMERS, JOBS } from './sampleShop.ts';
import type { Step } from './sampleShop.ts';

/** An order as it is entered, with the factor by which its real hours will differ from the estimate. */
export type SampleOrder = {
  readonly order: NewOrder;
  readonly steps: readonly Step[];
  /** The day on which it is released. */
  readonly releaseDay: LocalDay;
  readonly difficulty: number;
};

const HUNDREDTHS = 100n;
const hours = (count: number) => fraction(BigInt(Math.round(count * 100)), HUNDREDTHS);

const COST_CODE_OF: Partial<Record<Step['department'], string>> = {
  Winding: '4100 winding',
  'Balancing and machining': '4200 mechanical',
  Assembly: '4200 mechanical',
  Test: '4300 test',
};
const UNIT_TYPES: Readonly<Record<string, string>> = {
  'Rewind 90 kW pump motor': 'Pump motor 90 kW',
  'Rewind 160 kW saw drive': 'Saw drive 160 kW',
  'Balance and bearings, fan': 'Axial fan',
  'Shaft repair, mixer': 'Mixer drive',
  'Pump set overhaul': 'Pump set',
};
const jobTypeOf = (title: string) =>
  title.includes('stock') || title.includes('D-132')
    ? 'For stock'
    : title.startsWith('Rewind')
      ? 'Rewind'
      : title.includes('overhaul')
        ? 'Overhaul'
        : 'Repair';

/** What a job is sold for: its estimated hours at what such hours are sold for, in round figures. */
function priceOf(steps: readonly Step[], quantity: number): string {
  const seconds = steps.reduce((sum, step) => {
    const { setup, run } = estimateOfStep(step, quantity);
    return sum + setup + run;
  }, 0);
  return String(Math.round(((seconds / 3600) * 61) / 10) * 10);
}

/** Orders of the sample weeks: about as much work as the people can do, a little more of it released each day; `share` times
 *  as many as the usual people can do. */
export function makeOrders(
  days: readonly LocalDay[],
  random: Random,
  origins: Origins = new Map(),
  share = 1,
): SampleOrder[] {
  const units = makeUnits(CUSTOMERS);
  const orders: SampleOrder[] = [];
  let number = 24_058;
  const add = (releaseDay: LocalDay) => {
    const job = random.pick(JOBS);
    const quantity = job.most === 1 ? 1 : random.between(1, job.most);
    number += random.between(1, 2);
    const customer = job.title.includes('stock') ? 'Stock' : random.pick(CUSTOMERS);
    orders.push({
      releaseDay,
      steps: job.steps,
      // Most estimates are good; some jobs are harder than they looked.
      difficulty: random.chance(0.2) ? 1.15 + random.roll() * 0.35 : random.around(0.22) * 0.94,
      order: newOrderSchema.parse({
        number: String(number),
        title: quantity > 1 ? `${job.title}, ${quantity} pieces` : job.title,
        customer,
        quantity,
        due: formatDay(addDays(releaseDay, random.between(6, 20))),
        division: /pump set|fan|mixer/i.test(job.title) ? 'Pumps and fans' : 'Motors',
        jobType: jobTypeOf(job.title),
        item: job.title.includes('D-132') ? 'D-132' : '',
        unit:
          quantity === 1
            ? (units.find(({ owner, type }) => owner === customer && type === UNIT_TYPES[job.title])?.id ??
              null)
            : null,
        price: priceOf(job.steps, quantity),
        notes: number % 9 === 0 ? 'Customer wants the old coils back.' : '',
        parts: PARTS.filter(({ of }) => of.test(job.title)).map(({ name, each }) => ({
          name,
          quantity: each * quantity,
        })),
        estimateIncludes: ['setup', 'run', 'rework', 'cleanup'],
        tasks: job.steps.map((step) => ({
          ...stepFields(step),
          isOptional: OPTIONAL.includes(step.title),
          costCode: COST_CODE_OF[step.department] ?? '',
          assigned: step.title === 'Winding' && number % 4 === 0 ? [{ kind: 'crew', id: 'Night crew' }] : [],
          origin: originOf(origins, job.title, step),
        })),
      }),
    });
  };
  const [first] = days;
  if (first === undefined) return [];
  for (let i = 0; i < 34 * share; i += 1) add(addDays(first, -random.between(0, 4)));
  for (const day of days) for (let i = 0; i < random.between(7, 9) * share; i += 1) add(day);
  return orders;
}

/** Estimated setup and run seconds of one step. */
export const estimateOfStep = ({ setup = 0, run = 0, perPiece = 0 }: Step, quantity: number) => ({
  setup: estimateSeconds({ setupHours: hours(setup) }, quantity),
  run: estimateSeconds({ runHours: hours(run), runHoursPerPiece: hours(perPiece) }, quantity),
});
