import { randomUUID } from 'node:crypto';
import type { Instant } from '@wergon/core/time';
import type { StagedRow } from './judgeRows.ts';

/** An import that nobody has gone on with for so long is forgotten, in seconds. */
const FORGOTTEN_SECONDS = 30 * 60;
/** Imports that wait at one time; more would fill the memory. */
const MOST_WAITING = 8;

/** Rows on their way in, read and not yet stored. Lost with the server: nothing was promised of them. */
export type Staged = {
  readonly id: string;
  readonly user: string;
  touchedAt: Instant;
  readonly rows: StagedRow[];
};

/** What waits to be checked and stored, each of one user. */
export function createStaging(now: () => Instant) {
  const staged = new Map<string, Staged>();

  function begin(user: string): Staged {
    for (const [id, { touchedAt }] of staged) if (now() - touchedAt > FORGOTTEN_SECONDS) staged.delete(id);
    const [oldest] = staged.keys();
    if (staged.size >= MOST_WAITING && oldest !== undefined) staged.delete(oldest);
    const fresh: Staged = { id: randomUUID(), user, touchedAt: now(), rows: [] };
    staged.set(fresh.id, fresh);
    return fresh;
  }

  return {
    /** What a user goes on with, or something new; absent where it is nobody's, or another's. */
    goOn: (id: string | null, user: string): Staged | undefined => {
      const found = id === null ? begin(user) : staged.get(id);
      if (found?.user !== user) return undefined;
      found.touchedAt = now();
      return found;
    },
    drop: ({ id }: Staged): void => void staged.delete(id),
  };
}
export type Staging = ReturnType<typeof createStaging>;
