export { labelsPages } from './pages.ts';
