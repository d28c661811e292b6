import { spawn } from 'node:child_process';

/** Starts a server in a process of its own and gives its address. */
export async function startProcess(file, env = {}) {
  const child = spawn(process.execPath, [file], {
    env: { ...process.env, WERGON_PORT: '0', WERGON_LOG: 'error', WERGON_BACKUPS: 'off', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise((ready, failed) => {
    child.stdout.on('data', (text) => {
      const match = /listens at (\S+)/.exec(text.toString());
      if (match) ready(match[1]);
    });
    child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
  });
  // A benchmark that fails leaves no server behind.
  process.once('exit', () => child.kill());
  const stop = () =>
    new Promise((done) => {
      child.once('exit', done);
      child.kill('SIGTERM');
    });
  return { url, stop, pid: child.pid };
}
