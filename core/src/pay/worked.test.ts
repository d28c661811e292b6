import fc from 'fast-check';
import { TARGETS, TECHNICIANS } from '../ledger/shop.fixture.ts';
import { addDays, toDay } from '../time/index.ts';
import type { ClosedClasses, ClosedLine } from './adjustments.ts';
import { PAY_CLASSES } from './payClass.ts';
import { classesOf, workedAdjustmentsOf, workedOfClasses } from './worked.ts';
import type { WorkedLine } from './worked.ts';

const DAY = toDay(20_514);
const [ada] = TECHNICIANS as [ClosedLine['technician']];
const [strip, winding] = TARGETS as [ClosedLine['target'], ClosedLine['target']];
const closed = (target: ClosedLine['target'], seconds: number): ClosedLine => ({
  ...{ technician: ada, shiftDay: DAY, day: DAY, target, workType: 'run', seconds, cost: null },
});
const classes = (straight: number, overtime = 0, double = 0, unallocated = 0): ClosedClasses => ({
  ...{ technician: ada, day: DAY, straight, overtime, double, unallocated },
});
const told = (lines: readonly WorkedLine[]) =>
  lines.map((line) => [line.target ?? 'nothing', line.class, line.seconds].join(' '));

test.each<[what: string, lines: ClosedLine[], day: ClosedClasses, worked: string[]]>([
  [
    'all straight',
    [closed(strip, 100), closed(winding, 50)],
    classes(150),
    [`${strip} straight 100`, `${winding} straight 50`],
  ],
  [
    'straight first by weight, overtime by what is left',
    [closed(strip, 100), closed(winding, 50)],
    classes(90, 60),
    [`${strip} straight 60`, `${winding} straight 30`, `${strip} overtime 40`, `${winding} overtime 20`],
  ],
  [
    'what was on nothing',
    [closed(strip, 100)],
    classes(150, 0, 0, 50),
    [`${strip} straight 100`, 'nothing straight 50'],
  ],
  ['what was taken back, with its line', [closed(strip, -100)], classes(-100), [`${strip} straight -100`]],
  [
    'a class taken back for another',
    [closed(strip, 0)],
    classes(-60, 60),
    [`${strip} straight -60`, `${strip} overtime 60`],
  ],
  ['classes of a day without lines', [], classes(0, 60), ['nothing overtime 60']],
])('of a closing that kept classes only: %s', (_what, lines, day, worked) => {
  expect(told(workedOfClasses(lines, [day]))).toEqual(worked);
});

const anyWorked = fc.array(
  fc.record({
    technician: fc.constantFrom(...TECHNICIANS),
    shiftDay: fc.nat(3).map((n) => addDays(DAY, n)),
    target: fc.constantFrom(undefined, strip, winding),
    workType: fc.constant('run' as const),
    class: fc.constantFrom(...PAY_CLASSES),
    seconds: fc.integer({ min: -9_000, max: 30_000 }),
  }),
  { maxLength: 20 },
);

test('what was closed and what is adjusted are together what was derived, line by line', () => {
  fc.assert(
    fc.property(anyWorked, anyWorked, (derived, before) => {
      const rest = workedAdjustmentsOf(derived, before);
      expect(workedAdjustmentsOf(derived, [...before, ...rest])).toEqual([]);
      expect(rest.every(({ seconds }) => seconds !== 0)).toBe(true);
      const sum = (of: readonly WorkedLine[]) => of.reduce((total, { seconds }) => total + seconds, 0);
      expect(sum(before) + sum(rest)).toBe(sum(derived));
    }),
  );
});

test('classes of days add up to their lines, and those of lines made of classes are the classes', () => {
  fc.assert(
    fc.property(anyWorked, (lines) => {
      const days = classesOf(lines);
      const all = days.reduce((sum, day) => sum + day.straight + day.overtime + day.double, 0);
      expect(all).toBe(lines.reduce((sum, { seconds }) => sum + seconds, 0));
      const again = classesOf(workedOfClasses([], days));
      for (const day of days) {
        const found = again.find((each) => each.technician === day.technician && each.day === day.day);
        for (const each of PAY_CLASSES) expect(found?.[each] ?? 0).toBe(day[each]);
      }
    }),
  );
});
