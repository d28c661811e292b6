import fc from 'fast-check';
import { target } from '../ledger/shop.fixture.ts';
import { toSeconds } from '../time/seconds.ts';
import { classifyWeek } from './classify.ts';
import { FIRST_DAY, anyRule, hours, ruleWith } from './overtime.fixture.ts';
import type { OvertimeRule } from './overtimeRule.ts';
import { PAY_CLASSES } from './payClass.ts';
import type { PayClass } from './payClass.ts';
import { stagesAhead } from './stages.ts';

const eight = [
  { over: hours(8), class: 'overtime' },
  { over: hours(12), class: 'double' },
] as const;
const forty = [{ over: hours(40), class: 'overtime' }] as const;
const ahead = (rule: Partial<OvertimeRule>, paid: number, counted: number, isClosed = false) =>
  stagesAhead(
    ruleWith(rule),
    FIRST_DAY,
    { paidSeconds: hours(paid), countedSeconds: hours(counted) },
    'straight',
    isClosed,
  ).map((stage) => `${stage.class} after ${stage.after / 3600}`);

test.each<[why: string, rule: Partial<OvertimeRule>, paid: number, counted: number, told: readonly string[]]>(
  [
    ['nothing is ahead without tiers', {}, 5, 5, []],
    ['two tiers of the day', { day: eight }, 7, 7, ['overtime after 1', 'double after 5']],
    ['one of them has been reached', { day: eight }, 9, 8, ['overtime after 0', 'double after 3']],
    [
      'the week is nearer than the day',
      { day: eight, week: forty },
      2,
      38,
      ['overtime after 2', 'double after 10'],
    ],
    [
      'the day is nearer than the week',
      { day: eight, week: forty },
      7,
      35,
      ['overtime after 1', 'double after 5'],
    ],
    ['the week has been reached', { week: forty }, 1, 41, ['overtime after 0']],
    ['the whole day is paid so', { special: [{ on: 1, class: 'double' }] }, 0, 0, ['double after 0']],
    ['another day is', { special: [{ on: 2, class: 'double' }] }, 0, 0, []],
  ],
)('%s', (_why, rule, paid, counted, told) => expect(ahead(rule, paid, counted)).toEqual(told));

test('a closed day is paid as the rule says of closed days', () =>
  expect(ahead({ special: [{ on: 'closed', class: 'overtime' }] }, 0, 0, true)).toEqual([
    'overtime after 0',
  ]));

test('whoever goes on is paid as was said', () => {
  const anyClass = fc.constantFrom<PayClass>(...PAY_CLASSES);
  fc.assert(
    fc.property(
      anyRule(16, 50),
      fc.nat(20),
      fc.nat(30),
      fc.nat(20),
      anyClass,
      fc.boolean(),
      (rule, first, before, more, own, isClosed) => {
        const portion = (seconds: number, of: PayClass) => ({
          ...{ shiftDay: FIRST_DAY, day: FIRST_DAY, seconds: toSeconds(seconds), own: of },
          shares: [{ target: target('a'), workType: 'run' as const, seconds: toSeconds(seconds) }],
        });
        const classed = (length: number) =>
          classifyWeek(
            new Map([
              [
                FIRST_DAY,
                [portion(first, 'straight'), portion(length, own)].filter(({ seconds }) => seconds > 0),
              ],
            ]),
            { rule, splits: [], isClosed: () => isClosed },
            toSeconds(before),
          )[0];
        const paid = classed(0);
        const stages = stagesAhead(
          rule,
          FIRST_DAY,
          {
            paidSeconds: toSeconds(first),
            countedSeconds: toSeconds(before + (paid?.countedSeconds ?? 0)),
          },
          own,
          isClosed,
        );
        // The class of the next second after so many more.
        const [a, b] = [classed(more), classed(more + 1)];
        const next = PAY_CLASSES.find((each) => (b?.[each] ?? 0) > (a?.[each] ?? 0));
        expect(stages.findLast(({ after }) => after <= more)?.class ?? 'straight').toBe(next);
      },
    ),
    { numRuns: 500 },
  );
});
