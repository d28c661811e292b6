export { fieldProblemsOf, formatPath, problemSchema } from './problem.ts';
export type { FieldProblem, Problem } from './problem.ts';
export { readDay, readInstant } from './read.ts';
export {
  amountText,
  dayText,
  findIllFormed,
  hoursText,
  idText,
  instantText,
  isIllFormed,
  onceId,
  rateText,
  wholeNumber,
} from './values.ts';
