export { catalogPages } from './pages.ts';
