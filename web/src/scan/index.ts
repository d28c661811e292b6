export { scanPages } from './pages.ts';
