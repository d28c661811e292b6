import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import type { FactsCache, ShopFacts } from '../catalog/index.ts';
import { writeSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import type { LedgerContext } from './context.ts';
import { derivePersonAnew } from './derivePerson.ts';
import { markDue } from './dueRows.ts';
import { keepUsed } from './usedTime.ts';

/** Derives the days of whoever is next; `false` where nobody is. */
function deriveNext(sql: Sql, facts: ShopFacts): boolean {
  const [next] = sql.all<{ technician: TechnicianId; from_day: LocalDay }>(
    'select "technician", "from_day" from "due_derivation" limit 1',
  );
  if (!next) return false;
  const { technician, from_day: from } = next;
  const { before, after } = derivePersonAnew(sql, facts, technician, from);
  keepUsed(sql, before, after);
  sql.run('delete from "due_derivation" where "technician" = ?', [technician]);
  return true;
}

/** Derives what is due with facts that do not change meanwhile: when a database is opened. */
export async function deriveAllDue(database: Database, facts: ShopFacts): Promise<void> {
  while (await writeSql(database, (sql) => deriveNext(sql, facts)));
}

/** The same while the shop is at work. */
export async function deriveDue(database: Database, cache: FactsCache): Promise<void> {
  for (;;) {
    const facts = await cache.get();
    const isMore = await writeSql(database, (sql) =>
      // What was changed while this waited for its turn is asked for anew.
      cache.isCurrent(facts) ? deriveNext(sql, facts) : true,
    );
    if (!isMore) return;
  }
}

type Deriving = Pick<LedgerContext, 'database' | 'facts' | 'log' | 'setupChanged'>;

/** Makes what records are changed through by which days gone by are derived. Whose days are to be derived is kept before the
 *  change and after it, so that neither a stop nor somebody who derives meanwhile loses any; then they are derived in the
 *  background, one after the other. */
export function createDeriving({
  database,
  facts,
  log,
  setupChanged,
}: Deriving): Pick<LedgerContext, 'deriveAnew' | 'deriveMarked'> {
  let deriving = Promise.resolve();
  const deriveMarked = () => {
    deriving = deriving
      .then(() => deriveDue(database, facts))
      .then(() => setupChanged('shop'))
      .catch((error: unknown) => log.error({ error }, 'days could not be derived anew'));
  };
  const mark = async (from: LocalDay, people?: readonly TechnicianId[]) => {
    const known = await facts.get();
    await writeSql(database, (sql) => markDue(sql, people ?? known.technicians.keys(), from));
  };
  const deriveAnew: LedgerContext['deriveAnew'] = async (from, change, people) => {
    await mark(from, people);
    const done = await change();
    setupChanged('shop', 'orders');
    await mark(from, people);
    deriveMarked();
    return done;
  };
  return { deriveAnew, deriveMarked };
}
