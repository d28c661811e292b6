import type { Logger } from 'pino';
import { writeSql } from '../db/index.ts';
import type { Database } from '../db/index.ts';
import { sayError } from './sayError.ts';

/** Whether the server can write its disk, said on every screen while it cannot. */
export type Health = {
  readonly isWritable: () => boolean;
  /** Says that a write has failed because of the disk. */
  readonly cannotWrite: (error: unknown) => void;
  /** Tries to write; says how it went to whoever listens. */
  readonly probe: () => Promise<void>;
};

/** Looks after the disk: every failed write says so at once, and a small write of its own finds out when it is over. */
export function createHealth(database: Database, log: Logger, onChange: () => void): Health {
  let isWritable = true;
  function set(next: boolean, error?: unknown): void {
    if (next === isWritable) return;
    isWritable = next;
    if (next) log.info('the disk can be written again');
    else log.error(sayError(error), 'the disk cannot be written');
    onChange();
  }
  return {
    isWritable: () => isWritable,
    cannotWrite: (error) => set(false, error),
    probe: async () => {
      try {
        await writeSql(database, (sql) => {
          sql.run('delete from "disk_probe"');
          sql.run('insert into "disk_probe" ("id", "filler") values (1, zeroblob(4096))');
        });
        set(true);
      } catch (error) {
        set(false, error);
      }
    },
  };
}
