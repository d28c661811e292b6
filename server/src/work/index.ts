export { addOrder } from './orders.ts';
