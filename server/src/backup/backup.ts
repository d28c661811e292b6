import {
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { readOwnJson } from '../db/index.ts';
import type { Entities } from '../db/index.ts';
import { checkCopy } from './checkCopy.ts';
import { flush, openFile } from './file.ts';
import { headsPath, keepHead, readHeads } from './heads.ts';

/** A backup that was made and found good. */
export type Backup = {
  readonly file: string;
  readonly at: string;
  readonly entries: number;
  readonly hash: string;
  readonly bytes: number;
};
export type BackupResult =
  | { readonly ok: true; readonly backup: Backup }
  | { readonly ok: false; readonly at: string; readonly why: string };

const FAILED = 'last-failure.json';
const NAME = /^wergon-[\dTZ-]+\.sqlite$/;

/** A whole copy of a database, taken while others go on writing. */
export function copyDatabase(from: string, to: string): void {
  const connection = openFile(from);
  try {
    connection.exec('pragma busy_timeout = 20000');
    connection.prepare('vacuum into ?').run(to);
  } finally {
    connection.close();
  }
  flush(to);
}

export const stampOf = (at: Date): string => at.toISOString().slice(0, 19).replace(/:/g, '-') + 'Z';

/** What a copy is called while it is not known to be good: being made, or being checked. */
const UNFINISHED = /^(wergon|restore)-.*\.(part|check)(-wal|-shm|-journal)?$/;
/** Older than this it is nobody's any more: whoever made it was stopped. */
const ABANDONED_MS = 24 * 3_600_000;

function sweep(folder: string): void {
  for (const name of readdirSync(folder).filter((each) => UNFINISHED.test(each))) {
    const path = join(folder, name);
    const { mtimeMs } = statSync(path, { throwIfNoEntry: false }) ?? { mtimeMs: Infinity };
    if (mtimeMs < Date.now() - ABANDONED_MS) rmSync(path, { force: true });
  }
}

/** A database, where its backups are kept, and what its rooms keep in it. */
export type Place = { readonly databasePath: string; readonly folder: string; readonly entities: Entities };

/** Makes a backup, checks it, and lets the oldest ones go once it is good. What went wrong is kept beside them. */
export async function makeBackup(
  { databasePath, folder, entities }: Place,
  keep: number,
  at = new Date(),
): Promise<BackupResult> {
  mkdirSync(folder, { recursive: true });
  const name = `wergon-${stampOf(at)}.sqlite`;
  const part = join(folder, `${name}.part`);
  const fail = (why: string): BackupResult => {
    const result = { ok: false, at: at.toISOString(), why } as const;
    writeFileSync(join(folder, FAILED), JSON.stringify(result));
    return result;
  };
  try {
    sweep(folder);
    // What is kept from here on may be longer than the copy.
    const heads = readHeads(headsPath(databasePath));
    copyDatabase(databasePath, part);
    const checked = await checkCopy(part, heads, join(folder, `${name}.check`), entities);
    if (!checked.ok) return fail(checked.why);
    renameSync(part, join(folder, name));
    const { entries, hash } = checked;
    const backup = {
      file: name,
      at: at.toISOString(),
      entries,
      hash,
      bytes: statSync(join(folder, name)).size,
    };
    writeFileSync(join(folder, `${name}.json`), JSON.stringify(backup));
    flush(join(folder, `${name}.json`));
    keepHead(headsPath(databasePath), { at: backup.at, why: 'backup', seq: entries, hash });
    rmSync(join(folder, FAILED), { force: true });
    for (const old of listBackups(folder).slice(keep))
      for (const end of ['', '.json']) rmSync(join(folder, `${old.file}${end}`), { force: true });
    return { ok: true, backup };
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  } finally {
    rmSync(part, { force: true });
  }
}

const readJson = <T>(path: string): T | undefined => {
  try {
    return readOwnJson<T>(readFileSync(path, 'utf8'));
  } catch {
    return undefined;
  }
};

/** Good backups, newest first. */
export const listBackups = (folder: string): readonly Backup[] =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => NAME.test(name))
        .sort()
        .reverse()
        .flatMap((name) => readJson<Backup>(join(folder, `${name}.json`)) ?? [])
    : [];

/** What went wrong when a backup was last tried, if nothing has gone well since. */
export const lastFailure = (folder: string): { readonly at: string; readonly why: string } | undefined =>
  readJson(join(folder, FAILED));
