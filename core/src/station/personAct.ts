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
/** What a label of one's own, which stands for its owner's badge, can ask for by itself. */
export const OWN_LABEL_ACTS = [
  'off-task',
  'break',
  'shift-in',
  'shift-out',
] as const satisfies readonly PersonAct[];
export type PersonAct = (typeof PERSON_ACTS)[number];
/** The act of a person that an action label asks for, if it is one. */
export const asPersonAct = (action: Action): PersonAct | undefined =>
  PERSON_ACTS.find((each) => each === action);
