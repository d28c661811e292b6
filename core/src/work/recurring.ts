import { addDays, addMonths, inForceAt, latestOf } from '../time/index.ts';
import type { Dated, Instant, LocalDay, Zone } from '../time/index.ts';
import { isBehind } from './orderState.ts';
import type { OrderState } from './orderState.ts';

/** How often work on a unit comes back: every so many months, or running hours of the unit. */
export const CADENCES = ['months', 'hours'] as const;
export type Cadence = { readonly kind: (typeof CADENCES)[number]; readonly every: number };

/** The hour meter of a unit as it was read on a day, in whole hours. */
export type Reading = { readonly day: LocalDay; readonly hours: number };

/** When work comes due: the day, as far as it can be told, and of running hours at how many of them. */
export type Due = {
  readonly day: LocalDay | null;
  readonly atHours: number | null;
  /** Whether the day is reckoned from how the unit has been running, and so may move. */
  readonly isReckoned: boolean;
};

/** A unit that stands still comes due in no year that anybody plans. */
const FARTHEST_DAYS = 36_525;
/** 31 December 9999. */
const LAST_DATE = 2_932_896;

/** When work comes due next that was done last on a day. Of running hours: that many after what the meter stood at then;
 *  the day is that of the reading which has reached it, or else reckoned from the pace between the last two readings.
 *  `null` where the readings do not tell. Readings may come in any order; of one day the highest counts. */
export function nextDue({ kind, every }: Cadence, last: LocalDay, readings: readonly Reading[]): Due {
  if (kind === 'months')
    return { day: within(last, addMonths(last, every)), atHours: null, isReckoned: false };
  const known = byDay(readings);
  const start = metered(known, last);
  if (start === undefined) return { day: null, atHours: null, isReckoned: false };
  const atHours = Math.round(start + every);
  const reached = known.find(({ day, hours }) => day >= last && hours >= atHours);
  if (reached) return { day: reached.day, atHours, isReckoned: false };
  return { day: reckon(known, atHours), atHours, isReckoned: true };
}

/** A day that is not farther from another than anybody plans, and that can be written as a date. */
const within = (from: LocalDay, day: LocalDay): LocalDay | null =>
  day - from <= FARTHEST_DAYS && day <= LAST_DATE ? day : null;

function byDay(readings: readonly Reading[]): readonly Reading[] {
  const highest = new Map<LocalDay, number>();
  for (const { day, hours } of readings) highest.set(day, Math.max(hours, highest.get(day) ?? 0));
  return [...highest].map(([day, hours]) => ({ day, hours })).sort((a, b) => a.day - b.day);
}

/** What the meter stood at on a day: between two readings in proportion; before the first as it was read first. */
function metered(known: readonly Reading[], day: LocalDay): number | undefined {
  const before = known.findLast((each) => each.day <= day);
  const after = known.find((each) => each.day >= day);
  if (!before) return after?.hours;
  if (!after || after.day === before.day) return before.hours;
  return before.hours + ((after.hours - before.hours) * (day - before.day)) / (after.day - before.day);
}

/** The day on which the meter reaches so many hours, if the unit goes on as it ran between the last two readings. */
function reckon(known: readonly Reading[], atHours: number): LocalDay | null {
  const [before, latest] = known.slice(-2);
  if (!before || !latest) return null;
  const perDay = (latest.hours - before.hours) / (latest.day - before.day);
  const days = Math.ceil((atHours - latest.hours) / perDay);
  if (perDay <= 0 || days > FARTHEST_DAYS) return null;
  return within(latest.day, addDays(latest.day, Math.max(0, days)));
}

/** When work was done last: on the day on which its order was finished (for the last time, where it was taken up again),
 *  or later, if somebody has written that down. `order` holds the states of the order that was made of it last. */
export function lastDone(
  written: LocalDay,
  order: Dated<OrderState> | undefined,
  zone: Pick<Zone, 'dayAt'>,
  now: Instant,
): LocalDay {
  if (!order || !isBehind(inForceAt(order, now))) return written;
  const lastOpen = order.findLastIndex(({ value }) => !isBehind(value));
  const finished = order[lastOpen + 1];
  return finished ? latestOf([written, zone.dayAt(finished.from)]) : written;
}

/** How far ahead work is said to come due, in days. */
const SOON_DAYS = 30;
/** Whether an order of it is wanted soon; what is overdue is. */
export const isDueSoon = (
  {
    due,
    isOff,
    hasOrder,
  }: { readonly due: Pick<Due, 'day'>; readonly isOff: boolean; readonly hasOrder: boolean },
  today: LocalDay,
): boolean => !isOff && !hasOrder && due.day !== null && due.day <= addDays(today, SOON_DAYS);
