export { travelersBodySchema, travelersSchema } from './travelers.ts';
export type { TravelerJson } from './travelers.ts';
