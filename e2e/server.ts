import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const MAIN = fileURLToPath(new URL('../server/dist/app/main.js', import.meta.url));

/** When it is by the servers' clock as the tests begin: a Tuesday afternoon, on which nothing happens to clocks. */
export const OPENS = '2026-11-24T15:00:00+01:00';

/** A port that nobody uses now; the server is started on the same one again after it was stopped. */
async function findPort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((done) => probe.listen(0, '127.0.0.1', done));
  const { port } = probe.address() as AddressInfo;
  await new Promise((done) => probe.close(done));
  return port;
}

export type TestServer = {
  /** What the server's clock says, in milliseconds; it runs on through restarts. */
  readonly nowMs: () => number;
  /** The file of its database. */
  readonly database: string;
  readonly url: string;
  readonly start: () => Promise<void>;
  /** Ends it as an operator does. */
  readonly stop: () => Promise<void>;
  /** Ends it as a power cut does. */
  readonly kill: () => Promise<void>;
};

/** The built product on a database of its own, on one port through all its restarts. */
export async function createServerProcess(env: Readonly<Record<string, string>> = {}): Promise<TestServer> {
  const port = await findPort();
  const database = env['WERGON_DATABASE'] ?? join(mkdtempSync(join(tmpdir(), 'wergon-e2e-')), 'shop.sqlite');
  const opens = Date.parse(env['WERGON_CLOCK'] ?? OPENS);
  const begun = performance.now();
  const nowMs = () => Math.floor(opens + performance.now() - begun);
  let running: ChildProcess | undefined;
  const end = async (signal: 'SIGTERM' | 'SIGKILL') => {
    const ending = running;
    running = undefined;
    if (!ending || ending.exitCode !== null) return;
    const ended = new Promise((done) => ending.once('exit', done));
    ending.kill(signal);
    const code = await ended;
    if (signal === 'SIGTERM' && code !== 0)
      throw new Error(`the server did not stop in order: ${String(code)}`);
  };
  return {
    nowMs,
    database,
    url: `http://127.0.0.1:${port}`,
    start: async () => {
      const child = spawn(process.execPath, [MAIN], {
        env: {
          ...process.env,
          WERGON_PORT: String(port),
          WERGON_DATABASE: database,
          WERGON_LOG: 'error',
          WERGON_BACKUPS: 'off',
          ...env,
          WERGON_CLOCK: env['WERGON_CLOCK_FROZEN']
            ? (env['WERGON_CLOCK'] ?? OPENS)
            : new Date(nowMs()).toISOString(),
        },
        stdio: ['ignore', 'pipe', 'inherit'],
      });
      running = child;
      // Whatever fails, the server must not live on.
      const killWithUs = () => child.kill('SIGKILL');
      process.once('exit', killWithUs);
      child.once('exit', () => process.off('exit', killWithUs));
      await new Promise<void>((ready, failed) => {
        child.stdout.on('data', (text: Buffer) => text.includes('listens at') && ready());
        child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
      });
    },
    stop: () => end('SIGTERM'),
    kill: () => end('SIGKILL'),
  };
}
