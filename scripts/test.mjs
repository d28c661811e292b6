import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureInstalled, root } from './prepare.mjs';

/** Installs, checks and tests everything; ends with one line that counts the tests. */
ensureInstalled();
const chromium = findChromium();

let passed = 0;
let failed = 0;
const reports = mkdtempSync(join(tmpdir(), 'wergon-tests-'));

function step(name, command, args, env = {}) {
  process.stdout.write(`\n== ${name}\n`);
  const from = performance.now();
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  process.stdout.write(`(${name}: ${Math.round((performance.now() - from) / 1000)} s)\n`);
  return status === 0;
}
const npm = (name, script, env) => step(name, 'npm', ['run', '--silent', ...script], env);
/** A check counts as one test. */
function tell(isGood) {
  if (isGood) passed += 1;
  else failed += 1;
}
const check = (name, script) => tell(npm(name, script));
/** A check beside others, whose words are said when it is awaited. */
function checkBeside(name, script) {
  const child = spawn('npm', ['run', '--silent', ...script], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const said = [];
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => said.push(piece));
  const ended = new Promise((done) => child.once('close', done));
  return async () => {
    const status = await ended;
    process.stdout.write(`\n== ${name}\n${Buffer.concat(said).toString()}`);
    tell(status === 0);
  };
}

check('Build', ['build']);
// Each of them keeps one processor busy at the most, and torture waits for disks and processes: at once they take less.
const tortured = checkBeside('Torture, the short form', ['torture', '--', '--short']);
const typed = checkBeside('Types', ['typecheck']);
check('Lint', ['lint']);
await typed();
await tortured();

const unitReport = join(reports, 'unit.json');
const unitsRan = npm('Unit tests', ['unit', '--', '--json', `--outputFile=${unitReport}`]);
count(unitsRan, unitReport, ({ numPassedTests, numFailedTests }) => [numPassedTests, numFailedTests]);

const browserReport = join(reports, 'browser.json');
if (chromium) {
  const ran = npm('Browser tests', ['e2e', '--', '--reporter=list,json'], {
    WERGON_CHROMIUM: chromium,
    PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport,
  });
  count(ran, browserReport, ({ stats }) => [stats.expected, stats.unexpected + stats.flaky]);
} else {
  process.stdout.write(
    '\nThe browser tests need Chromium, which is not here and could not be installed.\n' +
      'Install it (on Debian: apt-get install chromium) or set WERGON_CHROMIUM to its path.\n',
  );
  failed += 1;
}

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);

function count(hasSucceeded, report, read) {
  let counts = [0, 1];
  if (existsSync(report)) counts = read(JSON.parse(readFileSync(report, 'utf8')));
  passed += counts[0];
  // A run that failed without a failing test, say in its setup, is a failure all the same.
  failed += hasSucceeded ? counts[1] : Math.max(1, counts[1]);
}

/** The path of a Chromium, installed with apt where there is none and that is possible. */
function findChromium() {
  const known = process.env.WERGON_CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(known)) return known;
  if (!existsSync('/usr/bin/apt-get') || process.getuid?.() !== 0) return undefined;
  process.stdout.write('Installing Chromium…\n');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ])
    spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env });
  return existsSync(known) ? known : undefined;
}
