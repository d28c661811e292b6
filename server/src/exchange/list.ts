import type { EntityManager } from '@mikro-orm/libsql';
import type { DeskWho, RouteRefusal, Sees } from '../http/index.ts';
import type { ExchangeRow } from '@wergon/contract/exchange';
import type { z } from 'zod';

/** What would become of a row. */
export type RowStatus = 'new' | 'changed' | 'same';
export type Judged = RowStatus | { readonly field: string; readonly message: string };

/** A list that can be brought in: how a row is read, judged against what is there, and stored. */
export type List<Row> = {
  readonly schema: z.ZodType<Row>;
  /** Its rows are about people: whoever is told of some alone brings in none. */
  readonly isOfPeople?: true;
  /** Judges all rows together, in their order: a row can contradict one before it. */
  readonly validateRows: (em: EntityManager, rows: readonly Row[]) => Promise<readonly Judged[]>;
  /** What a row belongs to that is stored whole or not at all. */
  readonly groupOf?: (row: ExchangeRow) => string;
  /** Why none of it comes in here. */
  readonly refuse?: () => Promise<RouteRefusal | undefined>;
} & (
  | {
      /** Stores rows that were judged `new` or `changed`. */
      readonly store: (em: EntityManager, rows: readonly Row[], by: string) => Promise<void>;
      /** All that is there, in the columns of the import. */
      readonly write: (em: EntityManager, sees: Sees) => Promise<string[][]>;
    }
  /** Records them in the journal instead, part by part: sent again, what stands there already stays. */
  | { readonly record: (rows: readonly Row[], who: DeskWho) => Promise<RouteRefusal | undefined> }
);
/** A list of records, which can be taken out again too. */
export type StoredList<Row> = Extract<List<Row>, { store: unknown }>;

/** Adds many rows of one entity quickly. */
export const inParts = <T>(items: readonly T[], size = 200): T[][] =>
  Array.from({ length: Math.ceil(items.length / size) }, (_each, i) => items.slice(i * size, (i + 1) * size));
