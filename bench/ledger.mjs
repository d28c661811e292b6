import { deriveLedger } from '@wergon/core/ledger';
import { createZone, dated, toInstant } from '@wergon/core/time';

// One size in a process of its own, so that its peak memory is its own: node bench/ledger.mjs COUNT
const count = Number(process.argv[2]);
const TECHNICIANS = 200;
const TASKS = 4_000;
const zone = createZone('Europe/Helsinki').value;
const START = Date.UTC(2025, 0, 6, 5) / 1000;
const DAY = 86_400;
const PER_DAY = 20;

/** A year of ordinary days: in, nine tasks with a break after the fourth, out. */
function makeJournal() {
  const journal = [];
  const days = Math.ceil(count / (TECHNICIANS * PER_DAY));
  for (let day = 0; day < days; day += 1)
    for (let who = 0; who < TECHNICIANS; who += 1) {
      let at = START + day * DAY + who * 7;
      const technician = `t${who}`;
      const add = (type, more) => {
        if (journal.length < count)
          journal.push({ id: `e${journal.length}`, type, at: toInstant(at), technician, ...more });
        at += 1500;
      };
      add('shift-in');
      for (let i = 0; i < 17; i += 1) {
        if (i === 8) add('break-start');
        else if (i === 9) add('break-end');
        else
          add('work-start', {
            targets: [`k${(day * 31 + who * 7 + i) % TASKS}`],
            ...(i % 8 === 3 ? { join: true } : {}),
          });
      }
      add('work-stop');
      add('shift-out');
    }
  return journal;
}

const journal = makeJournal();
const targets = new Map(
  Array.from({ length: TASKS }, (_, i) => [
    `k${i}`,
    { kind: 'task', estimate: dated(3600 + i), isReleased: dated(true) },
  ]),
);
const costRates = new Map(
  Array.from({ length: TECHNICIANS }, (_, i) => [`t${i}`, [{ from: 0, rate: 350_000 + i }]]),
);
const policy = dated({
  split: 'estimate',
  maxStintHours: 12,
  maxShiftHours: 16,
  gapMinutes: 5,
  maxBreakMinutes: 60,
});
const facts = { zone, policy, targets, costRates };
const asOf = toInstant(journal.at(-1).at + 10);

/** The least that anybody could do: seconds per technician, target and day, from each start to the next entry. */
function barePass() {
  const sums = new Map();
  const last = new Map();
  for (const entry of journal) {
    const before = last.get(entry.technician);
    if (before?.targets) {
      const key = `${entry.technician} ${before.targets[0]} ${zone.dayAt(before.at)}`;
      sums.set(key, (sums.get(key) ?? 0) + entry.at - before.at);
    }
    last.set(entry.technician, entry);
  }
  return sums;
}

const time = (work) => {
  globalThis.gc?.();
  const from = performance.now();
  const result = work();
  return { seconds: (performance.now() - from) / 1000, result };
};
const best = (first, work) => Math.min(first, ...[1, 2].map(() => time(work).seconds));
const bareFirst = time(barePass).seconds;
const { seconds: deriveFirst, result } = time(() => deriveLedger(journal, facts, asOf));
// Memory is that of one derivation, with the journal itself; the quickest of three tells the speed.
const peakMegabytes = Math.round(process.resourceUsage().maxRSS / 1024);
const { stints, lines, looseEnds } = Object.fromEntries(
  Object.entries(result).map(([name, { length }]) => [name, length]),
);
const bare = best(bareFirst, barePass);
const derive = best(deriveFirst, () => deriveLedger(journal, facts, asOf));
process.stdout.write(JSON.stringify({ count, bare, derive, peakMegabytes, stints, lines, looseEnds }));
