export { attendancePages } from './pages.ts';
