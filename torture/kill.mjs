import { copyFileSync, existsSync, rmSync } from 'node:fs';
import { openFile } from '@wergon/server/backup';
import { createCaller, startCommand } from './server.mjs';
import { FIRST_RUN, line, nowSeconds, scanOf } from './shop.mjs';

const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

/** What a kill falls into, beside scans of several stations. */
const KINDS = ['load', 'load', 'load', 'import', 'closing', 'rebuild', 'first-run', 'migration'];

/** Kills the server with -9 again and again in the middle of work, starts it again, sends again what nobody acknowledged,
 *  and counts what of the acknowledged is lost or there twice. */
export async function killOften({ dice, server, shop, folder, rounds, say }) {
  const acknowledged = new Map();
  const counts = { acknowledged: 0, resent: 0, lost: 0, doubled: 0, started: 0, closings: 0, imports: 0 };
  const problems = [];
  const kinds = {};
  let imports = 0;

  /** One station sends batches until the server is gone; what was not acknowledged stays in its outbox. */
  async function station({ cookie }, outbox, until) {
    const call = createCaller(server.url, cookie);
    while (!until.isOver) {
      if (outbox.length === 0)
        outbox.push(
          ...Array.from({ length: 1 + dice.below(12) }, () =>
            scanOf(dice, shop, nowSeconds() - dice.below(7_200)),
          ),
        );
      const batch = outbox.slice(0, 20);
      try {
        const { results } = await call('/api/station/entries', { entries: batch.map(line) });
        results.forEach(({ result }, i) => {
          if (result === 'recorded' || result === 'known')
            acknowledged.set(batch[i].id, JSON.stringify(batch[i]));
          if (result === 'known') counts.resent += 1;
        });
        outbox.splice(0, batch.length);
      } catch {
        return;
      }
    }
  }

  const attempts = {
    load: () => undefined,
    import: async () => {
      const number = `I${(imports += 1)}`;
      const desk = createCaller(server.url, shop.desk.cookie);
      const row = {
        number,
        title: 'Brought in',
        customer: 'Stock',
        quantity: '1',
        task: 'Strip',
        hours: '1',
      };
      const { import: id } = await desk('/api/exchange/orders', { step: 'rows', import: null, rows: [row] });
      const { isStored } = await desk('/api/exchange/orders', { step: 'store', import: id, mode: 'all' });
      if (isStored) acknowledged.set(`order ${number}`, number);
    },
    closing: async () => {
      const desk = createCaller(server.url, shop.desk.cookie);
      const { periods } = await desk('/api/pay/periods');
      const over =
        periods.filter(({ state }) => state === 'over').at(-1) ??
        periods.findLast(({ state }) => state === 'over');
      if (!over) return;
      const { stamp, firstDay } = await desk(`/api/pay/period?firstDay=${over.firstDay}`);
      await desk('/api/pay/close', { firstDay, stamp });
      acknowledged.set(`period ${firstDay}`, firstDay);
    },
  };

  async function start() {
    if (await server.start()) counts.started += 1;
    else problems.push(`did not start again: ${server.lastWords()}`);
  }

  const outboxes = shop.stations.map(() => []);
  for (let round = 0; round < rounds; round += 1) {
    const kind = KINDS[round % KINDS.length];
    kinds[kind] = (kinds[kind] ?? 0) + 1;
    if ((round + 1) % 20 === 0) say(`   ${round + 1} kills`);
    if (kind === 'first-run' || kind === 'migration') {
      problems.push(...(await killAtStart(dice, server, folder, kind, shop)));
      continue;
    }
    const until = { isOver: false };
    const clients = shop.stations.map((each, i) => station(each, outboxes[i], until));
    const attempt = Promise.resolve(attempts[kind]?.()).catch(() => undefined);
    await sleep(60 + dice.below(700));
    await server.end('SIGKILL');
    until.isOver = true;
    await Promise.all([...clients, attempt]);
    if (kind === 'rebuild') {
      const rebuilding = startCommand(server.database, folder, 'rebuild');
      const ended = new Promise((done) => rebuilding.once('exit', done));
      await sleep(200 + dice.below(1_200));
      rebuilding.kill('SIGKILL');
      await ended;
    }
    await start();
  }

  // What still waits is sent, as a station does when the server is back.
  for (const [i, { cookie }] of shop.stations.entries()) {
    const call = createCaller(server.url, cookie);
    for (; outboxes[i].length > 0;) {
      const batch = outboxes[i].splice(0, 20);
      const { results } = await call('/api/station/entries', { entries: batch.map(line) });
      results.forEach(
        ({ result }, n) => result !== 'refused' && acknowledged.set(batch[n].id, JSON.stringify(batch[n])),
      );
    }
  }
  await server.end('SIGTERM');

  const file = openFile(server.database);
  const rows = file.prepare('select "id", count(*) as "n" from "journal" group by "id"').all();
  const journal = new Map(rows.map(({ id, n }) => [id, n]));
  const orders = new Set(
    file
      .prepare('select "number" from "work_order"')
      .all()
      .map(({ number }) => number),
  );
  const periods = file
    .prepare(`select "body" from "journal" where "type" = 'close'`)
    .all()
    .map(({ body }) => JSON.parse(body).firstDay);
  file.close();
  for (const key of acknowledged.keys()) {
    const [what, of] = key.split(' ');
    const times =
      what === 'order' && of
        ? Number(orders.has(of))
        : what === 'period' && of
          ? periods.filter((each) => each === of).length
          : (journal.get(key) ?? 0);
    counts.acknowledged += 1;
    if (what === 'order' && of) counts.imports += 1;
    if (what === 'period' && of) counts.closings += 1;
    if (times === 0) counts.lost += 1;
    if (times > 1) counts.doubled += 1;
  }
  return { ...counts, kinds, problems };
}

/** Kills a server while it sets a shop up, or while it brings data of an older version up to date; whatever was
 *  acknowledged is there, and the next start goes well. */
async function killAtStart(dice, { database, url }, folder, kind, { oldDatabase }) {
  const { createServerProcess } = await import('./server.mjs');
  const path = `${database}-${kind}`;
  for (const end of ['', '-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
  if (kind === 'migration') {
    if (!existsSync(oldDatabase)) return [];
    copyFileSync(oldDatabase, path);
  }
  void url;
  const server = await createServerProcess(path, folder);
  const problems = [];
  const starting = server.start();
  let isSetUp = false;
  if (kind === 'first-run') {
    await starting;
    void createCaller(server.url)('/api/first-run', FIRST_RUN).then(
      () => (isSetUp = true),
      () => undefined,
    );
  }
  await sleep(dice.below(kind === 'first-run' ? 300 : 2_000));
  await server.end('SIGKILL');
  await starting;
  if (!(await server.start())) return [`${kind}: did not start: ${server.lastWords()}`];
  const call = createCaller(server.url);
  const { needsFirstRun } = await call('/api/start');
  if (isSetUp && needsFirstRun) problems.push(`${kind}: an acknowledged first run is gone`);
  if (kind === 'migration' && needsFirstRun) problems.push('migration: the users are gone');
  if (kind === 'first-run' && needsFirstRun) await call('/api/first-run', FIRST_RUN);
  await server.end('SIGTERM');
  return problems;
}
