import { Defect } from '../result/index.ts';
import { makeCode } from './code.ts';
import type { Code } from './code.ts';

/** What an action label asks for. */
export const ACTIONS = [
  'shift-in',
  'shift-out',
  'break',
  'off-task',
  'done',
  'setup',
  'run',
  'cleanup',
  'down',
  'rework',
  'travel',
  'take-back',
  'blank',
] as const;
export type Action = (typeof ACTIONS)[number];

/** The printed bodies of the action labels; they never change, because they hang on walls. */
const BODIES: Readonly<Record<Action, string>> = {
  'shift-in': '11',
  'shift-out': '22',
  'off-task': '66',
  break: 'B1',
  done: '99',
  setup: 'S1',
  run: 'R1',
  cleanup: 'C1',
  down: 'D1',
  rework: 'RK',
  travel: 'T1',
  blank: '44',
  'take-back': '56',
};

/** The code on an action's label. */
export function codeOfAction(action: Action): Code {
  const code = makeCode('action', BODIES[action]);
  if (!code) throw new Defect(`the body for ${action} has no check character in the alphabet`);
  return code;
}

/** The action that a code asks for; absent for a code that is on no action label. */
export const findAction = (code: Code): Action | undefined =>
  ACTIONS.find((action) => codeOfAction(action) === code);
