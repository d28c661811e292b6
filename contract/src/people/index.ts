export {
  createdSchema,
  leaveSchema,
  newGradeSchema,
  newRateSchema,
  newTechnicianSchema,
  peopleSchema,
} from './people.ts';
