import { toInstant } from '../time/index.ts';
import { isMissing } from './missing.ts';
import type { Presently } from './tape.ts';

const early = toInstant(6 * 3600);
const late = toInstant(14 * 3600);
const shift = { from: early, to: late };

test.each<
  [
    presently: Presently,
    planned: typeof shift | null,
    isAway: boolean,
    at: number,
    missing: boolean,
    why: string,
  ]
>([
  ['out', shift, false, early - 1, false, 'a second before the planned beginning'],
  ['out', shift, false, early, true, 'at the planned beginning'],
  ['out', shift, false, late - 1, true, 'in the last second of it'],
  ['out', shift, false, late, false, 'at the planned end: too late to wait for'],
  ['out', null, false, early, false, 'nothing was planned'],
  ['out', shift, true, early, false, 'on leave'],
  ['nothing', shift, false, early, false, 'here without a task'],
  ['break', shift, false, early, false, 'on break'],
  ['work', shift, false, early, false, 'on a task, signed in or not'],
])('%s, planned %j, away %s, at %i: missing %s (%s)', (presently, planned, isAway, at, missing) => {
  expect(isMissing(presently, { planned, isAway }, toInstant(at))).toBe(missing);
});
