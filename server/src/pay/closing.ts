import { ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { findHead, writeDecision } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { Away } from './away.ts';
import { hasPayFile } from './files.ts';
import { hasPayroll } from './payroll.ts';
import { closingOf, loadClosedPeriods } from './periods.ts';
import { refusalToClose, seePeriod } from './seePeriod.ts';

type AwayOf = (known: ShopFacts, firstDay: LocalDay, now: Instant) => Promise<Away>;

/** Routes by which a period is closed, and the last one opened again. Source: docs/pay.md, periods. */
export function mountClosing(
  mount: Mount,
  { clock, facts, journal, keepHead }: LedgerContext,
  awayOf: AwayOf,
): void {
  mount('closePeriod', async ({ body: { firstDay, stamp }, who }) => {
    // A period is everybody's: whoever does not see everybody does not close it.
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const away = await awayOf(await facts.get(), firstDay, clock.now());
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const now = clock.now();
      const seen = seePeriod(sql, known, firstDay, now, away);
      const refusal = seen ? refusalToClose(seen) : 'pay.no_such_period';
      if (!seen || refusal || seen.stamp !== stamp) return refuse(refusal ?? 'approve.changed');
      const closing = closingOf(sql, known, seen.period, seen.days, seen, seen.away, now);
      return ok([writeDecision({ ...closing, head: findHead(sql).hash, by: who.user.name }, now)]);
    });
    if (!done.ok) return done;
    await keepHead(`closing of the period from ${formatDay(firstDay)}`);
    return ok(null);
  });

  mount('reopenPeriod', async ({ body: { firstDay, reason }, who }) => {
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql) => {
      if (loadClosedPeriods(sql).at(-1)?.firstDay !== firstDay) return refuse('pay.not_last_closed');
      // What payroll has been given is not worked over behind its back.
      if (hasPayFile(sql, firstDay)) return refuse('pay.file_made');
      if (hasPayroll(sql, firstDay)) return refuse('pay.payroll_taken');
      return ok([writeDecision({ type: 'reopen', firstDay, reason, by: who.user.name }, clock.now())]);
    });
    return done.ok ? ok(null) : done;
  });
}
