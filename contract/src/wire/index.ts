export type { DeepReadonly } from './deepReadonly.ts';
export { journalEventSchema } from './events.ts';
export type { JournalEvent } from './events.ts';
export { fieldProblemSchema, fieldProblemsOf, formatPath, problemSchema } from './problem.ts';
export type { FieldProblem, Problem } from './problem.ts';
export {
  amountText,
  badgeId,
  cents,
  day,
  dayText,
  entryId,
  findIllFormed,
  hoursText,
  idText,
  instant,
  instantText,
  isIllFormed,
  onceId,
  rateText,
  resourceId,
  seconds,
  secondsUpTo,
  standardId,
  targetId,
  technicianId,
  wholeNumber,
  workOrderId,
} from './values.ts';
export { PROBLEMS } from './problems.ts';
export type { ProblemCode } from './problems.ts';
