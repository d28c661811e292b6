import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { root } from '../scripts/prepare.mjs';

const MAIN = `${root}/server/dist/app/main.js`;
const COMMAND = `${root}/server/dist/app/command.js`;

async function findPort() {
  const probe = createServer();
  await new Promise((done) => probe.listen(0, '127.0.0.1', done));
  const { port } = probe.address();
  await new Promise((done) => probe.close(done));
  return port;
}

const environment = (database, folder, more) => ({
  ...process.env,
  WERGON_DATABASE: database,
  WERGON_BACKUPS: folder,
  WERGON_LOG: 'silent',
  ...more,
});

/** The built server on one file and one port through all its starts. */
export async function createServerProcess(database, folder, more = {}) {
  const port = await findPort();
  const url = `http://127.0.0.1:${port}`;
  let child;
  const server = {
    url,
    database,
    isAlive: () => child !== undefined && child.exitCode === null && child.signalCode === null,
    /** Starts it; `false` where it ended before it listened. */
    start: async () => {
      const own = spawn(process.execPath, [MAIN], {
        env: environment(database, folder, { WERGON_PORT: String(port), ...more }),
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      child = own;
      let said = '';
      own.stderr.on('data', (text) => (said += text));
      server.lastWords = () => said;
      return new Promise((ready) => {
        own.stdout.on('data', (text) => text.includes('listens at') && ready(true));
        // Not at its exit: what it said last may still be on its way then.
        own.once('close', () => ready(false));
      });
    },
    end: async (signal) => {
      const ending = child;
      if (!ending || !server.isAlive()) return;
      // Not its exit: the processes that read for it end just after it, and hold its files until then.
      const ended = new Promise((done) => ending.once('close', done));
      ending.kill(signal);
      await ended;
    },
    /** The processes it began: those that read for it. */
    readers: () =>
      readFileSync(`/proc/${child.pid}/task/${child.pid}/children`, 'utf8')
        .split(' ')
        .map(Number)
        .filter((pid) => pid > 0),
    lastWords: () => '',
  };
  process.once('exit', () => child?.kill('SIGKILL'));
  return server;
}

/** Runs a command of the product on a file; gives what it said. */
export function runCommand(database, folder, ...args) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [COMMAND, ...args], {
    env: environment(database, folder),
    encoding: 'utf8',
  });
  return { ok: status === 0, words: `${stdout}${stderr}`.trim() };
}

export const startCommand = (database, folder, ...args) =>
  spawn(process.execPath, [COMMAND, ...args], { env: environment(database, folder), stdio: 'ignore' });

/** No request is waited for longer than this. */
export const HANG_MS = 10_000;

/** One request, waited for as long as `patience`; `status` 0 where nobody answered, and `isHang` where it was too long. */
export async function ask(url, { method = 'GET', path, headers = {}, body, patience = HANG_MS }) {
  const from = performance.now();
  try {
    const response = await fetch(`${url}${path}`, {
      method,
      headers,
      ...(body === undefined ? {} : { body }),
      signal: AbortSignal.timeout(patience),
      redirect: 'manual',
    });
    const text = await response.text();
    return { status: response.status, text, headers: response.headers, ms: performance.now() - from };
  } catch (error) {
    const isHang = error?.name === 'TimeoutError';
    return { status: 0, text: '', isHang, ms: performance.now() - from };
  }
}

/** What a shop is made with is waited for longer: a machine that is busy beside it may take a while to start a reader. */
const PATIENT_MS = 60_000;

/** A caller with a cookie, for what must go well. */
export const createCaller = (url, cookie = '') => {
  const call = async (path, body) => {
    const { status, text, headers } = await ask(url, {
      method: body === undefined ? 'GET' : 'POST',
      path,
      headers: { cookie: call.cookie, 'wergon-person': '1', 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
      patience: PATIENT_MS,
    });
    const given = headers?.get('set-cookie')?.split(';')[0];
    if (given) call.cookie = given;
    if (status !== 200) throw Object.assign(new Error(`${path}: ${status} ${text}`), { status });
    return JSON.parse(text);
  };
  call.cookie = cookie;
  return call;
};
