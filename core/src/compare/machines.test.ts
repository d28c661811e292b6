import fc from 'fast-check';
import type { Running } from '../ledger/index.ts';
import { target, zone } from '../ledger/shop.fixture.ts';
import { toDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { toInstant } from '../time/instant.ts';
import { WORK_TYPES } from '../work/workType.ts';
import { availableSeconds, idleSeconds, machineDays, machineSpans, sumMachines } from './machines.ts';

const on = (machine: string | undefined, workType: Running['workType'] = 'run'): Running => ({
  target: target('a'),
  workType,
  ...(machine === undefined ? {} : { machine }),
});
const stint = (from: number, to: number, ...running: Running[]) => ({
  from: toInstant(from),
  to: toInstant(to),
  running,
});
const PERIOD = { from: toInstant(100), to: toInstant(200) };
const useOf = (...stints: ReturnType<typeof stint>[]) => sumMachines(machineSpans(stints, PERIOD));

describe('use of a machine', () => {
  test.each<[what: string, stints: ReturnType<typeof stint>[], told: string]>([
    ['nothing at all', [], ''],
    ['work without a machine uses none', [stint(110, 120, on(undefined))], ''],
    [
      'two people at one machine use it once',
      [stint(110, 130, on('lathe')), stint(120, 150, on('lathe'))],
      'lathe 40 run 40',
    ],
    [
      'two tasks at once use it once',
      [stint(110, 130, on('lathe'), on('lathe', 'setup'))],
      'lathe 20 run 20',
    ],
    [
      'run goes before setup, setup before travel',
      [stint(100, 130, on('lathe', 'travel')), stint(110, 120, on('lathe', 'setup'))],
      'lathe 30 setup 10 travel 20',
    ],
    [
      'down is what nobody used',
      [stint(100, 140, on('lathe', 'down')), stint(120, 130, on('lathe'))],
      'lathe 10 down 30 run 10',
    ],
    [
      'what lies outside the period does not count',
      [stint(50, 110, on('lathe')), stint(190, 290, on('lathe'))],
      'lathe 20 run 20',
    ],
    ['machines by name', [stint(100, 110, on('press'), on('lathe'))], 'lathe 10 run 10; press 10 run 10'],
  ])('%s', (_what, stints, told) => {
    const said = useOf(...stints).map(({ machine, usedSeconds, downSeconds, byWorkType }) =>
      [
        machine,
        usedSeconds,
        ...(downSeconds > 0 ? ['down', downSeconds] : []),
        ...WORK_TYPES.flatMap((type) =>
          byWorkType[type] === undefined ? [] : [type, byWorkType[type]],
        ).sort(),
      ].join(' '),
    );
    const words = (text: string) => text.split('; ').map((each) => each.split(' ').sort().join(' '));
    expect(words(said.join('; '))).toEqual(words(told));
  });

  test('used and down are never longer than the period, and kinds of work add up to what was used', () => {
    const item = fc.record({
      machine: fc.constantFrom('lathe', 'press', undefined),
      workType: fc.constantFrom(...WORK_TYPES),
    });
    const some = fc
      .tuple(fc.nat(300), fc.nat(120), fc.array(item, { maxLength: 3 }))
      .map(([from, length, items]) =>
        stint(from, from + length, ...items.map(({ machine, workType }) => on(machine, workType))),
      );
    fc.assert(
      fc.property(fc.array(some, { maxLength: 25 }), (stints) => {
        const counted = new Map<string, { used: number; down: number }>();
        for (const machine of ['lathe', 'press']) {
          const sums = { used: 0, down: 0 };
          for (let at = 100; at < 200; at += 1) {
            const here = stints
              .filter(({ from, to }) => from <= at && at < to)
              .flatMap(({ running }) => running.filter((each) => each.machine === machine));
            if (here.some(({ workType }) => workType !== 'down')) sums.used += 1;
            else if (here.length > 0) sums.down += 1;
          }
          if (sums.used + sums.down > 0) counted.set(machine, sums);
        }
        const told = useOf(...stints);
        expect(
          new Map(
            told.map(({ machine, usedSeconds, downSeconds }) => [
              machine,
              { used: usedSeconds, down: downSeconds },
            ]),
          ),
        ).toEqual(counted);
        for (const { usedSeconds, byWorkType } of told)
          expect(Object.values(byWorkType).reduce((sum, each) => sum + each, 0)).toBe(usedSeconds);
      }),
    );
  });
});

test('spans are cut at midnight, and their days add up to them', () => {
  const [from, to] = [zone.startOf(toDay(20_535)) + 23 * 3600, zone.startOf(toDay(20_536)) + 2 * 3600];
  const day = machineDays(
    [
      { from: toInstant(from), to: toInstant(to), workType: 'run' },
      { from: toInstant(to), to: toInstant(to + 60), workType: 'down' },
    ],
    zone,
  );
  expect(day).toEqual([
    { day: 20_535, usedSeconds: 3600, downSeconds: 0 },
    { day: 20_536, usedSeconds: 7200, downSeconds: 60 },
  ]);
});

test.each([
  [8, 5, 1, 2],
  [8, 9, 0, 0],
  [null, 5, 1, 0],
])('of %p hours available, %i used and %i down, %i are idle', (available, used, down, idle) => {
  const hours = (count: number) => toSeconds(count * 3600);
  const day = {
    usedSeconds: hours(used),
    downSeconds: hours(down),
    availableSeconds: available === null ? null : hours(available),
  };
  expect(idleSeconds(day)).toBe(idle * 3600);
});

describe('what is available', () => {
  // Monday 2026-03-23 and the days after it.
  const days = [0, 1, 2, 3, 4, 5, 6].map((after) => toDay(20_535 + after));
  const week = (...hours: number[]) => hours.map((count) => toSeconds(count * 3600));
  const from = (day: number, ...hours: number[]) => ({ from: toDay(day), seconds: week(...hours) });
  test.each<[what: string, hours: ReturnType<typeof from>[], closed: number[], told: number | null]>([
    ['nothing was set', [], [], null],
    ['eight hours on workdays', [from(20_000, 8, 8, 8, 8, 8, 0, 0)], [], 40],
    ['closed days give none', [from(20_000, 8, 8, 8, 8, 8, 0, 0)], [20_535, 20_541], 32],
    [
      'other hours from a day on',
      [from(20_000, 8, 8, 8, 8, 8, 0, 0), from(20_538, 4, 4, 4, 4, 4, 4, 0)],
      [],
      36,
    ],
    ['set only for later', [from(20_600, 8, 8, 8, 8, 8, 0, 0)], [], null],
  ])('%s', (_what, hours, closed, told) => {
    const seconds = availableSeconds(hours, days, (day) => closed.includes(day));
    expect(seconds === null ? null : seconds / 3600).toBe(told);
  });
});
