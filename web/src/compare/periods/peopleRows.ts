import { isMostlyShared, shareOf } from '@wergon/core/compare';
import { sumSeconds } from '@wergon/core/time';
import type { ComparedPerson } from '@wergon/contract/compare';
import { t } from '../../words/index.ts';

/** Lengths that a person's figures, and those of people together, are made of. */
const LENGTHS = [
  'attendedSeconds',
  'jobSeconds',
  'indirectSeconds',
  'expectedSeconds',
  'earnedSeconds',
  'ownSeconds',
  'measuredSeconds',
] as const;
export type PeopleSums = Pick<ComparedPerson, (typeof LENGTHS)[number]>;
export type PeopleGroup = 'department' | 'crew';

/** A line of the list: a person, or people together. */
export type PeopleRow = PeopleSums & {
  readonly key: string;
  readonly name: string;
  readonly person: ComparedPerson | undefined;
};

/** What people come to together; every quotient is made of the sums. */
export const sumOfPeople = (people: readonly PeopleSums[]): PeopleSums =>
  Object.fromEntries(
    LENGTHS.map((length) => [length, sumSeconds(people.map((each) => ({ seconds: each[length] })))]),
  ) as PeopleSums;

/** People by name, under the sums of their department or crew where they are grouped. Nobody is ranked. */
export function peopleRows(people: readonly ComparedPerson[], group: PeopleGroup | ''): readonly PeopleRow[] {
  const rowOf = (person: ComparedPerson): PeopleRow => ({ ...person, key: person.technician, person });
  const byName = [...people].sort((a, b) => a.name.localeCompare(b.name));
  if (group === '') return byName.map(rowOf);
  const names = [...new Set(byName.map((person) => person[group]))].sort((a, b) => a.localeCompare(b));
  return names.flatMap((name) => {
    const own = byName.filter((person) => person[group] === name);
    const head = { ...sumOfPeople(own), key: `group ${name}`, name: name || t(`noGroup.${group}`) };
    return [{ ...head, person: undefined }, ...own.map(rowOf)];
  });
}

const percent = (share: number | null): string => (share === null ? '' : `${Math.round(share * 100)} %`);

/** A quotient in percent; of one person whose time was mostly shared it says that instead. */
export const sayEfficiency = (row: PeopleSums, isPerson: boolean): string =>
  isPerson && isMostlyShared(row)
    ? t('compare.mostlyShared')
    : percent(shareOf(row.earnedSeconds, row.ownSeconds));
export const sayTarget = ({ earnedSeconds, expectedSeconds }: PeopleSums): string =>
  percent(shareOf(earnedSeconds, expectedSeconds));
export const sayProductivity = ({ jobSeconds, attendedSeconds }: PeopleSums): string =>
  percent(shareOf(jobSeconds, attendedSeconds));
export const sayMeasured = ({ measuredSeconds, ownSeconds }: PeopleSums): string =>
  percent(shareOf(measuredSeconds, ownSeconds));
