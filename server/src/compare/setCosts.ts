import type { LineRow } from '@wergon/contract/compare';
import { centsOf, formatCents } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import type { Instant } from '@wergon/core/time';
import { covers } from '../access/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Call, DeskWho, Mount } from '../http/index.ts';
import {
  costByRate,
  findClosedUntil,
  loadLinesOn,
  loadRunning,
  loadSetCosts,
  writeDecision,
} from '../ledger/index.ts';
import type { LedgerContext, SaidCost } from '../ledger/index.ts';
import type { ToldLine } from '@wergon/core/ledger';

/** Routes by which the cost of a labor line is set by hand, and is by its rate again. Both are decisions in the journal.
 *  Source: docs/ledger.md, section 6, cost set by hand. */
export function mountSetCosts(mount: Mount, { clock, journal }: LedgerContext): void {
  mount('setCost', async ({ body: { amount, seconds, ...key }, who }) => {
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const now = clock.now();
      const refusal = refusalOf(sql, known, who, key) ?? findOpen(sql, known, key, now);
      if (refusal) return refusal;
      const line = loadLinesOn(sql, key.day).find((each) => isOf(each, key));
      if (line?.seconds !== seconds) return refuse('reconcile.changed');
      return ok([
        writeDecision(
          { type: 'set-cost', ...key, seconds: line.seconds, cost: centsOf(amount), by: who.user.name },
          now,
        ),
      ]);
    });
    return done.ok ? ok(null) : done;
  });

  mount('resetCost', async ({ body, who }) => {
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const refusal = refusalOf(sql, known, who, body);
      if (refusal) return refusal;
      const isSet = loadSetCosts(sql, body.day, body.day, body.technician).some((each) => isOf(each, body));
      // Said twice it is by its rate all the same.
      if (!isSet) return ok([]);
      return ok([writeDecision({ type: 'reset-cost', ...body, by: who.user.name }, clock.now())]);
    });
    return done.ok ? ok(null) : done;
  });
}

type Key = Call<'resetCost'>['body'];

const isOf = (line: Key, key: Key): boolean =>
  line.technician === key.technician &&
  line.target === key.target &&
  line.workType === key.workType &&
  line.day === key.day;

function refusalOf(sql: Sql, facts: ShopFacts, who: DeskWho, { technician, day }: Key) {
  if (!who.rights.has('rates.see')) return refuse('access.not_allowed');
  if (!covers(who.user, facts, technician)) return refuse('reconcile.other_people');
  const closedUntil = findClosedUntil(sql);
  return closedUntil !== null && day <= closedUntil ? refuse('approve.closed') : undefined;
}

/** What goes on is another line with every second. */
const findOpen = (sql: Sql, facts: ShopFacts, key: Key, now: Instant) =>
  loadRunning(sql, facts, now).some((piece) => isOf(piece, key)) ? refuse('approve.open') : undefined;

/** What was said of a line's cost, for whoever may see rates. */
export function writeSet(facts: ShopFacts, line: ToldLine, said: readonly SaidCost[]): LineRow['set'] {
  const { technician } = line;
  if (technician === null) return null;
  const own = said.find((each) => isOf(each, { ...line, technician }));
  if (!own) return null;
  const byRate = costByRate(facts, { ...line, technician });
  return {
    cost: formatCents(own.cost),
    seconds: own.seconds,
    byRate: byRate === null ? null : formatCents(byRate),
    reason: own.reason,
    by: own.by,
    at: own.at,
  };
}
