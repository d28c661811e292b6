export { accountPerson, sumPeople } from './accounted.ts';
export type { Accounted, AccountedPerson } from './accounted.ts';
export { ownWeek } from './ownWeek.ts';
export type { OwnDay } from './ownWeek.ts';
