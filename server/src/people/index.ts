export {
  costRatesByTechnician,
  premiumRatesByTechnician,
  gradeRatesOf,
  gradesByTechnician,
} from './costRates.ts';
export {
  AbsenceEntity,
  BadgeEntity,
  CostRateEntity,
  GradeEntity,
  LeaveAllowanceEntity,
  PatternEntity,
  PayGroupEntity,
  PersonLabelEntity,
  TechnicianEntity,
} from './entities.ts';
export type { Technician } from './entities.ts';
export { leaveOfAbsence, loadLeaveFacts, loadLeaveYear } from './leaveYear.ts';
export type { LeaveYear } from './leaveYear.ts';
export { createPinCheck, hashPin } from './pins.ts';
export { loadPlans } from './planned.ts';
export type { Plans } from './planned.ts';
export { explainStored, loadRecords, planRecords, readStored } from './rateRecords.ts';
export { mountPeople } from './routes.ts';
export { addTechnician, columnsOf, writeTechnician } from './technicians.ts';
