/** What kind of work an hour was. Source: docs/ledger.md, section 1. */
export const WORK_TYPES = ['setup', 'run', 'cleanup', 'down', 'rework', 'travel'] as const;
export type WorkType = (typeof WORK_TYPES)[number];

/** What a station can ask the reason of, from a list of the shop's: waiting and standing still, work done once more, and
 *  pieces that are lost. */
export const REASON_KINDS = ['down', 'rework', 'scrap'] as const;
export type ReasonKind = (typeof REASON_KINDS)[number];

/** The work types that an estimate covers, with `run` and `rework`, which every estimate covers. */
export const withAlwaysIncluded = (named: readonly WorkType[]): ReadonlySet<WorkType> =>
  new Set<WorkType>([...named, 'run', 'rework']);

/** What the estimate of a new order includes, until its own choice is made; of travel the shop says. */
export const usuallyIncluded = (includesTravel: boolean): WorkType[] => [
  'setup',
  'run',
  'rework',
  'cleanup',
  ...(includesTravel ? (['travel'] as const) : []),
];
