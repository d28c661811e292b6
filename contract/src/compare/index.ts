export {
  comparisonSchema,
  orderSchema,
  pastWorkQuery,
  pastWorkSchema,
  unitHistorySchema,
  workSchema,
} from './orders.ts';
export type { ComparisonJson, LineRow, OrderJson, OrderRow, TaskRow, UnitHistoryJson } from './orders.ts';
export { resetCostSchema, setCostSchema } from './setCost.ts';
export { whySchema } from './why.ts';
export type { WhyJson } from './why.ts';
export {
  CAUSE_CUTS,
  JOBS_AT_FIRST,
  MOST_JOBS,
  JOB_CHOICES,
  causesQuery,
  comparedCausesSchema,
  comparedJobsSchema,
  jobsQuery,
} from './periods.ts';
export { comparedPeopleQuery, comparedPeopleSchema } from './people.ts';
export type { ComparedPeopleJson, ComparedPerson } from './people.ts';
export { cutQuery, cutSchema, cutSpec, dropCutSchema, keepCutSchema, keptCutsSchema } from './cut.ts';
export type { CutJson, CutRow, CutSpec, KeptCut } from './cut.ts';
export { comparedMachinesQuery, comparedMachinesSchema, saveCapacitySchema } from './machines.ts';
export type { ComparedCenter, ComparedMachine, ComparedMachinesJson } from './machines.ts';
export { nearSchema } from './near.ts';
export type { NearTask } from './near.ts';
export { reportSchema } from './report.ts';
export type { ReportJson } from './report.ts';
export type { CauseCut, CauseGroup, ComparedCausesJson, ComparedJob, ComparedJobsJson } from './periods.ts';
export { storyQuery, storySchema } from './story.ts';
export type { StoryJson } from './story.ts';
export { comparedWeekSchema } from './week.ts';
export type { ComparedWeekJson } from './week.ts';
