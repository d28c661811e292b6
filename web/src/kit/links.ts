import type { RouteLocationRaw } from 'vue-router';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';

type Person = string | null | undefined;
const at =
  (name: 'person-day' | 'week') =>
  (technician: Person, day: LocalDay | null | undefined): RouteLocationRaw => ({
    name,
    params: { technician: technician ?? '', ...(day == null ? {} : { day: formatDay(day) }) },
  });

/** Leads to one person's day on the tape; to today where no day is said. */
export const linkToDay = at('person-day');
/** Leads to the week of one person in which a day lies. */
export const linkToWeek = at('week');

/** How a person is paid in the period that holds a day. */
export const linkToPay = (person: string, day: LocalDay) => ({
  name: 'pay',
  query: { person, day: formatDay(day) },
});
