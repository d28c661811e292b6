export { entrySchema } from './entry.ts';
export type { EntryJson } from './entry.ts';
export { lineDetailSchema, lineQuerySchema } from './line.ts';
export type { LineDetail } from './line.ts';
export { entryProblem } from './problem.ts';
export {
  policyInput,
  policyJson,
  rulesChangeSchema,
  rulesEffectSchema,
  rulesSchema,
  saveRulesSchema,
} from './rules.ts';
export type { RulesChange, RulesEffect, RulesJson } from './rules.ts';
export { KNOWN_BY, scanSchema } from './scan.ts';
export type { KnownBy, ScanJson } from './scan.ts';
export { trailQuery, trailSchema, verifiedSchema, verifySchema } from './trail.ts';
export type { TrailJson } from './trail.ts';
export { usedSchema } from './used.ts';
