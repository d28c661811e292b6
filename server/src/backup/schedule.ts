import { spawn } from 'node:child_process';
import { addDays, atWallClock, toInstant } from '@wergon/core/time';
import type { Zone } from '@wergon/core/time';
import type { Context } from '../http/index.ts';
import { lastFailure, listBackups } from './backup.ts';
import type { Backup } from './backup.ts';

/** Makes backups while the shop works, each in a process of its own, and knows how they went. */
export type Backups = {
  readonly folder: string | null;
  readonly isRunning: () => boolean;
  /** The last good one; what went wrong since. */
  readonly status: () => {
    readonly last: Backup | null;
    readonly failed: { at: string; why: string } | null;
  };
  /** Starts one; resolves when it is done. */
  readonly run: () => Promise<void>;
  /** Starts one if the hour that the shop has set has come since the last good one. */
  readonly runIfDue: (nowSeconds: number) => Promise<void>;
};

/** After one that failed, with a word or without, it is tried again so many seconds later. */
const AGAIN_SECONDS = 3600;

/** Makes one in a process of its own; resolves when that has ended. */
const makeApart = (command: string, databasePath: string, folder: string | null) =>
  new Promise<void>((done) => {
    const env = { ...process.env, WERGON_DATABASE: databasePath, WERGON_BACKUPS: folder ?? '' };
    const child = spawn(process.execPath, [command, 'backup'], { env, stdio: 'ignore' });
    child.once('exit', () => done());
    child.once('error', () => done());
  });

type Around = {
  readonly databasePath: string;
  readonly folder: string | null;
  /** The program that makes one, for a process of its own. */
  readonly command: string;
};

export function createBackups(
  { databasePath, folder, command }: Around,
  shop: Context['shop'],
  make = () => makeApart(command, databasePath, folder),
): Backups {
  let running: Promise<void> | undefined;
  let triedAt = -Infinity;
  const run = () =>
    (running ??= make().finally(() => {
      running = undefined;
    }));
  const status = () =>
    folder === null
      ? { last: null, failed: null }
      : { last: listBackups(folder)[0] ?? null, failed: lastFailure(folder) ?? null };
  return {
    folder,
    isRunning: () => running !== undefined,
    status,
    run,
    runIfDue: async (now) => {
      const known = await shop.find();
      const hour = known?.settings.backup.hour;
      if (folder === null || !known || hour == null || running) return;
      const { last, failed } = status();
      const due = lastDue(known.zone, hour, now);
      const since = (at: string | undefined) => (at === undefined ? -Infinity : Date.parse(at) / 1000);
      const triedLast = Math.max(triedAt, since(failed?.at));
      if (since(last?.at) >= due || triedLast >= now - AGAIN_SECONDS) return;
      triedAt = now;
      await run();
    },
  };
}

/** When a backup at a full hour of the shop's day was due last. */
export function lastDue(zone: Zone, hour: number, now: number): number {
  const today = zone.dayAt(toInstant(now));
  const due = atWallClock(zone, today, hour * 3600);
  return due <= now ? due : atWallClock(zone, addDays(today, -1), hour * 3600);
}
