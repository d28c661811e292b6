export { listBackups, makeBackup } from './backup.ts';
export type { BackupContext } from './context.ts';
export { openFile } from './file.ts';
export { findCut, headsPath, keepHead, readHeads } from './heads.ts';
export { lockDatabase } from './lock.ts';
export type { Lock } from './lock.ts';
export { restoreBackup } from './restore.ts';
export { mountBackups } from './routes.ts';
export { createBackups } from './schedule.ts';
