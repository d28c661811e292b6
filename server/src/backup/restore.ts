import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, join, resolve } from 'node:path';
import { copyDatabase, stampOf } from './backup.ts';
import type { Place } from './backup.ts';
import { checkCopy } from './checkCopy.ts';
import { flush, openFile } from './file.ts';
import { headsPath, keepHead } from './heads.ts';
import { lockDatabase } from './lock.ts';

export type Restored =
  | { readonly ok: true; readonly entries: number; readonly saved: string | undefined }
  | { readonly ok: false; readonly why: string };

/** Brings a backup back. What is there now is saved first, whole; without that nothing is replaced. */
export async function restoreBackup(
  { databasePath, folder, entities }: Place,
  file: string,
  at = new Date(),
): Promise<Restored> {
  const from = existsSync(resolve(file)) ? resolve(file) : join(folder, basename(file));
  if (!existsSync(from)) return { ok: false, why: `there is no ${file}` };
  const lock = lockDatabase(databasePath, 'restore');
  try {
    mkdirSync(folder, { recursive: true });
    const checked = await checkCopy(from, [], join(folder, `restore-${stampOf(at)}.check`), entities);
    if (!checked.ok) return { ok: false, why: `${basename(from)} is not good: ${checked.why}` };
    const saved = saveWhatIsThere(databasePath, folder, at);
    const next = `${databasePath}.restoring`;
    copyFileSync(from, next);
    flush(next);
    // A log of the old file beside the new one would be read into it.
    for (const end of ['-wal', '-shm']) rmSync(`${databasePath}${end}`, { force: true });
    renameSync(next, databasePath);
    flush(databasePath);
    // What was kept of the chain's length goes with what was saved; from here on the chain is as long as this one.
    rmSync(headsPath(databasePath), { force: true });
    keepHead(headsPath(databasePath), {
      at: at.toISOString(),
      why: 'restore',
      seq: checked.entries,
      hash: checked.hash,
    });
    return { ok: true, entries: checked.entries, saved };
  } finally {
    lock.release();
  }
}

/** Saves the database that is about to be replaced; one that cannot be read any more is saved file by file. */
function saveWhatIsThere(databasePath: string, folder: string, at: Date): string | undefined {
  if (!existsSync(databasePath)) return undefined;
  const saved = join(folder, `before-restore-${stampOf(at)}.sqlite`);
  try {
    copyDatabase(databasePath, saved);
    emptyLog(databasePath);
  } catch {
    rmSync(saved, { force: true });
    for (const end of ['', '-wal', '-shm'])
      if (existsSync(`${databasePath}${end}`)) copyFileSync(`${databasePath}${end}`, `${saved}${end}`);
  }
  const heads = headsPath(databasePath);
  if (existsSync(heads)) copyFileSync(heads, `${saved}.heads`);
  flush(saved);
  return saved;
}

/** Takes what stands in the log beside a database into its file, so that the file is whole without it: should the power
 *  fail before the file is replaced, nothing is missing from it. */
function emptyLog(databasePath: string): void {
  const connection = openFile(databasePath);
  try {
    connection.prepare('pragma wal_checkpoint(truncate)').all();
  } finally {
    connection.close();
  }
}
