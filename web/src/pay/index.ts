export { payPages } from './pages.ts';
