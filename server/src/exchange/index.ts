export { mountExchange } from './routes.ts';
