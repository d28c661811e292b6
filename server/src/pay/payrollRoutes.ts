import type { EntryId } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { DeskWho, Mount } from '../http/index.ts';
import { writeDecision } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { judgePayroll, loadPayroll, stampOfPayroll, tellPayroll } from './payroll.ts';

/** What people are paid is seen by whoever may see rates, and taken by whoever also closes periods; both of everybody. */
const mayTake = (who: DeskWho): boolean =>
  who.rights.has('rates.see') && who.rights.has('pay.close') && who.user.seesOnlyTheirs !== true;

/** Routes of what payroll really paid. Labor costs it from the transaction on that takes it. Source: docs/pay.md, what payroll really paid. */
export function mountPayroll(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts, journal } = context;

  mount('payroll', async ({ who }) =>
    who.user.seesOnlyTheirs ? refuse('access.not_allowed') : ok(await readSql(database, loadPayroll)),
  );

  mount('tryPayroll', async ({ body: { rows }, who }) => {
    if (!mayTake(who)) return refuse('access.not_allowed');
    const known = await facts.get();
    return ok(await readSql(database, (sql) => tellPayroll(sql, known, judgePayroll(sql, known, rows))));
  });

  mount('takePayroll', async ({ body: { rows, name, stamp }, who }) => {
    if (!mayTake(who)) return refuse('access.not_allowed');
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const { problems, paid } = judgePayroll(sql, known, rows);
      if (problems.length > 0)
        return refuse(
          'pay.payroll_wrong',
          problems.map(({ row, field, message }) => ({ field: `rows[${row}].${field}`, message })),
        );
      if (stampOfPayroll(sql, paid) !== stamp) return refuse('approve.changed');
      const amounts = [...paid];
      return ok([writeDecision({ type: 'payroll-paid', name, amounts, by: who.user.name }, clock.now())]);
    });
    return done.ok ? ok(null) : done;
  });

  mount('withdrawPayroll', async ({ body: { id, reason }, who }) => {
    if (!mayTake(who)) return refuse('access.not_allowed');
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql) => {
      const [found] = sql.all<{ withdrawn_by: string | null }>(
        'select "withdrawn_by" from "payroll" where "entry" = ?',
        [id],
      );
      if (!found) return refuse('record.not_found');
      if (found.withdrawn_by !== null) return refuse('pay.payroll_withdrawn');
      const payroll = id as EntryId;
      return ok([
        writeDecision({ type: 'withdraw-payroll', payroll, reason, by: who.user.name }, clock.now()),
      ]);
    });
    return done.ok ? ok(null) : done;
  });
}
