import type { Action } from '../scan/index.ts';
import { WORK_TYPES } from '../work/index.ts';

/** Acts of a person by a label or a touch that are no start. */
export const PERSON_ACTS = [
  'shift-in',
  'shift-out',
  'break',
  'off-task',
  'done',
  'take-back',
  ...WORK_TYPES,
] as const satisfies readonly Action[];
export type PersonAct = (typeof PERSON_ACTS)[number];
/** The act of a person that an action label asks for, if it is one. */
export const asPersonAct = (action: Action): PersonAct | undefined =>
  PERSON_ACTS.find((each) => each === action);
