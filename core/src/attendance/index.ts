export { accountPerson, sumPeople } from './accounted.ts';
export type { Accounted, AccountedPerson } from './accounted.ts';
export { cardWeeks, dayBalance, personCard, sumCard } from './card.ts';
export type { CardDay, CardSums } from './card.ts';
