import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import type { FactsCache, ShopFacts } from '../catalog/index.ts';
import { writeSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import type { LedgerContext } from './context.ts';
import { derivePersonAnew } from './derivePerson.ts';
import { keepUsed } from './usedTime.ts';

/** Rules that change days gone by change what is derived of everybody. Each person's days are derived in a transaction of
 *  their own, so that scans go on between them; whose are still to come is kept, so that a stop loses none. */
export function markDue(sql: Sql, technicians: Iterable<TechnicianId>, from: LocalDay): void {
  for (const technician of technicians)
    sql.run(
      `insert into "due_derivation" ("technician", "from_day") values (?, ?)
       on conflict ("technician") do update set "from_day" = min("from_day", excluded."from_day")`,
      [technician, from],
    );
}

export const countDue = (sql: Sql): number =>
  sql.all<{ n: number }>('select count(*) as "n" from "due_derivation"')[0]?.n ?? 0;

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
export function createDeriveAnew({
  database,
  facts,
  log,
  setupChanged,
}: Deriving): LedgerContext['deriveAnew'] {
  let deriving = Promise.resolve();
  const mark = async (from: LocalDay, people?: readonly TechnicianId[]) => {
    const known = await facts.get();
    await writeSql(database, (sql) => markDue(sql, people ?? known.technicians.keys(), from));
  };
  return async (from, change, people) => {
    await mark(from, people);
    const done = await change();
    setupChanged('shop', 'orders');
    await mark(from, people);
    deriving = deriving
      .then(() => deriveDue(database, facts))
      .then(() => setupChanged('shop'))
      .catch((error: unknown) => log.error({ error }, 'days could not be derived anew'));
    return done;
  };
}
