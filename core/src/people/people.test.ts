import fc from 'fast-check';
import { formatRate } from '../money/money.ts';
import { fraction } from '../money/fraction.ts';
import { parseDay, toDay } from '../time/day.ts';
import type { LocalDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { createZone } from '../time/zone.ts';
import { checkPattern, plannedOn, plannedSeconds, plannedSpan } from './pattern.ts';
import { costRatesOf, explainRate, isKeepable } from './costRate.ts';
import type { BurdenItem, RateRecord } from './costRate.ts';
import type { PatternWeek, ShiftPlan } from './pattern.ts';

const day = (text: string): LocalDay => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};

describe('how a cost rate comes about', () => {
  const record = (more: Partial<RateRecord>): RateRecord => ({
    from: day('2026-01-01'),
    per: 'hour',
    base: fraction(3150n, 100n),
    burden: [],
    ...more,
  });
  test.each<[RateRecord, string, string[], string, string]>([
    [record({}), '31.5000', [], '31.5000', 'a bare hour'],
    [
      record({
        burden: [
          { kind: 'percent', value: fraction(124n, 10n) },
          { kind: 'perHour', value: fraction(320n, 100n) },
        ],
      }),
      '31.5000',
      ['3.9060', '3.2000'],
      '38.6060',
      'a percentage and an amount per hour',
    ],
    [
      record({
        per: 'year',
        base: fraction(68_000n),
        hoursPerYear: fraction(1950n),
        burden: [{ kind: 'perYear', value: fraction(6200n) }],
      }),
      '34.8718',
      ['3.1795'],
      '38.0513',
      'a salary over its hours',
    ],
  ])('%#: %s', (given, base, burden, total) => {
    const explained = explainRate(given);
    expect([
      formatRate(explained.base),
      explained.burden.map(formatRate),
      formatRate(explained.total),
    ]).toEqual([base, burden, total]);
  });

  test.each<[record: Partial<RateRecord>, kept: boolean]>([
    [{ base: fraction(1_000_000n) }, true],
    [{ base: fraction(1_000_000n), burden: [{ kind: 'perHour', value: fraction(1n, 100n) }] }, false],
    [{ base: fraction(600_000n), burden: [{ kind: 'percent', value: fraction(70n) }] }, false],
    [
      {
        base: fraction(10n),
        hoursPerYear: fraction(1n, 10_000n),
        burden: [{ kind: 'perYear', value: fraction(1_000n) }],
      },
      false,
    ],
  ])('%#: what comes to more than a million an hour is not kept', (given, isKept) =>
    expect(isKeepable(record(given))).toBe(isKept),
  );

  const amount = fc
    .tuple(fc.bigInt({ min: 0n, max: 10_000_000n }), fc.constantFrom(1n, 3n, 7n, 100n))
    .map(([numerator, denominator]) => fraction(numerator, denominator));
  const item = fc.record({ kind: fc.constantFrom('percent', 'perHour', 'perYear'), value: amount });
  test('its lines always add up to the cost rate that the ledger uses', () =>
    fc.assert(
      fc.property(
        amount,
        fc.array(item, { maxLength: 6 }),
        fc.constantFrom<'hour' | 'year'>('hour', 'year'),
        (base, burden, per) => {
          const given = record({ base, per, hoursPerYear: fraction(1757n), burden: burden as BurdenItem[] });
          fc.pre(isKeepable(given));
          const { base: first, burden: rest, total } = explainRate(given);
          expect(rest.reduce<number>((a, b) => a + b, first)).toBe(total);
          expect(total).toBe(costRatesOf([given])[0]?.rate);
        },
      ),
    ));
});

