export { copyDatabase, listBackups, makeBackup } from './backup.ts';
export { findCut, headsPath, keepHead, readHeads } from './heads.ts';
export { lockDatabase } from './lock.ts';
export { restoreBackup } from './restore.ts';
export { mountBackups } from './routes.ts';
export { createBackups } from './schedule.ts';
export type { Backups } from './schedule.ts';
