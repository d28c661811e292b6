import { createHash } from 'node:crypto';
import type { PayrollJson, PayrollRow, TriedPayroll } from '@wergon/contract/pay';
import type { LineTrueUp } from '@wergon/core/ledger';
import { parseDecimal, sumCents, toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { notJobsCost, trueUpOf } from '@wergon/core/pay';
import type { PayPeriod } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import { parseDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { loadClosedAway, loadClosedLines, loadClosedPeriods, loadClosedWorked } from './periods.ts';

/** What payroll paid one person for a closed period, and what becomes of it. */
export type Paid = PayPeriod & {
  readonly technician: TechnicianId;
  readonly amount: Cents;
  readonly notJobs: Cents;
  readonly costed: Cents;
  readonly overhead: Cents;
  readonly lines: readonly LineTrueUp[];
};
type Problem = TriedPayroll['problems'][number];
export type JudgedPayroll = { readonly problems: readonly Problem[]; readonly paid: readonly Paid[] };

/** No payroll pays one person so much for a period. */
const MOST = 100_000_000;

/** Cents of an amount as people write it, `31.50`, `31.5` or `31`; absent for what is no such amount. */
function readAmount(text: string): Cents | undefined {
  const read = parseDecimal(text);
  if (!read.ok) return undefined;
  const { numerator, denominator } = read.value;
  return (numerator * 100n) % denominator === 0n
    ? toCents(Number((numerator * 100n) / denominator))
    : undefined;
}

/** What a closed period kept, read once for everybody. */
function readPeriod(sql: Sql, { firstDay, lastDay }: PayPeriod) {
  const lines = loadClosedLines(sql, firstDay);
  const worked = loadClosedWorked(sql, firstDay);
  const of = <T extends { readonly technician: TechnicianId }>(items: readonly T[]) =>
    groupBy(items, ({ technician }) => technician);
  const sums = (table: 'pay_day' | 'line_premium') =>
    new Map(
      sql
        .all<{ technician: TechnicianId; premium: number }>(
          `select "technician", sum("premium") as "premium" from "${table}"
           where "shift_day" between ? and ? group by "technician"`,
          [firstDay, lastDay],
        )
        .map(({ technician, premium }) => [technician, premium]),
    );
  return {
    own: of(lines.own),
    adjustments: of(lines.adjustments),
    onNothing: of(
      [...worked.own, ...worked.adjustments]
        .filter(({ target }) => target === undefined)
        .map(({ technician, shiftDay: day, seconds }) => ({ technician, day, seconds })),
    ),
    away: of(loadClosedAway(sql, firstDay)),
    premiums: { all: sums('pay_day'), onLines: sums('line_premium') },
  };
}
type Kept = ReturnType<typeof readPeriod>;

/** Reads rows of what payroll paid, and says of each what is wrong with it or what it would do. Source: docs/pay.md, what
 *  payroll really paid. */
export function judgePayroll(sql: Sql, facts: ShopFacts, rows: readonly PayrollRow[]): JudgedPayroll {
  const byNumber = groupBy([...facts.technicians.values()], ({ payrollNumber }) => payrollNumber);
  const periods = loadClosedPeriods(sql);
  const kept = new Map<LocalDay, Kept>();
  const seen = new Set<string>();
  const problems: Problem[] = [];
  const paid = rows.flatMap(({ payrollNumber, period: dayText, amount: amountText }, row): Paid[] => {
    const wrong = (field: Problem['field'], message: string): [] => {
      problems.push({ row, field, message });
      return [];
    };
    const [person, other] = payrollNumber === '' ? [] : (byNumber.get(payrollNumber) ?? []);
    if (!person) return wrong('payrollNumber', 'nobody has this payroll number');
    if (other) return wrong('payrollNumber', 'more than one person has this payroll number');
    const day = parseDay(dayText);
    if (!day.ok) return wrong('period', 'expected a calendar day such as 2026-03-02');
    const found = periods.find(({ firstDay, lastDay }) => firstDay <= day.value && day.value <= lastDay);
    if (!found) return wrong('period', 'no closed pay period holds this day');
    const amount = readAmount(amountText);
    if (amount === undefined) return wrong('amount', 'expected an amount such as 31.50');
    if (amount > MOST) return wrong('amount', `must not be above ${MOST / 100}`);
    const period = { firstDay: found.firstDay, lastDay: found.lastDay };
    const key = `${person.id} ${period.firstDay}`;
    if (seen.has(key)) return wrong('payrollNumber', 'stands in this file twice for this period');
    seen.add(key);
    const known = kept.get(period.firstDay) ?? readPeriod(sql, period);
    kept.set(period.firstDay, known);
    return [{ ...period, technician: person.id, ...paidFor(facts, person.id, amount, known) }];
  });
  return { problems, paid };
}

function paidFor(facts: ShopFacts, technician: TechnicianId, amount: Cents, kept: Kept) {
  const { all, onLines } = kept.premiums;
  const notJobs = notJobsCost(
    [...(kept.away.get(technician) ?? []), ...(kept.onNothing.get(technician) ?? [])],
    facts.costRates.get(technician) ?? [],
    (all.get(technician) ?? 0) - (onLines.get(technician) ?? 0),
  );
  const own = kept.own.get(technician) ?? [];
  const adjustments = kept.adjustments.get(technician) ?? [];
  const { lines, overhead } = trueUpOf(amount, notJobs, own, adjustments);
  return { amount, notJobs, costed: sumCents([...own, ...adjustments]), overhead, lines };
}

const trueUpSum = (lines: readonly LineTrueUp[]): Cents =>
  toCents(lines.reduce((sum, { trueUp }) => sum + trueUp, 0));

/** What taking rows would do, in words of the page: person by person, and on which jobs. */
export function tellPayroll(sql: Sql, facts: ShopFacts, { problems, paid }: JudgedPayroll): TriedPayroll {
  const standing = new Set(
    sql
      .all<{ technician: string; period: number }>(
        `select a."technician", a."period" from "payroll_amount" a join "payroll" p on p."entry" = a."entry"
         where p."withdrawn_by" is null`,
      )
      .map(({ technician, period }) => `${technician} ${period}`),
  );
  const orders = groupBy(
    paid.flatMap(({ lines }) => lines),
    ({ target }) => facts.tasks.get(target)?.order,
  );
  return {
    problems: [...problems],
    people: paid.map(({ lines, ...each }) => ({
      ...each,
      name: facts.technicians.get(each.technician)?.name ?? each.technician,
      trueUp: trueUpSum(lines),
      isReplaced: standing.has(`${each.technician} ${each.firstDay}`),
    })),
    orders: [...orders]
      .map(([id, own]) => {
        const order = id && facts.orders.get(id);
        return {
          order: order ? order.id : null,
          number: order ? order.number : '',
          title: order ? order.title : '',
          trueUp: trueUpSum(own),
        };
      })
      .sort((a, b) => Math.abs(b.trueUp) - Math.abs(a.trueUp)),
    stamp: stampOfPayroll(sql, paid),
  };
}

/** Names what was seen of rows: what each of them would do, beside what had been taken and taken back by then. So the same
 *  rows sent twice are taken once. */
export function stampOfPayroll(sql: Sql, paid: readonly Paid[]): string {
  const taken = sql.all('select count(*) as "all", count("withdrawn_by") as "back" from "payroll"');
  return createHash('sha256')
    .update(JSON.stringify([paid, taken]))
    .digest('base64url')
    .slice(0, 22);
}

type ImportRow = {
  readonly entry: string;
  readonly name: string;
  readonly taken_by: string;
  readonly at: Instant;
  readonly withdrawn_by: string | null;
  readonly reason: string | null;
};
type SumRow = {
  readonly entry: string;
  readonly firstDay: LocalDay;
  readonly lastDay: LocalDay;
  readonly people: number;
  readonly amount: Cents;
  readonly notJobs: Cents;
  readonly costed: Cents;
};

/** What payroll paid, import by import. */
export function loadPayroll(sql: Sql): PayrollJson {
  const sums = groupBy(
    sql.all<SumRow>(
      `select "entry", "period" as "firstDay", "last_day" as "lastDay", count(*) as "people", sum("amount") as "amount",
         sum("not_jobs") as "notJobs", sum("costed") as "costed"
       from "payroll_amount" group by "entry", "period", "last_day" order by "period"`,
    ),
    ({ entry }) => entry,
  );
  const imports = sql.all<ImportRow>(
    'select "entry", "name", "taken_by", "at", "withdrawn_by", "reason" from "payroll" order by "place" desc',
  );
  return {
    imports: imports.map(({ entry, taken_by, withdrawn_by, ...each }) => {
      const own = sums.get(entry) ?? [];
      const sum = (of: (row: SumRow) => number) => own.reduce((total, row) => total + of(row), 0);
      return {
        ...each,
        id: entry,
        by: taken_by,
        withdrawnBy: withdrawn_by,
        people: sum(({ people }) => people),
        periods: own.map(({ firstDay, lastDay }) => ({ firstDay, lastDay })),
        amount: toCents(sum(({ amount }) => amount)),
        notJobs: toCents(sum(({ notJobs }) => notJobs)),
        costed: toCents(sum(({ costed }) => costed)),
      };
    }),
  };
}

/** Whether what payroll paid for a period was taken and not taken back. */
export const hasPayroll = (sql: Sql, firstDay: LocalDay): boolean =>
  sql.all(
    `select 1 from "payroll_amount" a join "payroll" p on p."entry" = a."entry"
     where a."period" = ? and p."withdrawn_by" is null limit 1`,
    [firstDay],
  ).length > 0;
