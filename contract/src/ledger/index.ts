export { entrySchema } from './entry.ts';
export type { EntryJson } from './entry.ts';
export { entryProblem, fieldProblemsOf } from './problem.ts';
export type { FieldProblem } from './problem.ts';
export { factsOf, replayScenario } from './replay.ts';
export { scanSchema } from './scan.ts';
export type { ScanJson } from './scan.ts';
export { parseScenario, policySchema, rateRecordSchema } from './scenario.ts';
export type { Scenario } from './scenario.ts';