describe('a planned pattern', () => {
  const shift = (startMinute: number, endMinute: number, breakMinutes = 30): ShiftPlan => ({
    startMinute,
    endMinute,
    breakMinutes,
  });
  const early = shift(360, 840);
  const late = shift(840, 1320);
  const week = (plan: ShiftPlan | null, days = 5): PatternWeek =>
    Array.from({ length: 7 }, (_each, i) => (i < days ? plan : null));
  const rotation = { from: day('2026-11-04'), weeks: [week(early), week(late), week(null)] };

  test.each([
    [early, 450, 'by day'],
    [shift(1320, 360), 450, 'over midnight'],
    [shift(0, 0, 0), 1440, 'a whole day'],
  ])('%o is %i minutes: %s', (plan, minutes) => expect(plannedSeconds(plan)).toBe(minutes * 60));

  test.each([
    ['2026-11-24', shift(420, 930), 8.5, 'by day'],
    ['2026-11-24', shift(1320, 360), 8, 'over midnight, into the next day'],
    ['2026-11-24', shift(420, 420), 24, 'to the same clock time: a whole day'],
    ['2026-03-28', shift(1320, 360), 7, 'over the night in which an hour is skipped'],
    ['2026-10-24', shift(1320, 360), 9, 'over the night that has an hour twice'],
  ])('a shift of %s, %o, is planned for %d hours: %s', (text, plan, hours) => {
    const zone = createZone('Europe/Helsinki');
    if (!zone.ok) throw new Error(zone.code);
    const { from, to } = plannedSpan(zone.value, day(text), plan);
    expect(zone.value.dayAt(from)).toBe(day(text));
    expect([zone.value.clockAt(from) / 60, zone.value.clockAt(to) / 60]).toEqual([
      plan.startMinute,
      plan.endMinute,
    ]);
    expect((to - from) / 3600).toBe(hours);
  });

  test.each([
    ['2026-11-03', 'unplanned', 'before it holds'],
    ['2026-11-04', 'early', 'its first week is the week of its first day'],
    ['2026-11-07', 'free', 'a Saturday'],
    ['2026-11-09', 'late', 'the second week of the rotation'],
    ['2026-11-16', 'free', 'the free week'],
    ['2026-11-23', 'early', 'round again'],
  ])('%s is %s: %s', (text, expected) => {
    const planned = plannedOn([rotation], false, undefined, day(text));
    const name = planned.kind === 'work' ? (planned.plan === early ? 'early' : 'late') : planned.kind;
    expect(name).toBe(expected);
  });

  test.each<[isClosed: boolean, hours: number | null | undefined, kind: string, why: string]>([
    [true, null, 'closed', 'nobody is absent from a closed shop'],
    [false, null, 'absent', 'leave'],
    [true, undefined, 'closed', 'a holiday'],
    [false, 2, 'work 5.5', 'two hours off of seven and a half'],
    [false, 7.5, 'absent', 'all of it said in hours'],
    [false, 10, 'absent', 'more than was planned'],
  ])('closed %s, away %s: %s, %s', (isClosed, hours, kind) => {
    const away = hours == null ? hours : toSeconds(hours * 3600);
    const planned = plannedOn([rotation], isClosed, away, day('2026-11-04'));
    expect(planned.kind === 'work' ? `work ${planned.seconds / 3600}` : planned.kind).toBe(kind);
  });

  test('a later pattern takes over from its day', () =>
    expect(
      plannedOn(
        [rotation, { from: toDay(rotation.from + 1), weeks: [week(null)] }],
        false,
        undefined,
        day('2026-11-09'),
      ).kind,
    ).toBe('free'));

  test.each([
    [[], 'pattern.weeks'],
    [Array.from({ length: 5 }, () => week(early)), 'pattern.weeks'],
    [[week(early).slice(1)], 'pattern.days'],
    [[week(shift(-1, 10))], 'pattern.minute'],
    [[week(shift(0, 1440))], 'pattern.minute'],
    [[week(shift(360, 390))], 'pattern.break'],
  ])('%j is refused as %s', (weeks, code) => expect(checkPattern(weeks)).toMatchObject({ ok: false, code }));
});
