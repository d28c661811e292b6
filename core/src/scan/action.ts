import { Defect, keysOf } from '../result/index.ts';
import { makeCode } from './code.ts';
import type { Code } from './code.ts';

/** The printed bodies of the action labels; they never change, because they hang on walls. */
const BODIES = {
  'shift-in': '11',
  'shift-out': '22',
  break: 'B1',
  'off-task': '66',
  done: '99',
  join: 'J1',
  crew: 'G1',
  earlier: 'E1',
  setup: 'S1',
  run: 'R1',
  cleanup: 'C1',
  down: 'D1',
  rework: 'RK',
  travel: 'T1',
  'on-the-way': 'T2',
  'on-site': 'T4',
  part: 'PT',
  help: 'H1',
  note: 'NT',
  'take-back': '56',
  blank: '44',
  enter: 'EN',
  skip: 'SK',
  'digit-0': 'X0',
  'digit-1': 'X1',
  'digit-2': 'X2',
  'digit-3': 'X3',
  'digit-4': 'X4',
  'digit-5': 'X5',
  'digit-6': 'X6',
  'digit-7': 'X7',
  'digit-8': 'X8',
  'digit-9': 'X9',
} as const;

/** What an action label asks for. */
export type Action = keyof typeof BODIES;
export const ACTIONS = keysOf(BODIES);

/** The code on an action's label. */
export function codeOfAction(action: Action): Code {
  const code = makeCode('action', BODIES[action]);
  if (!code) throw new Defect(`the body for ${action} has no check character in the alphabet`);
  return code;
}

const BY_CODE: ReadonlyMap<Code, Action> = new Map(ACTIONS.map((action) => [codeOfAction(action), action]));

/** The action that a code asks for; absent for a code that is on no action label. */
export const findAction = (code: Code): Action | undefined => BY_CODE.get(code);

/** The digit that a label stands for; absent for other actions. */
export const digitOf = (action: Action): string | undefined => /^digit-(\d)$/.exec(action)?.[1];

/** What stands on an action's label in plain letters: `OFF TASK`, `7`. */
export const titleOfAction = (action: Action): string =>
  digitOf(action) ?? action.replaceAll('-', ' ').toUpperCase();
