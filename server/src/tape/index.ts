export { mountTape } from './routes.ts';
