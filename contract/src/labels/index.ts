export { travelersBodySchema, travelersSchema } from './travelers.ts';
