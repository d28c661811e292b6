export { mountAttendance } from './accounted.ts';
