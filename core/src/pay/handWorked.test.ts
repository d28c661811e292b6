import { deriveLedger } from '../ledger/derive.ts';
import { THE_END, entryId, factsWith, target, technician, zone } from '../ledger/shop.fixture.ts';
import type { LaborEntry, TargetId } from '../ledger/entries.ts';
import { toRate } from '../money/money.ts';
import { addDays } from '../time/day.ts';
import { atWallClock } from '../time/wallClock.ts';
import type { Instant } from '../time/instant.ts';
import { derivePay } from './derivePay.ts';
import { FIRST_DAY, hours, ruleWith } from './overtime.fixture.ts';
import type { OvertimeRule } from './overtimeRule.ts';

// Worked by hand. Ada costs 36.00 an hour, so an hour of overtime adds 18.00 and one of double 36.00. The week begins on
// Monday, 23 March 2026 in Helsinki; on the Sunday after it the clocks go from three to four.
const ada = technician('ada');
const facts = factsWith({ split: 'equal', maxStintHours: 16 });
const eightAndTwelve: OvertimeRule['day'] = [
  { over: hours(8), class: 'overtime' },
  { over: hours(12), class: 'double' },
];
const forty: OvertimeRule['week'] = [{ over: hours(40), class: 'overtime' }];

/** A stretch by the clock on the wall: day (0 is Monday), from, to (above 24 on the day after), on what. */
type Stretch = readonly [day: number, from: number, to: number, on?: string];
const wall = (day: number, hour: number): Instant =>
  atWallClock(zone, addDays(FIRST_DAY, day + Math.floor(hour / 24)), Math.round((hour % 24) * 3600));

function paid(stretches: readonly Stretch[], rule: Partial<OvertimeRule>, closed: readonly number[] = []) {
  const entries = stretches.flatMap(([day, from, to, on = 'a'], i): LaborEntry[] => {
    const of = { technician: ada };
    const targets = on.split(' ').map((name): TargetId => target(name));
    return [
      { id: entryId(`in${i}`), type: 'shift-in', at: wall(day, from), ...of },
      { id: entryId(`on${i}`), type: 'work-start', at: wall(day, from), ...of, targets },
      { id: entryId(`out${i}`), type: 'shift-out', at: wall(day, to), ...of },
    ];
  });
  const ledger = deriveLedger(entries, facts, THE_END);
  const { stints, shifts, breaks } = ledger;
  const pay = derivePay({ stints, shifts, breaks, hours: [] }, facts, {
    ...{ basis: 'labor', rules: [ruleWith(rule)], groupOn: () => undefined, splits: [] },
    isClosed: (day) => closed.includes(day - FIRST_DAY),
    premiumRates: [{ from: addDays(FIRST_DAY, -100), rate: toRate(360_000) }],
  });
  return {
    days: pay.days.map(
      ({ day, straight, overtime, double }) =>
        `${day - FIRST_DAY}: ${[straight, overtime, double].map((seconds) => seconds / 3600).join(' ')}`,
    ),
    premiums: pay.lines
      .filter(({ premium }) => premium !== 0)
      .map(({ day, target: on, premium }) => `${day - FIRST_DAY} ${on} ${premium / 100}`),
  };
}

const week = [0, 1, 2, 3, 4].map((day): Stretch => [day, 7, 15]);

test.each<
  [
    why: string,
    stretches: readonly Stretch[],
    rule: Partial<OvertimeRule>,
    closed: readonly number[],
    days: readonly string[],
    premiums: readonly string[],
  ]
>([
  [
    'a night shift over the week’s start is of the week in which it began, and costs on both of its days',
    [...week, [6, 22, 30]],
    { week: forty },
    [],
    ['0: 8 0 0', '1: 8 0 0', '2: 8 0 0', '3: 8 0 0', '4: 8 0 0', '6: 0 8 0'],
    ['6 a 36', '7 a 108'],
  ],
  [
    'twelve hours and a minute: four of overtime, and the minute double',
    [[0, 6, 18 + 1 / 60]],
    { day: eightAndTwelve },
    [],
    [`0: 8 4 ${1 / 60}`],
    ['0 a 72.6'],
  ],
  [
    'a Sunday that is a holiday is paid by the higher of the two, once',
    [[6, 8, 12]],
    {
      special: [
        { on: 7, class: 'overtime' },
        { on: 'closed', class: 'double' },
      ],
    },
    [6],
    ['6: 0 0 4'],
    ['6 a 144'],
  ],
  [
    'a shift over the clock change is as long as it was, not as the clock says: ten to six was seven hours',
    [[5, 22, 30]],
    { day: [{ over: hours(7), class: 'overtime' }] },
    [],
    ['5: 7 0 0'],
    [],
  ],
  [
    'and one hour more of it is overtime, on the day that it was worked',
    [[5, 22, 31]],
    { day: [{ over: hours(7), class: 'overtime' }] },
    [],
    ['5: 7 1 0'],
    // Two hours on Saturday and six on Sunday: what is beyond seven is the last.
    ['6 a 18'],
  ],
  [
    'ten hours on three tasks at once: each has a third of the straight and of the overtime',
    [[0, 7, 17, 'a b none']],
    { day: eightAndTwelve },
    [],
    ['0: 8 2 0'],
    ['0 a 12', '0 b 12', '0 none 12'],
  ],
])('%s', (_why, stretches, rule, closed, days, premiums) => {
  expect(paid(stretches, rule, closed)).toEqual({ days, premiums });
});
