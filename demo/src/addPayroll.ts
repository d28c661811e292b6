import type { EntityManager } from '@mikro-orm/libsql';
import { SEPARATORS } from '@wergon/core/pay';
import type { Separator } from '@wergon/core/pay';
import { costRateOn } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import type { ShopFacts } from '@wergon/server/catalog';
import { newId } from '@wergon/server/db';
import type { Sql } from '@wergon/server/db';
import {
  PayCodeEntity,
  PayLayoutEntity,
  judgePayroll,
  loadPeriodPay,
  payFileDecision,
  payFileNow,
} from '@wergon/server/pay';
import { writeDecision } from '@wergon/server/ledger';
import { payByFile } from './simulatedPayroll.ts';
import type { Wages } from './simulatedPayroll.ts';

/** What the sample shop's payroll calls paid time. Nobody has told it of training yet. */
const CODES = [
  ['worked straight job', '100'],
  ['worked straight indirect', '110'],
  ['worked overtime job', '150'],
  ['worked double job', '200'],
  ['leave holiday', '900'],
  ['leave sick', '910'],
  ['closed', '920'],
] as const;
const FORM = 'Payroll, by day';

/** What payroll wants to read: its words, and the form of its file. */
export async function addPayroll(em: EntityManager): Promise<void> {
  await em.insertMany(
    PayCodeEntity,
    CODES.map(([kind, code]) => ({ kind, code })),
  );
  const headings = {
    ...{ payrollNumber: 'Number', name: 'Name', day: 'Day', code: 'Code', hours: 'Hours', note: 'Note' },
  };
  await em.insert(PayLayoutEntity, {
    id: newId(),
    name: FORM,
    layout: {
      rows: 'day',
      columns: (Object.keys(headings) as (keyof typeof headings)[]).map((field) => ({
        ...{ field, heading: headings[field] },
      })),
      ...{ separator: 'semicolon', decimal: 'comma', dates: '30.11.2026', hasHeadings: true },
    },
  });
}

type Person = { readonly kind: 'desk'; readonly id: string; readonly name: string };

/** Makes the pay file of a closed period; what is missing is left out by name. */
export async function sendPay(
  { database, journal, clock }: Context,
  by: Person,
  firstDay: LocalDay,
): Promise<void> {
  const em = database.em.fork();
  const codes = new Map((await em.findAll(PayCodeEntity)).map(({ kind, code }) => [kind, code]));
  const form = await em.findOneOrFail(PayLayoutEntity, { name: FORM });
  await journal.appendAll(by, (sql, facts) => {
    const now = clock.now();
    const pay = loadPeriodPay(sql, facts, firstDay, [], now);
    if (!pay?.isClosed) return ok([]);
    const found = payFileNow(sql, facts, pay, codes, { layout: form.layout, isAsked: () => true });
    return ok([writeDecision({ ...payFileDecision(found, form), group: '', by: by.name }, now)]);
  });
}

/** What the simulated payroll knows of people: what an hour of theirs costs on a day. */
export const wagesOn = (facts: ShopFacts, day: LocalDay): Wages =>
  new Map(
    [...facts.technicians.values()].flatMap(({ id, payrollNumber }) => {
      const rate = costRateOn(facts.costRates.get(id) ?? [], day);
      return payrollNumber === '' || rate === undefined ? [] : [[payrollNumber, rate / RATE] as const];
    }),
  );
/** Rates are kept in these parts of a unit of money. */
const RATE = 10_000;

type MadeFile = { readonly text: string; readonly separator: Separator; readonly period: LocalDay };

/** The files that were made and not taken back, of periods for which payroll has not answered yet. */
export const loadUnanswered = (sql: Sql): readonly MadeFile[] =>
  sql.all<MadeFile>(
    `select "text", "separator", "period" from "pay_file" where "withdrawn_by" is null and "period" not in
     (select a."period" from "payroll_amount" a join "payroll" p on p."entry" = a."entry" where p."withdrawn_by" is null)
     order by "at"`,
  );

/** Pays by the files of a period, and takes the answer over. */
export async function takeAnswer({ journal, clock }: Context, by: Person, period: LocalDay): Promise<void> {
  await journal.appendAll(by, (sql, facts) => {
    const files = loadUnanswered(sql).filter((file) => file.period === period);
    const rows = files.flatMap(({ text, separator }) =>
      payByFile(text, SEPARATORS[separator], formatDay(period), wagesOn(facts, period)),
    );
    const { problems, paid } = judgePayroll(sql, facts, rows);
    if (problems.length > 0) throw new Error(`payroll: ${JSON.stringify(problems)}`);
    const name = `paid-${formatDay(period)}.csv`;
    const said = { type: 'payroll-paid' as const, name, amounts: [...paid], by: by.name };
    return ok(paid.length === 0 ? [] : [writeDecision(said, clock.now())]);
  });
}
