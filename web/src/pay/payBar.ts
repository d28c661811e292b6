import type { PayPeriodJson } from '@wergon/contract/pay';

type Person = PayPeriodJson['people'][number];

/** What a person's bar of a period is made of, in the order in which it stands, in seconds. Away is paid and not worked. */
export const BAR_PARTS = ['straight', 'overtime', 'double', 'away'] as const;
export type BarPart = (typeof BAR_PARTS)[number];

export const awaySeconds = ({ away }: Pick<Person, 'away'>): number =>
  away.reduce((sum, { seconds }) => sum + seconds, 0);

/** Lengths of a person's bar, those without any left out. */
export const barOf = (person: Person): readonly { readonly part: BarPart; readonly seconds: number }[] =>
  BAR_PARTS.map((part) => ({
    part,
    seconds: part === 'away' ? awaySeconds(person) : person.classes[part],
  })).filter(({ seconds }) => seconds > 0);

/** The longest that a bar of the period is, or is planned: all bars are of that scale. */
export const longestOf = (people: readonly Person[]): number =>
  Math.max(
    1,
    ...people.map((person) => barOf(person).reduce((sum, { seconds }) => sum + seconds, 0)),
    ...people.map(({ plannedSeconds }) => plannedSeconds),
  );
