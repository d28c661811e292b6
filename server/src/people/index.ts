export {
  AbsenceEntity,
  BadgeEntity,
  CostRateEntity,
  GradeEntity,
  PatternEntity,
  TechnicianEntity,
} from './entities.ts';
export { addTechnician } from './technicians.ts';
