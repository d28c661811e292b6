import type { TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { LocalDay } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { PaidAway } from './paidAway.ts';
import type { PayClass } from './payClass.ts';
import type { WorkedLine } from './worked.ts';

/** On what time was worked, as payroll may tell it apart: a job, an indirect activity, or nothing. */
export const WORKED_ON = ['job', 'indirect', 'nothing'] as const;
export type WorkedOn = (typeof WORKED_ON)[number];

/** What is paid: time worked by its class, leave of a kind, closed days, or what a guarantee fills up. */
export type PayKind =
  { readonly of: 'worked'; readonly class: PayClass; readonly on: WorkedOn } | PaidAway['kind'];

/** Seconds of one kind that somebody is paid for a shift day, on a target where there is one; below zero where an
 *  adjustment takes back. Source: docs/pay.md, pay lines. */
export type PayLine = {
  readonly technician: TechnicianId;
  readonly shiftDay: LocalDay;
  readonly kind: PayKind;
  readonly target: TargetId | undefined;
  readonly workType: WorkType | undefined;
  readonly seconds: number;
};

/** Time away of somebody. */
export type OwnAway = PaidAway & { readonly technician: TechnicianId };

/** What was worked and what is paid without work, as lines of one form. `isJob` says whether a target is work on an order. */
export const payLinesOf = (
  worked: readonly WorkedLine[],
  away: readonly OwnAway[],
  isJob: (target: TargetId) => boolean,
): readonly PayLine[] => [
  ...worked.map(({ class: paidAs, target, ...line }): PayLine => ({
    ...line,
    target,
    kind: {
      of: 'worked',
      class: paidAs,
      on: target === undefined ? 'nothing' : isJob(target) ? 'job' : 'indirect',
    },
  })),
  ...away.map(({ technician, day, kind, seconds }): PayLine => ({
    technician,
    shiftDay: day,
    kind,
    target: undefined,
    workType: undefined,
    seconds,
  })),
];

/** A kind as one word by which it is looked up. */
export function keyOfKind(kind: PayKind): string {
  switch (kind.of) {
    case 'worked':
      return `worked ${kind.class} ${kind.on}`;
    case 'leave':
      return `leave ${kind.name}`;
    default:
      return kind.of;
  }
}

/** The payroll's own words for kinds, by the key of the kind. */
export type PayCodes = ReadonlyMap<string, string>;

/** The payroll's word for a kind; indirect time and time on nothing take that of jobs where they have none of their own. */
export function payCodeOf(codes: PayCodes, kind: PayKind): string | undefined {
  const own = codes.get(keyOfKind(kind));
  if (own !== undefined || kind.of !== 'worked') return own;
  return codes.get(keyOfKind({ ...kind, on: 'job' }));
}
