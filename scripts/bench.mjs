import { spawnSync } from 'node:child_process';
import { cpus } from 'node:os';
import { ensureBuilt, ensurePages, root } from './prepare.mjs';

ensureBuilt();
ensurePages();

function measure(file, ...args) {
  const { stdout, status } = spawnSync(process.execPath, ['--expose-gc', `bench/${file}`, ...args], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (status !== 0) process.exit(1);
  return JSON.parse(stdout);
}
const say = (text) => process.stdout.write(`${text}\n`);
const two = (value) => value.toFixed(2);

say(
  `${cpus().length} × ${cpus()[0]?.model}, Node ${process.version}, ${new Date().toISOString().slice(0, 10)}\n`,
);

const small = measure('ledger.mjs', '100000');
const large = measure('ledger.mjs', '1000000');
say('1  Deriving the ledger (200 technicians)');
for (const { count, derive, bare, peakMegabytes, stints, lines } of [small, large])
  say(
    `   ${count} entries: ${two(derive)} s, bare pass ${two(bare)} s, ${two(derive / bare)} times; peak ${peakMegabytes} MB; ${stints} stints, ${lines} lines`,
  );
say(
  `   growth for 10 times the work: ${two(large.derive / small.derive)} times   (aims: 5 times, 1024 MB, 11 times)\n`,
);

const { bytes, online, offline, waiting, drain, firstPaint } = measure('page.mjs');
const append = measure('append.mjs');
say('2  Scans appended over HTTP by 20 stations');
say(
  `   ${Math.round(append.oursPerSecond)}/s beside ${Math.round(append.barePerSecond)}/s of a bare handler: ${two(append.oursPerSecond / append.barePerSecond)}   (aim: 0.4)`,
);
say(`   p99 at 100 scans a second: ${two(append.p99)} ms   (aim: 50 ms)`);
say(
  `   one append with 1,000,000 entries present: ${two(append.appendLarge)} ms, with 1,000: ${two(append.appendSmall)} ms, ratio ${two(append.appendLarge / append.appendSmall)}   (aim: 1.2)`,
);
say(`   deriving all projections of 1,000,000 entries anew: ${two(append.rebuildSeconds)} s\n`);
say(`3  JavaScript and CSS of the station page, gzipped: ${two(bytes / 1000)} kB   (aim: 150 kB)\n`);
say('4  Last key of a scan to changed screen, 500 badges, processor throttled 4 times');
for (const [name, { p50, p95, p99 }] of Object.entries({ online, offline }))
  say(`   ${name}: p50 ${two(p50)}, p95 ${two(p95)}, p99 ${two(p99)} ms   (aim: p95 100 ms)`);
say(`   5,000 scans made offline (${waiting} entries) drained in ${two(drain)} s   (aim: 10 s)`);
say(`   first paint of the installed station, server gone: ${two(firstPaint)} ms   (aim: 1000 ms)`);

const brought = measure('import.mjs');
say(`\n5  Import of 10,000 rows (2,000 orders)`);
say(`   reading ${two(brought.read)} s, checking ${two(brought.check)} s, storing ${two(brought.store)} s`);
say(`   longest task of the page's own thread: ${two(brought.longestTask)} ms   (aim: 50 ms)`);
say(`   (while the driver handed the file over: ${two(brought.handing)} ms)`);
say(`   longest wait of another caller while storing: ${two(brought.longestWait)} ms`);

const day = measure('reconcile.mjs');
say('\n6  Reconcile, 200 people');
say(
  `   a day of ${day.entries} entries: server ${two(day.floor)} ms, to painted tape ${two(day.painted)} ms   (aim: 300 ms)`,
);
say(`   the queue of loose ends of fourteen such days: ${two(day.queue)} ms`);
say(`   effect preview of a correction: ${two(day.preview)} ms   (aim: 100 ms)`);
say(`   a correction with 1,000,000 entries of history: ${two(day.correctLarge)} ms   (aim: 200 ms)`);
say(
  `   with a tenth of the history ${two(day.correctSmall)} ms, ratio ${two(day.correctLarge / day.correctSmall)}   (aim: 1.2)`,
);

const heard = [measure('listening.mjs', '5', '20'), measure('listening.mjs', '100', '20')];
say('\n8  20 stations and 10 desks listen while stations scan');
for (const { perSecond, bytesPerScan, processorPerScan, p50, p95 } of heard)
  say(
    `   ${perSecond} scans a second: ${two(bytesPerScan / 1000)} kB and ${two(processorPerScan * 1000)} ms of processor for each; on another screen p50 ${two(p50)}, p95 ${two(p95)} ms   (aim: p95 300 ms)`,
  );

const read = measure('reading.mjs');
say(`\n7  Reading while stations scan, ${read.entries} entries of history`);
say(
  `   open work: ${two(read.oldWork)} ms, with a tenth of the history ${two(read.youngWork)} ms, ratio ${two(read.oldWork / read.youngWork)}   (aims: 300 ms, 1.3)`,
);
say(`   one page of finished orders, searched: ${two(read.past)} ms`);
say(`   20 scans a second while nobody reads: p50 ${two(read.aloneP50)}, p99 ${two(read.aloneP99)} ms`);
say(
  `   20 scans a second while ${read.readCount} long readings ran: p50 ${two(read.scanP50)}, p99 ${two(read.scanP99)}, longest ${two(read.scanMost)} ms   (aim: p99 50 ms)`,
);
say(`   the queue of a day with 10,000 starts of one person: ${two(read.queue / 1000)} s   (aim: 2 s)`);
say(`   the same with 5,000 loose ends of another person: ${two(read.endsQueue / 1000)} s   (aim: 2 s)`);

const compared = measure('compare.mjs');
say(`\n9  Compare, 200 people and a year of work: ${compared.lines} labor lines`);
if (compared.makingSeconds !== null)
  say(`   the shop was made in ${two(compared.makingSeconds)} s   (aim: 300 s)`);
const AIMS = { jobs: 500, causes: 1000, people: 300, machines: 300, cut: 2000, near: 300 };
for (const [name, { first, whole, part }] of Object.entries(compared.reads))
  say(
    `   ${name}: ${two(whole)} ms, the first time ${two(first)}, of a tenth ${two(part)} ms, ratio ${two(whole / part)}; beside a bare sum of the year ${two(whole / compared.bare)}   (aim: ${AIMS[name]} ms)`,
  );
say(`   a bare sum over the same lines: ${two(compared.bare)} ms`);
say(
  `   20 scans a second while ${compared.readCount} of these were read: p50 ${two(compared.scanP50)}, p99 ${two(compared.scanP99)} ms   (aim: p99 50 ms)`,
);
say(`   memory of the server: ${compared.peakMegabytes} MB   (aim: 1024 MB)`);
say(`   why an order differs, from its address to its chart: ${two(compared.bridge)} ms   (aim: 300 ms)`);
say(`   longest task of the page while a cut of a year folds: ${two(compared.folding)} ms   (aim: 50 ms)`);

const paid = measure('pay.mjs');
say('10  Pay');
say(
  `   one append with rules of overtime ${two(paid.append.with)} ms, without ${two(paid.append.without)} ms, ratio ${two(paid.append.with / paid.append.without)}   (aim: 1.15)`,
);
if (paid.period) {
  say(`   two weeks of 200 people opened: ${two(paid.period.best)} ms   (aim: 500 ms)`);
  say(`   a rule tried on a year, in ${paid.parts} parts: ${two(paid.tried / 1000)} s   (aim: 10 s)`);
} else say('   (set WERGON_LARGE to the large shop of section 9 to open a period and try a rule)');
