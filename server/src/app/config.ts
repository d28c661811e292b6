import { resolve } from 'node:path';

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
};

export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const port = Number(env['WERGON_PORT'] ?? 7400);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error('WERGON_PORT must be a port number');
  return {
    port,
    host: env['WERGON_HOST'] ?? '127.0.0.1',
    databasePath: resolve(root, env['WERGON_DATABASE'] ?? '.data/wergon.sqlite'),
    webPath: resolve(root, 'web/dist'),
    logLevel: env['WERGON_LOG'] ?? 'info',
    isDemo: env['WERGON_DEMO'] === '1',
    clockStart: env['WERGON_CLOCK'],
    isClockFrozen: env['WERGON_CLOCK_FROZEN'] === '1',
  };
}
