import { ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { countDue, findHead, writeDecision } from '../ledger/index.ts';
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
  { database, clock, facts, journal, keepHead }: LedgerContext,
  awayOf: AwayOf,
): void {
  mount('closePeriod', async ({ body: { firstDay, stamp }, who }) => {
    // A period is everybody's: whoever does not see everybody does not close it.
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const known = await facts.get();
    const away = await awayOf(known, firstDay, clock.now());
    const early = await readSql(database, (sql) => prepare(sql, known, firstDay, away, clock.now()));
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, current) => {
      const now = clock.now();
      // Scans wait for what is read here: only where something has come between is the period looked at once more.
      const { seen, closing } = stillHolds(sql, early, current)
        ? early
        : prepare(sql, current, firstDay, away, now);
      const refusal = seen ? refusalToClose(seen) : 'pay.no_such_period';
      if (!seen || !closing || refusal || seen.stamp !== stamp) return refuse(refusal ?? 'approve.changed');
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

/** A period as it is seen, what it would keep if it could be closed, and up to where in the journal that was read. */
function prepare(sql: Sql, known: ShopFacts, firstDay: LocalDay, away: Away, now: Instant) {
  const seen = seePeriod(sql, known, firstDay, now, away);
  return {
    known,
    seq: findHead(sql).seq,
    isDerived: countDue(sql) === 0,
    seen,
    closing:
      seen && !refusalToClose(seen)
        ? closingOf(sql, known, seen.period, seen.days, seen, seen.away, now)
        : undefined,
  };
}

/** Whether nothing that was recorded since can be of a period or of one before it. */
function stillHolds(
  sql: Sql,
  { known, seq, isDerived, seen }: ReturnType<typeof prepare>,
  current: ShopFacts,
): boolean {
  if (!seen || current !== known || !isDerived || countDue(sql) > 0) return false;
  // Whoever's shift of it is still open goes on with it after its last day.
  const open = new Set(seen.days.filter(({ isOpen }) => isOpen).map(({ technician }) => technician));
  const since = sql.all<{ stream: string; technician: TechnicianId | null; day: LocalDay | null }>(
    'select "stream", "technician", "day" from "entry_index" where "seq" > ?',
    [seq],
  );
  return since.every(
    ({ stream, technician, day }) =>
      stream === 'floor' ||
      (stream === 'labor' &&
        day !== null &&
        day > seen.period.lastDay &&
        !(technician !== null && open.has(technician))),
  );
}
