export { newActivitySchema, railSchema, shopSchema } from './shop.ts';
