export { accountPerson, sumPeople } from './accounted.ts';
export type { Accounted, AccountedPerson } from './accounted.ts';
export { cardWeeks, personCard } from './card.ts';
export type { CardDay } from './card.ts';
