import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { dirname } from 'node:path';
import { z } from 'zod';
import { isDiskFault } from '../db/index.ts';
import { openFile } from './file.ts';
import type { FileConnection } from './file.ts';

/** Who works on a database file. */
const holderSchema = z.object({ what: z.string(), pid: z.number(), host: z.string(), since: z.string() });
export type Holder = Readonly<z.output<typeof holderSchema>>;

export type Lock = { readonly release: () => void };

const read = (path: string): Holder | undefined => {
  try {
    // Written below by whoever holds the lock.
    return holderSchema.parse(JSON.parse(readFileSync(path, 'utf8')));
  } catch {
    return undefined;
  }
};

/** Takes a database file for oneself: two servers on one file would each go by what they remember of it. The system takes
 *  the lock away when its holder ends, however that happens. Throws an error that says who has it. */
export function lockDatabase(databasePath: string, what: string): Lock {
  try {
    mkdirSync(dirname(databasePath), { recursive: true });
    const connection = openFile(`${databasePath}.lock`);
    return hold(connection, databasePath, what);
  } catch (error) {
    // On a disk that cannot be written nobody can take anything from anybody.
    if (isDiskFault(error) && !isBusy(error)) return { release: () => undefined };
    throw error;
  }
}

function isBusy(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return ('code' in error && String(error.code).startsWith('SQLITE_BUSY')) || isBusy(error.cause);
}

function hold(connection: FileConnection, databasePath: string, what: string): Lock {
  const holderPath = `${databasePath}.lock.json`;
  try {
    connection.exec('pragma busy_timeout = 0');
    connection.exec('begin exclusive');
  } catch (error) {
    connection.close();
    if (!isBusy(error)) throw error;
    const holder = read(holderPath);
    const who = holder
      ? `: ${holder.what}, process ${holder.pid} on ${holder.host}, since ${holder.since}`
      : '';
    throw new Error(`${databasePath} is in use${who}. Stop that first.`, { cause: error });
  }
  const holder: Holder = { what, pid: process.pid, host: hostname(), since: new Date().toISOString() };
  try {
    writeFileSync(holderPath, JSON.stringify(holder));
  } catch {
    // Whoever comes second is told that the file is in use, if not by whom.
  }
  return {
    release: () => {
      rmSync(holderPath, { force: true });
      connection.close();
    },
  };
}
