import { readEntry } from './stored.ts';
import { correctedEntry, isCorrection } from '@wergon/core/ledger';
import type { AmendSet, Entry, LaborEntry } from '@wergon/core/ledger';
import { formatDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { findClosedUntil } from './decisionRows.ts';
import type { FieldProblem } from '@wergon/contract/wire';

/** What is wrong with recording an entry or a correction from the desk: closed is closed. Scans of stations are
 *  recorded all the same, and become adjustments. Source: docs/ledger.md, section 9. */
export function findClosed(sql: Sql, facts: ShopFacts, entry: Entry): readonly FieldProblem[] {
  const closedUntil = findClosedUntil(sql);
  if (closedUntil === null) return [];
  const refused = (field: string, day: LocalDay): readonly FieldProblem[] =>
    day <= closedUntil ? [{ field, message: `${formatDay(day)} lies in a closed pay period` }] : [];
  if (!isCorrection(entry)) {
    // What only says that a task is finished moves nobody's time.
    if (entry.technician === undefined) return [];
    return entry.type === 'hours'
      ? refused('day', entry.day)
      : refused('at', shiftDayOf(sql, facts, entry.technician, entry.at));
  }
  const before = findAmended(sql, entry.target);
  const own = before && dayOf(sql, facts, before);
  const moved = before && entry.type === 'amend' ? movedTo(sql, facts, before, entry.set) : undefined;
  return [
    ...(own === undefined ? [] : refused('target', own)),
    ...(moved === undefined ? [] : refused('set', moved)),
  ];
}

/** An entry with its amendments, whether it counts or is void. */
export function findAmended(sql: Sql, id: string): LaborEntry | undefined {
  const rows = sql.all<{ body: string }>(
    `select "body" from "journal" where ("id" = ? and "stream" = 'labor') or ("corrects" = ? and "type" = 'amend') order by "seq"`,
    [id, id],
  );
  const [original, ...amendments] = rows.map(({ body }) => readEntry(body));
  return original && !isCorrection(original)
    ? correctedEntry(original, amendments.filter(isCorrection))
    : undefined;
}

const dayOf = (sql: Sql, facts: ShopFacts, entry: LaborEntry): LocalDay | undefined =>
  entry.technician === undefined
    ? undefined
    : entry.type === 'hours'
      ? entry.day
      : shiftDayOf(sql, facts, entry.technician, entry.at);

function movedTo(
  sql: Sql,
  facts: ShopFacts,
  before: LaborEntry,
  { at, day, technician }: AmendSet,
): LocalDay | undefined {
  if (day != null) return day;
  const who = technician ?? before.technician;
  return at == null || who === undefined ? undefined : shiftDayOf(sql, facts, who, at);
}

/** The day of the shift in which an instant lies, else its own day. */
function shiftDayOf(sql: Sql, { zone }: ShopFacts, technician: string, at: Instant): LocalDay {
  const [shift] = sql.all<{ from_at: Instant }>(
    `select "from_at" from "presence" where "kind" = 'shift' and "technician" = ? and "from_at" <= ? and "to_at" > ?`,
    [technician, at, at],
  );
  return zone.dayAt(shift?.from_at ?? at);
}
