import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = resolve(root, 'node_modules/.wergon-installed');

/** Runs a command in the project and ends this process if it fails. */
export function run(command, args, { isQuiet = false, env = {} } = {}) {
  const stdio = isQuiet ? ['ignore', 'ignore', 'inherit'] : 'inherit';
  const { status } = spawnSync(command, args, { cwd: root, stdio, env: { ...process.env, ...env } });
  if (status !== 0) process.exit(status ?? 1);
}

/** Installs the packages of the lock file unless just these are installed already. */
export function ensureInstalled({ isQuiet = false } = {}) {
  const lock = readFileSync(resolve(root, 'package-lock.json'), 'utf8');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  if (!isQuiet) process.stdout.write('Installing packages…\n');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { isQuiet });
  writeFileSync(stamp, lock);
}

/** Compiles the packages named and what they stand on; what is up to date is left alone. */
export function ensureBuilt({ packages = ['core', 'contract', 'server', 'demo'], isQuiet = false } = {}) {
  ensureInstalled({ isQuiet });
  run(process.execPath, ['node_modules/typescript/bin/tsc', '-b', ...packages], { isQuiet });
}

/** Builds the pages, if a source is newer than what was built. */
export function ensurePages() {
  const built = resolve(root, 'web/dist/index.html');
  const { stdout } = spawnSync(
    'find',
    [
      'web',
      'core/src',
      'contract/src',
      '-path',
      '*/node_modules',
      '-prune',
      '-o',
      '-path',
      '*/dist',
      '-prune',
      '-o',
      '-type',
      'f',
      '-print',
    ],
    { cwd: root, encoding: 'utf8' },
  );
  const newest = Math.max(
    ...stdout
      .split('\n')
      .filter(Boolean)
      .map((file) => statSync(resolve(root, file)).mtimeMs),
  );
  if (existsSync(built) && statSync(built).mtimeMs >= newest) return;
  process.stdout.write('Building the pages…\n');
  run('npm', ['run', '--silent', 'build', '-w', 'web']);
}
