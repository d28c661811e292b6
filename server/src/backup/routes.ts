import { ok } from '@wergon/core/result';
import type { BackupContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';

/** How the shop's backups are doing, and one more of them. */
export function mountBackups(mount: Mount, { backups, isDemo }: BackupContext): void {
  mount('backups', async () => {
    const { last, failed } = backups.status();
    return ok({
      folder: backups.folder,
      isScheduled: backups.folder !== null && !isDemo,
      isRunning: backups.isRunning(),
      last: last && { at: last.at, file: last.file, entries: last.entries, bytes: last.bytes },
      failed: failed && { at: failed.at, why: failed.why },
    });
  });

  mount('makeBackup', async () => {
    if (backups.folder === null) return refuse('backup.off');
    if (backups.isRunning()) return refuse('backup.running');
    // It may take minutes; whoever asked sees how it goes.
    void backups.run();
    return ok(null);
  });
}
