import type { EntryId, LaborEntry, NoteEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import { readLaborEntry } from './stored.ts';

/** A note as it counts now, and whether the customer may read it. */
export type KeptNote = { readonly entry: NoteEntry; readonly isForCustomer: boolean };

const load = (sql: Sql, which: string, values: readonly (string | number)[]): KeptNote[] =>
  sql
    .all<{ body: string; marked: 0 | 1 }>(
      `select e."body", c."entry" is not null as "marked" from "effective_entry" e
       left join "customer_note" c on c."entry" = e."id"
       where e."type" = 'note' and ${which} order by e."day", e."seq"`,
      [...values],
    )
    .flatMap(({ body, marked }) => {
      const entry = readLaborEntry(body);
      return entry.type === 'note' ? [{ entry, isForCustomer: marked === 1 }] : [];
    });

/** What was noted of a person's day. */
export const loadNotesOn = (sql: Sql, technician: TechnicianId, day: LocalDay): KeptNote[] =>
  load(sql, 'e."technician" = ? and e."day" = ?', [technician, day]);

/** What was noted in the work on some tasks. */
export const loadNotesOf = (sql: Sql, targets: readonly TargetId[]): KeptNote[] =>
  load(sql, 'e."target" in (select "value" from json_each(?))', [JSON.stringify(targets)]);

/** A note by its id, where there is one that counts. */
export const findNote = (sql: Sql, id: EntryId): KeptNote | undefined => load(sql, 'e."id" = ?', [id])[0];

/** A report of pieces as it counts, with its day. */
export type KeptCount = { readonly entry: Extract<LaborEntry, { type: 'count' }>; readonly day: LocalDay };

/** Reports of pieces of some tasks, in the order of recording. */
export const loadCounts = (sql: Sql, targets: readonly TargetId[]): readonly KeptCount[] =>
  sql
    .all<{ day: LocalDay; body: string }>(
      `select "day", "body" from "effective_entry" where "target" in (select "value" from json_each(?)) and "type" = 'count'
       order by "seq"`,
      [JSON.stringify(targets)],
    )
    .flatMap(({ day, body }) => {
      const entry = readLaborEntry(body);
      return entry.type === 'count' ? [{ entry, day }] : [];
    });
