import type { Heard } from './live.ts';

type Changes = Exclude<Heard, 'everything'>;
type Key = readonly unknown[];

const isAmong = (named: readonly string[] | null, id: unknown): boolean =>
  named === null || named.includes(String(id));
/** Whether one of these people stands anywhere in what was asked for. */
const namesAny = (named: readonly string[] | null, asked: unknown): boolean => {
  const text = JSON.stringify(asked) ?? '';
  return named === null || named.some((id) => text.includes(id));
};
const always = () => true;
const aboutPerson = ({ technicians }: Changes, [who]: Key) => isAmong(technicians, who);
const aboutPeople = ({ technicians }: Changes, asked: Key) => namesAny(technicians, asked);

/** Which answers a commit of the journal can change, by the first word of what they are kept under. What is not named here
 *  is of records beside the journal, which it does not change. */
const TOUCHED: Readonly<Record<string, (changes: Changes, asked: Key) => boolean>> = {
  floor: always,
  rail: always,
  latest: always,
  requests: always,
  stations: always,
  trail: always,
  // The first scan is a step of setting up.
  checklist: always,
  work: always,
  accounted: always,
  approvals: always,
  'job-week': always,
  'pay-periods': always,
  'pay-period': always,
  'pay-file': always,
  payroll: always,
  'day-split': aboutPeople,
  // An effect that is looked at is tried out anew only where it is about people whose time has changed.
  reconcile: (changes, asked) => asked[0] !== 'effect' || aboutPeople(changes, asked),
  'edit-effect': aboutPeople,
  'presence-effect': aboutPeople,
  'person-day': aboutPerson,
  week: aboutPerson,
  card: aboutPeople,
  // Only one's own time is heard of by whoever sees nothing else.
  'own-card': always,
  'own-time-off': always,
  'named-days': always,
  line: ({ technicians }, asked) => namesAny(technicians, asked),
  // An approval names no order.
  order: ({ orders }, [order, what]) => what === 'unapproved' || isAmong(orders, order),
  report: ({ orders }, [order]) => isAmong(orders, order),
  why: ({ orders }, [order]) => isAmong(orders, order),
  'compared-jobs': always,
  'compared-causes': always,
  'compared-people': always,
  cut: always,
  near: always,
  'compared-machines': always,
  story: ({ orders }, [asked]) =>
    typeof asked === 'object' && asked !== null && 'order' in asked ? isAmong(orders, asked.order) : true,
};

/** Whether what was heard can have changed the answer that is kept under a key. */
export const isTouched = (heard: Heard, [first, ...asked]: Key): boolean =>
  heard === 'everything' || (TOUCHED[String(first)]?.(heard, asked) ?? false);

/** What is drawn from changes alone, and so may be asked for as often as something changes. */
export const isQuick = ([first]: Key): boolean => first === 'floor';
