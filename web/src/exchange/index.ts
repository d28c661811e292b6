export { exchangePages } from './pages.ts';
