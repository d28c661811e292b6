import { cpSync, mkdtempSync, readdirSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from '../scripts/prepare.mjs';

/** Tortures the built product, bounded and from a seed. `--short` is the form that the tests run. */
const isShort = process.argv.includes('--short');
const option = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const seed = option('seed', Math.floor(Math.random() * 2 ** 31));
const requests = option('requests', isShort ? 2_000 : 100_000);
const kills = option('kills', isShort ? 10 : 200);

ensureBuilt({ packages: ['core', 'contract', 'server'], isQuiet: true });
const { createDice } = await import('./dice.mjs');
const { ask, createServerProcess, runCommand } = await import('./server.mjs');
const { makeShop } = await import('./shop.mjs');
const { makeOldDatabase } = await import('./oldDatabase.mjs');
const { fuzz } = await import('./fuzz.mjs');
const { killOften } = await import('./kill.mjs');
const { tortureDisk } = await import('./disk.mjs');
const { tortureClocks } = await import('./clocks.mjs');

const say = (text) => process.stdout.write(`${text}\n`);
const from = performance.now();
let [passed, failed] = [0, 0];
function check(words, isSo, more = '') {
  if (isSo) passed += 1;
  else failed += 1;
  say(`   ${isSo ? 'ok  ' : 'FAIL'} ${words}${isSo || more === '' ? '' : `\n        ${more}`}`);
}

say(
  `seed ${seed}; ${cpus().length} × ${cpus()[0]?.model}, Node ${process.version}, ${new Date().toISOString().slice(0, 10)}`,
);
const dice = createDice(seed);
const home = mkdtempSync(join(tmpdir(), 'wergon-torture-'));
const folder = join(home, 'backups');
const server = await createServerProcess(join(home, 'shop.sqlite'), folder);
await server.start();
const shop = await makeShop(server.url);
shop.oldDatabase = join(home, 'old.sqlite');
await makeOldDatabase(shop.oldDatabase);

say(`\nClocks that are off`);
const clocks = await tortureClocks(dice, { url: server.url, shop });
check('what is done now is seen now', clocks.problems.length === 0, clocks.problems.join('; '));

say(
  `\n${requests} varied requests of ${Object.keys(shop.users).length} roles, ${shop.stations.length} stations and strangers`,
);
const fuzzed = await fuzz({ dice, url: server.url, shop, count: requests, isAlive: server.isAlive, say });
say(
  `   answers: ${Object.entries(fuzzed.statuses)
    .map(([status, count]) => `${status} × ${count}`)
    .join(', ')}; slowest ${Math.round(fuzzed.slowest)} ms`,
);
check('no answer is 500', !fuzzed.statuses[500], JSON.stringify(fuzzed.failures.slice(0, 5)));
check(
  'no request hangs for ten seconds',
  !fuzzed.failures.some(({ isHang }) => isHang),
  JSON.stringify(fuzzed.failures.slice(0, 3)),
);
check('the server is alive', server.isAlive());
// What is looked at is who is answered what. Behind a process that has to start anew many wait longer than a request may.
const readTrail = async () => {
  const headers = { cookie: shop.desk.cookie };
  return (await ask(server.url, { path: '/api/ledger/trail', headers, patience: 60_000 })).status;
};
const reading = Array.from({ length: 20 }, readTrail);
const readers = server.readers();
for (const pid of readers) process.kill(pid, 'SIGKILL');
const answers = [...(await Promise.all(reading)), await readTrail()];
check(
  `${readers.length} reading processes are killed at work: who waited is told to come again, and others take their place`,
  readers.length === 2 &&
    server.isAlive() &&
    answers.at(-1) === 200 &&
    answers.every((status) => status === 200 || status === 503),
  `answered ${answers.join(', ')}`,
);
const verified = runCommand(server.database, folder, 'verify');
check('the chain holds', verified.ok, verified.words);
const backup = runCommand(server.database, folder, 'backup');
check('a backup taken meanwhile is whole, and a rebuild of it gives the same rows', backup.ok, backup.words);
const second = await createServerProcess(server.database, folder);
const isSecondUp = await second.start();
check(
  'a second server on the same file refuses to start',
  !isSecondUp && /in use/.test(second.lastWords()),
  isSecondUp ? 'it started' : `it said: ${second.lastWords()}`,
);

say(`\n${kills} kills with -9`);
const killed = await killOften({ dice, server, shop, folder, rounds: kills, say });
say(
  `   ${Object.entries(killed.kinds)
    .map(([kind, count]) => `${kind} × ${count}`)
    .join(', ')}; ${killed.acknowledged} acknowledged, ${killed.resent} of them sent again`,
);
check('nothing that was acknowledged is lost', killed.lost === 0, `${killed.lost}`);
check('nothing is there twice', killed.doubled === 0, `${killed.doubled}`);
check('every start after a kill goes well', killed.problems.length === 0, killed.problems.join('; '));
const after = runCommand(server.database, folder, 'verify');
check('the chain holds', after.ok, after.words);
const last = runCommand(server.database, folder, 'backup');
check('a rebuild gives the same rows', last.ok, last.words);
const [newest] = readdirSync(folder)
  .filter((name) => /^wergon-.*\.sqlite$/.test(name))
  .sort()
  .reverse();
cpSync(join(folder, newest), join(home, 'copy.sqlite'));
const restored = runCommand(join(home, 'restored.sqlite'), folder, 'restore', join(home, 'copy.sqlite'));
check('the backup is brought back', restored.ok, restored.words);

say('\nA disk that is full, and one that can only be read');
const disk = await tortureDisk(dice);
if (disk)
  check(
    `${disk.acknowledged} acknowledged, none lost; refused, said, and over by itself`,
    disk.problems.length === 0,
    disk.problems.join('; '),
  );
else say('   left out: no disk of its own can be mounted here');

say(`\n${Math.round((performance.now() - from) / 1000)} s, seed ${seed}`);
say(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
