import { closeSync, fsyncSync, openSync } from 'node:fs';
import { dirname } from 'node:path';
import Libsql from 'libsql';

/** One connection to a database file, beside the server's own, as far as it is used here. */
export type FileConnection = {
  readonly exec: (sql: string) => unknown;
  readonly prepare: (sql: string) => {
    readonly all: (...params: readonly unknown[]) => unknown[];
    readonly run: (...params: readonly unknown[]) => unknown;
  };
  readonly close: () => void;
};

/** Opens a database file by itself, without entities and migrations. */
export const openFile = (path: string): FileConnection => new Libsql(path) as unknown as FileConnection;

/** Makes sure that a file, and its name in its folder, are on the disk. */
export function flush(path: string): void {
  for (const each of [path, dirname(path)]) {
    const handle = openSync(each, 'r');
    try {
      fsyncSync(handle);
    } finally {
      closeSync(handle);
    }
  }
}
