import { UniqueConstraintViolationException } from '@mikro-orm/core';
import type { EntityName } from '@mikro-orm/core';
import type { EntityManager } from '@mikro-orm/libsql';

type Fields = Readonly<Record<string, unknown>>;

/** Adds a record under an id that whoever sends it has made: sent twice, also at once, it is there once. `false`: there
 *  is another record of this id already, which says something else. */
export async function insertOnce<Record extends object>(
  em: EntityManager,
  entity: EntityName<Record>,
  row: Fields & { readonly id: string },
  /** What must be the same for it to be the same record: what was sent, not what was made on the way. */
  sent: Fields,
): Promise<boolean> {
  try {
    await em.insert(entity, row as never);
    return true;
  } catch (error) {
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
    const there = (await em.findOne(entity, { id: row.id } as never)) as Fields | null;
    // Not its id but something else of it is taken.
    if (!there) throw error;
    return Object.entries(sent).every(([key, value]) => isSame(there[key], value));
  }
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);
