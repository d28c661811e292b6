export { approvalPages } from './pages.ts';
