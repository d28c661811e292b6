import type { Context } from '../http/index.ts';
import type { Backups } from './schedule.ts';

export type BackupContext = Context & { readonly backups: Backups };
