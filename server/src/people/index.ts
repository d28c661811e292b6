export { BadgeEntity, CostRateEntity, GradeEntity } from './entities.ts';
export { addTechnician } from './technicians.ts';
