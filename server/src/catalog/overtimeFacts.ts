import { overtimeTermsSchema } from '@wergon/contract/pay';
import type { OvertimeTerms } from '@wergon/contract/pay';
import { payCalendar } from '@wergon/core/pay';
import type { OvertimeRule, PayBasis, PayWeek } from '@wergon/core/pay';
import type { CostRate, TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import type { LocalDay } from '@wergon/core/time';

/** What decides how everybody's time is paid, but for what was decided of single days. */
export type OvertimeFacts = {
  readonly basis: PayBasis;
  readonly rules: readonly OvertimeRule[];
  /** The week by which somebody is paid on a day. */
  readonly weekOf: (technician: TechnicianId, day: LocalDay) => PayWeek;
  /** What overtime is paid on, sorted by day. */
  readonly premiumRates: ReadonlyMap<TechnicianId, readonly CostRate[]>;
  readonly closedDays: ReadonlySet<LocalDay>;
};

type StoredRule = { readonly fromDay: LocalDay; readonly payGroup: string; readonly rule: string };
type Membership = {
  readonly technician: TechnicianId;
  readonly fromDay: LocalDay;
  readonly payGroup: string;
};

export const writeTerms = (terms: OvertimeTerms): string => JSON.stringify(terms);
export const readRule = ({ fromDay, payGroup, rule }: StoredRule): OvertimeRule => ({
  ...overtimeTermsSchema.parse(JSON.parse(rule)),
  from: fromDay,
  group: payGroup === '' ? undefined : payGroup,
});

/** Whether days are kept as they are paid: without a rule all that is charged is straight, and nothing need be. */
export const isPayKept = ({ rules, basis }: Pick<OvertimeFacts, 'rules' | 'basis'>): boolean =>
  rules.length > 0 || basis === 'attended';

/** Weeks of everybody by their groups. Who are in the same groups on the same days share what was found. */
export function createWeekOf(
  rules: readonly OvertimeRule[],
  memberships: readonly Membership[],
): OvertimeFacts['weekOf'] {
  const own = groupBy(memberships, ({ technician }) => technician);
  const shared = new Map<string, ReturnType<typeof payCalendar>>();
  const calendars = new Map<TechnicianId, ReturnType<typeof payCalendar>>();
  const calendarOf = (technician: TechnicianId) => {
    const groups = [...(own.get(technician) ?? [])].sort((a, b) => b.fromDay - a.fromDay);
    const key = groups.map(({ fromDay, payGroup }) => `${fromDay} ${payGroup}`).join('\n');
    const groupOn = (day: LocalDay) => groups.find(({ fromDay }) => fromDay <= day)?.payGroup || undefined;
    const found = shared.get(key) ?? payCalendar(rules, groupOn);
    shared.set(key, found);
    calendars.set(technician, found);
    return found;
  };
  return (technician, day) => (calendars.get(technician) ?? calendarOf(technician))(day);
}
