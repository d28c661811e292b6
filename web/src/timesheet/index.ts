export { timesheetPages } from './pages.ts';
