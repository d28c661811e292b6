import fc from 'fast-check';
import { deriveLedger, entriesAsOf } from '../ledger/derive.ts';
import { withPremium } from '../ledger/lines.ts';
import { THE_END, TECHNICIANS, anyJournal, factsWith, target, zone } from '../ledger/shop.fixture.ts';
import type { Entry, HoursEntry } from '../ledger/entries.ts';
import type { LedgerFacts } from '../ledger/facts.ts';
import { toRate } from '../money/money.ts';
import { addDays } from '../time/day.ts';
import { sumSeconds, toSeconds } from '../time/seconds.ts';
import type { DecidedSplit } from './classify.ts';
import { derivePay } from './derivePay.ts';
import { FIRST_DAY, anyRule, ruleWith } from './overtime.fixture.ts';
import type { OvertimeRule } from './overtimeRule.ts';
import { PAY_BASES } from './portions.ts';
import type { PayBasis } from './portions.ts';

const made = factsWith();
const facts: LedgerFacts = {
  ...made,
  targets: new Map(made.targets).set(target('errand'), {
    kind: 'activity',
    counts: [{ from: THE_END, value: false }],
    isPaid: false,
  }),
};
const premiumRates = [{ from: addDays(FIRST_DAY, 1), rate: toRate(250_000) }];

function payOf(
  journal: readonly Entry[],
  rules: readonly OvertimeRule[],
  basis: PayBasis = 'labor',
  splits: readonly DecidedSplit[] = [],
) {
  const ledger = deriveLedger(journal, facts, THE_END);
  const hours = entriesAsOf(journal, facts, THE_END).filter(
    (entry): entry is HoursEntry => entry.type === 'hours',
  );
  return TECHNICIANS.map((technician) => {
    const own = <Item extends { readonly technician: typeof technician }>(items: readonly Item[]) =>
      items.filter((item) => item.technician === technician);
    const pay = derivePay(
      {
        stints: own(ledger.stints),
        shifts: own(ledger.shifts),
        breaks: own(ledger.breaks),
        hours: own(hours),
      },
      facts,
      {
        basis,
        rules,
        groupOn: () => (technician === 'ada' ? 'day crew' : undefined),
        splits,
        isClosed: (day) => day === FIRST_DAY,
        premiumRates: technician === 'ada' ? premiumRates : [],
      },
    );
    return { technician, pay, lines: own(ledger.lines), shifts: own(ledger.shifts) };
  });
}
const anyRules = fc.array(anyRule(), { maxLength: 3 });
const anyBasis = fc.constantFrom(...PAY_BASES);
const sum = (values: readonly number[]) => values.reduce((total, each) => total + each, 0);

test('straight, overtime and double are the paid seconds of each day; what is charged and paid is paid once', () => {
  fc.assert(
    fc.property(anyJournal, anyRules, (journal, rules) => {
      for (const { pay, lines } of payOf(journal, rules)) {
        for (const { straight, overtime, double, paidSeconds } of pay.days)
          expect(straight + overtime + double).toBe(paidSeconds);
        const charged = lines.filter((line) => line.target !== 'errand');
        expect(sum(pay.days.map(({ paidSeconds }) => paidSeconds))).toBe(sumSeconds(charged));
      }
    }),
  );
});

test('premiums of days are those of lines and overhead together, and go to lines that there are', () => {
  fc.assert(
    fc.property(anyJournal, anyRules, anyBasis, (journal, rules, basis) => {
      for (const { pay, lines } of payOf(journal, rules, basis)) {
        const ofLines = sum(pay.lines.map(({ premium }) => premium));
        expect(ofLines + pay.overhead).toBe(sum(pay.days.map(({ premium }) => premium)));
        if (basis === 'labor' && rules.every(({ premiumOn }) => premiumOn === 'worked'))
          expect(pay.overhead).toBe(0);
        const paid = withPremium(lines, pay.lines);
        expect(sum(paid.map(({ premium }) => premium ?? 0))).toBe(ofLines);
        paid.forEach(({ cost, premium = 0 }, i) => {
          const straight = lines[i]?.cost ?? null;
          expect(cost).toBe(straight === null ? null : straight + premium);
        });
      }
    }),
  );
});

test('without a rule all is straight and costs nothing more; who bears it changes no class', () => {
  fc.assert(
    fc.property(anyJournal, anyRule(), anyBasis, (journal, rule, basis) => {
      for (const { pay } of payOf(journal, [], basis))
        for (const day of pay.days) {
          expect([day.straight, day.premium, day.split]).toEqual([day.paidSeconds, 0, 'none']);
        }
      const days = (premiumOn: OvertimeRule['premiumOn']) =>
        payOf(journal, [{ ...rule, premiumOn }], basis).map(({ pay }) => pay.days);
      expect(days('spread')).toEqual(days('worked'));
      expect(days('overhead')).toEqual(days('worked'));
    }),
  );
});

test('a correction taken back gives the classes there were; what is sent again changes nothing', () => {
  fc.assert(
    fc.property(anyJournal, anyRules, anyBasis, fc.nat(), (journal, rules, basis, place) => {
      const entry = journal.filter(({ type }) => !['void', 'restore', 'amend'].includes(type))[place % 7];
      const before = payOf(journal, rules, basis);
      if (!entry) return;
      const mark = (type: 'void' | 'restore', id: string) =>
        ({ id, type, target: entry.id }) as unknown as Entry;
      const marks = journal.filter(
        (each) => (each.type === 'void' || each.type === 'restore') && each.target === entry.id,
      );
      const back = marks.at(-1)?.type === 'void' ? 'void' : 'restore';
      const other = back === 'void' ? 'restore' : 'void';
      expect(payOf([...journal, mark(other, 'x'), mark(back, 'y')], rules, basis)).toEqual(before);
    }),
  );
});

test('attended time is paid as far as somebody has decided what it was, and never twice', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      const labor = payOf(journal, [ruleWith()]);
      payOf(journal, [ruleWith()], 'attended').forEach(({ pay, shifts }, i) => {
        const before = labor[i]?.pay.days ?? [];
        const paid = (days: typeof pay.days) => sum(days.map(({ paidSeconds }) => paidSeconds));
        const unallocated = sum(pay.days.map(({ unallocatedSeconds }) => unallocatedSeconds));
        expect(paid(pay.days)).toBe(paid(before) + unallocated);
        expect(unallocated).toBeLessThanOrEqual(sum(shifts.map(({ from, to }) => to - from)));
        for (const { day, unallocatedSeconds } of pay.days)
          if (unallocatedSeconds > 0) expect(shifts.some(({ from }) => zone.dayAt(from) === day)).toBe(true);
      });
    }),
  );
});

test('a split that adds up to its day decides it, and only where a rule is in effect', () => {
  fc.assert(
    fc.property(anyJournal, anyRule(), (journal, rule) => {
      const always = { ...rule, from: addDays(FIRST_DAY, -30), group: undefined };
      const [ada] = payOf(journal, [always]);
      const day = ada?.pay.days[0];
      if (!day) return;
      const split = { day: day.day, straight: toSeconds(0), overtime: toSeconds(0), double: day.paidSeconds };
      const decided = payOf(journal, [always], 'labor', [split])[0]?.pay.days[0];
      expect(decided).toMatchObject({ double: day.paidSeconds, split: 'decided' });
      const less = { ...split, double: toSeconds(day.paidSeconds - 1) };
      expect(payOf(journal, [always], 'labor', [less])[0]?.pay.days[0]).toEqual({
        ...day,
        split: 'changed',
      });
    }),
  );
});
