import fc from 'fast-check';
import { allocateStint } from '../ledger/allocate.ts';
import { deriveLedger, entriesAsOf } from '../ledger/derive.ts';
import type { HoursEntry } from '../ledger/entries.ts';
import { THE_END, anyJournal, factsWith, target, technician } from '../ledger/shop.fixture.ts';
import { parseDecimal } from '../money/fraction.ts';
import { toDay } from '../time/day.ts';
import { sumSeconds, toSeconds } from '../time/seconds.ts';
import { DEFAULT_BILLING, ROUND_UP_MINUTES, chargeRowsOf, fixedChargeOf } from './charges.ts';
import type { BillableDecision, ChargeFacts, ChargeRate } from './charges.ts';

const amount = (text: string) => {
  const parsed = parseDecimal(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};
const bench: ChargeRate = { id: 'bench', per: 'hour', amount: amount('74.00') };
const callout: ChargeRate = { id: 'callout', per: 'flat', amount: amount('45.00') };
const facts: ChargeFacts = {
  isHourly: (id) => id === 'a',
  ratesOf: (id) => (id === 'a' ? [bench, callout] : []),
  rules: DEFAULT_BILLING,
  decisions: [],
};
const key = {
  technician: technician('ada'),
  target: target('a'),
  workType: 'run' as const,
  day: toDay(20_535),
};
const hours = (seconds: number, more: Partial<HoursEntry> = {}): HoursEntry => ({
  id: 'h' as HoursEntry['id'],
  type: 'hours',
  technician: key.technician,
  targets: [key.target],
  day: key.day,
  seconds: toSeconds(seconds),
  ...more,
});
/** Rows as `rate spent billable charge`. */
const told = (entries: readonly HoursEntry[], more: Partial<ChargeFacts> = {}) =>
  chargeRowsOf([], entries, { ...facts, ...more }).map(
    ({ chargeRate = '-', spentSeconds, billableSeconds, charge }) =>
      `${chargeRate} ${spentSeconds} ${billableSeconds} ${charge ?? 'waits'}`,
  );
const decided = (seconds: number, chargeRate = 'bench'): BillableDecision => ({
  ...key,
  chargeRate,
  seconds: toSeconds(seconds),
});
const rounded = (roundUpMinutes: (typeof ROUND_UP_MINUTES)[number]) => ({
  rules: { ...DEFAULT_BILLING, roundUpMinutes },
});
const onBench = { chargeRate: 'bench' };

test.each<[entries: readonly HoursEntry[], more: Partial<ChargeFacts>, told: readonly string[], why: string]>(
  [
    [[hours(3600, onBench)], {}, ['bench 3600 3600 7400'], 'an hour at 74.00'],
    [[hours(1, onBench)], {}, ['bench 1 1 2'], 'rounded once to cents'],
    [[hours(900, onBench), hours(900, onBench)], {}, ['bench 1800 1800 3700'], 'one row a rate'],
    [
      [hours(900, onBench), hours(900)],
      {},
      ['bench 900 900 1850', '- 900 900 waits'],
      'without a rate it waits for one',
    ],
    [
      [hours(900, { chargeRate: 'elsewhere' })],
      {},
      ['- 900 900 waits'],
      'a rate that the order lacks is none',
    ],
    [
      [hours(900, { chargeRate: 'callout' })],
      {},
      ['callout 900 900 0'],
      'a flat one is charged once an order',
    ],
    [[hours(60, { ...onBench, workType: 'down' })], {}, [], 'downtime is not billed'],
    [[hours(60, { ...onBench, targets: [target('b')] })], {}, [], 'nor what is not hourly'],
    [[hours(61, onBench)], rounded(1), ['bench 61 120 247'], 'up to a minute'],
    [[hours(360, onBench)], rounded(6), ['bench 360 360 740'], 'what is whole stays'],
    [[hours(901, onBench)], rounded(15), ['bench 901 1800 3700'], 'up to a quarter'],
    [
      [hours(900, onBench)],
      { decisions: [decided(600)] },
      ['bench 900 600 1233'],
      'fewer than spent, as decided',
    ],
    [[hours(900, onBench)], { decisions: [decided(0)] }, ['bench 900 0 0'], 'or none'],
    [
      [hours(900, onBench)],
      { decisions: [decided(901)] },
      ['bench 900 900 1850'],
      'never more than was spent',
    ],
    [
      [hours(900, onBench)],
      { decisions: [decided(1, 'callout')] },
      ['bench 900 900 1850'],
      'that of another row',
    ],
    [
      [hours(899, onBench)],
      { ...rounded(15), decisions: [decided(600)] },
      ['bench 899 600 1233'],
      'and it is not rounded',
    ],
  ],
)('%#: %j', (entries, more, expected) => expect(told(entries, more)).toEqual(expected));

test.each<[prices: readonly string[], rows: readonly string[], charge: number | undefined]>([
  [[], [], undefined],
  [[], ['bench'], undefined],
  [[], ['callout', 'callout', 'bench'], 4500],
  [['320.00', '0.50'], [], 32_050],
  [['320.00'], ['callout'], 36_500],
  [['0'], [], 0],
])('prices %j and rows of %j: %s', (prices, rows, charge) =>
  expect(
    fixedChargeOf(
      prices.map(amount),
      [bench, callout],
      rows.map((chargeRate) => ({ chargeRate })),
    ),
  ).toBe(charge),
);

test('rows add up to the labor lines they part, and nothing is billed beyond what was spent but by rounding', () => {
  const ledgerFacts = factsWith();
  fc.assert(
    fc.property(anyJournal, fc.constantFrom(...ROUND_UP_MINUTES), (journal, roundUpMinutes) => {
      const { lines, stints } = deriveLedger(journal, ledgerFacts, THE_END);
      const written = entriesAsOf(journal, ledgerFacts, THE_END).filter(
        (entry): entry is HoursEntry => entry.type === 'hours',
      );
      const rows = chargeRowsOf(
        stints.flatMap((stint) => allocateStint(stint, ledgerFacts)),
        written,
        { ...facts, ...rounded(roundUpMinutes) },
      );
      for (const line of lines) {
        const own = rows.filter(
          (row) =>
            row.technician === line.technician &&
            row.target === line.target &&
            row.workType === line.workType &&
            row.day === line.day,
        );
        const isCharged = line.target === 'a' && !DEFAULT_BILLING.neverBilled.has(line.workType);
        expect(sumSeconds(own.map(({ spentSeconds: seconds }) => ({ seconds })))).toBe(
          isCharged ? line.seconds : 0,
        );
      }
      for (const { spentSeconds, billableSeconds } of rows) {
        expect(billableSeconds).toBeGreaterThanOrEqual(spentSeconds);
        expect(billableSeconds - spentSeconds).toBeLessThan(Math.max(1, roundUpMinutes * 60));
      }
    }),
  );
});
