import type { PayPeriodJson } from '@wergon/contract/pay';
import { isAboveAttended, sumClasses } from '@wergon/core/pay';
import { formatCents, parseCents, toCents } from '@wergon/core/money';
import { groupBy } from '@wergon/core/result';
import { t } from '../words/index.ts';

type Person = PayPeriodJson['people'][number];
export type PeriodGroup = 'department' | 'payGroup';

/** A line of a pay period: a person, or people together. */
export type PeriodRow = Pick<
  Person,
  'name' | 'classes' | 'away' | 'attendedSeconds' | 'unapprovedSeconds' | 'cost'
> & { readonly key: string; readonly person: Person | undefined };

/** Whether somebody is to be looked at before a period closes: more labor than attended time, or overtime that nobody has
 *  decided on. */
export const isException = (person: Person): boolean =>
  isAboveAttended(person) ||
  person.split.some(({ isDecidable, split }) => split === 'changed' || (isDecidable && split === 'none'));

/** People of a period, exceptions first; under the sums of their department or pay group where they are grouped. */
export function periodRows(people: readonly Person[], group: PeriodGroup | ''): readonly PeriodRow[] {
  const inOrder = [...people.filter(isException), ...people.filter((each) => !isException(each))];
  const rowOf = (person: Person): PeriodRow => ({ ...person, key: person.technician, person });
  if (group === '') return inOrder.map(rowOf);
  return [...groupBy(inOrder, (person) => person[group])]
    .sort(([a], [b]) => a.localeCompare(b))
    .flatMap(([name, own]) => [
      {
        ...sumPeople(own),
        key: `group ${name}`,
        name: name || t(group === 'department' ? 'pay.noDepartment' : 'pay.noPayGroup'),
        person: undefined,
      },
      ...own.map(rowOf),
    ]);
}

/** What people come to together. */
function sumPeople(people: readonly Person[]): Omit<PeriodRow, 'key' | 'name' | 'person'> {
  const sum = (of: 'attendedSeconds' | 'unapprovedSeconds') =>
    people.reduce((total, each) => total + each[of], 0);
  const away = groupBy(
    people.flatMap((each) => each.away),
    ({ kind }) => kind,
  );
  return {
    classes: sumClasses(people.map(({ classes }) => classes)),
    away: [...away].map(([kind, own]) => ({
      kind,
      seconds: own.reduce((all, each) => all + each.seconds, 0),
    })),
    attendedSeconds: sum('attendedSeconds'),
    unapprovedSeconds: sum('unapprovedSeconds'),
    cost: sumCosts(people.map(({ cost }) => cost)),
  };
}

/** Costs together; nothing where one of them is not told. */
function sumCosts(costs: readonly (string | null)[]): string | null {
  let sum = 0;
  for (const cost of costs) {
    const read = cost === null ? undefined : parseCents(cost);
    if (!read?.ok) return null;
    sum += read.value;
  }
  return formatCents(toCents(sum));
}
