import { dirname, join, resolve } from 'node:path';

/** What the environment can say. Documented in docs/running.md. */
export type Config = {
  readonly port: number;
  readonly host: string;
  readonly databasePath: string;
  readonly webPath: string;
  readonly logLevel: string;
  readonly isDemo: boolean;
  /** An instant at which the clock starts, for tests and pictures. */
  readonly clockStart: string | undefined;
  readonly isClockFrozen: boolean;
  /** A certificate and its key, where the shop has its own. */
  readonly certPath: string | undefined;
  readonly keyPath: string | undefined;
  /** Whether a proxy in front of the server speaks to the devices. */
  readonly isBehindProxy: boolean;
  /** Where backups are kept; `null` for none. */
  readonly backupsPath: string | null;
  /** Names by which devices call this server, beside its host name and addresses. */
  readonly names: readonly string[];
};

export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const port = Number(env['WERGON_PORT'] ?? 7400);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error('WERGON_PORT must be a port number');
  const certPath = env['WERGON_CERT'];
  const keyPath = env['WERGON_KEY'];
  if ((certPath === undefined) !== (keyPath === undefined))
    throw new Error('WERGON_CERT and WERGON_KEY belong together: set both, or neither');
  const databasePath = resolve(root, env['WERGON_DATABASE'] ?? '.data/wergon.sqlite');
  const backups = env['WERGON_BACKUPS'] ?? join(dirname(databasePath), 'backups');
  return {
    port,
    host: env['WERGON_HOST'] ?? '127.0.0.1',
    databasePath,
    backupsPath: backups === 'off' ? null : resolve(root, backups),
    webPath: resolve(root, 'web/dist'),
    logLevel: env['WERGON_LOG'] ?? 'info',
    isDemo: env['WERGON_DEMO'] === '1',
    clockStart: env['WERGON_CLOCK'],
    isClockFrozen: env['WERGON_CLOCK_FROZEN'] === '1',
    certPath,
    keyPath,
    isBehindProxy: env['WERGON_PROXY'] === '1',
    names: (env['WERGON_NAMES'] ?? '').split(',').flatMap((name) => name.trim() || []),
  };
}
