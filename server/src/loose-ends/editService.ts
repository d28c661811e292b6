import { entryIdOf } from '@wergon/core/ledger';
import { randomUUID } from 'node:crypto';
import type { EffectJson } from '@wergon/contract/loose-ends';
import type { EntryId } from '@wergon/core/ledger';
import type { Change } from '@wergon/core/loose-ends';
import { ok } from '@wergon/core/result';
import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { DeskUser, DeskWho, RouteRefusal } from '../http/index.ts';
import { covers } from '../access/index.ts';
import type { Decide, LedgerContext } from '../ledger/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { readBatch, refusalOf, writeTimes } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { costsFor, loadLabor } from '../compare/index.ts';
import { snapshot, touchedTasks, writeEffect } from './effect.ts';
import type { EditScope, PersonDay } from './effect.ts';

/** What somebody at the desk is about to do to the journal: one group of changes, all or none. */
export type Plan = EditScope & { readonly changes: readonly Change[] };
/** Plans on the state in which it is then recorded; a refusal does nothing. */
export type EditPlanner = (
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
) => { readonly ok: true; readonly value: Plan } | RouteRefusal;

type Answer<T> = Promise<{ readonly ok: true; readonly value: T } | RouteRefusal>;
type EntryBody = Readonly<Record<string, unknown>> & { readonly id: EntryId };

/** Acts of the desk, planned and recorded inside one transaction, or only tried out. */
export function createEditService({ clock, database, journal, facts }: LedgerContext) {
  const makeLines = (changes: readonly Change[], by: string, why: string, action: string) => {
    const around = { source: 'desk', via: [], action, deviceAt: formatInstant(clock.now()), clockOffset: 0 };
    return changes.map((change, i) => ({
      ...around,
      entry: writeChange(change, entryIdOf(action, i), by, why),
    }));
  };
  /** Plans within the journal's transaction. */
  const planWithin =
    (planner: EditPlanner, user: DeskUser, why: string, once?: string): Decide =>
    (sql, known) => {
      // Sent before it is recorded already, and is not planned on top of itself.
      if (once !== undefined && findOfAct(sql, once).length > 0) return ok([]);
      const planned = planner(sql, known, clock.now());
      if (!planned.ok) return planned;
      if (!planned.value.people.every((id) => covers(user, known, id)))
        return refuse('reconcile.other_people');
      return ok(readBatch(makeLines(planned.value.changes, user.name, why, once ?? randomUUID())));
    };

  return {
    /** What an act would do; nothing is recorded. Shown are the days at `spots`, else each person's first. */
    preview: async (
      who: DeskWho,
      scope: EditScope,
      planner: EditPlanner,
      spots: readonly PersonDay[] = scope.people.map((technician) => ({ technician, day: scope.firstDay })),
    ): Answer<EffectJson> => {
      const known = await facts.get();
      const now = clock.now();
      const costs = costsFor(who);
      const decide = planWithin(planner, who.user, 'tried out');
      const tried = await journal.tryOut({ kind: 'desk', id: who.user.id }, decide, {
        before: (sql) => snapshot(sql, known, scope, now, costs),
        after: (sql, was) => {
          const is = snapshot(sql, known, scope, now, costs);
          const touched = touchedTasks(known, was, is);
          return { ...is, touched, tasks: loadLabor(sql, known, touched, now, costs) };
        },
      });
      if (!tried.ok) return tried;
      const { before, after, outcomes } = tried;
      const refusal = refusalOf(outcomes);
      if (refusal) return refusal;
      // Nothing was recorded: the tasks stand as they stood before.
      const tasks = await readSql(database, (sql) => loadLabor(sql, known, after.touched, now, costs));
      return ok(writeEffect(known, spots, { ...before, tasks }, after, costs, now));
    },
    /** Does it; the ids of what was recorded take it back. */
    record: async (
      who: DeskWho,
      planner: EditPlanner,
      why: string,
      once?: string,
    ): Answer<{ readonly entries: readonly EntryId[] }> => {
      const decide = planWithin(planner, who.user, why, once);
      const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, decide);
      if (!done.ok) return done;
      const refusal = refusalOf(done.outcomes);
      if (refusal) return refusal;
      const ids = done.outcomes.flatMap(({ id }) => id ?? []);
      // What was sent before has made its entries then.
      const entries =
        ids.length > 0 || once === undefined ? ids : await readSql(database, (sql) => findOfAct(sql, once));
      return ok({ entries });
    },
  };
}

/** A change as an entry's JSON: instants and days are text. Corrections say who made them and why. */
function writeChange(change: Change, id: EntryId, by: string, why: string): EntryBody {
  if (!('target' in change)) return { ...writeTimes(change), id };
  const reasoned = { ...change, id, by, why };
  return change.type === 'amend' ? { ...reasoned, set: writeTimes(change.set) } : reasoned;
}

/** The entries of an act that was recorded under the id that its sender made for it. */
const findOfAct = (sql: Sql, action: string): EntryId[] =>
  sql
    .all<{ id: EntryId }>('select "id" from "journal" where "id" > ? and "id" < ? order by "seq"', [
      `${action}-`,
      `${action}-:`,
    ])
    .map(({ id }) => id);
