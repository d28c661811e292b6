import type { EntityManager } from '@mikro-orm/libsql';
import { ok } from '@wergon/core/result';
import type { LocalDay } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { newId } from '@wergon/server/db';
import {
  PayCodeEntity,
  PayLayoutEntity,
  loadPeriodPay,
  payFileDecision,
  payFileNow,
} from '@wergon/server/pay';
import { writeDecision } from '@wergon/server/ledger';

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
