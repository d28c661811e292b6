import { spawnSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openFile } from '@wergon/server/backup';
import { createCaller, createServerProcess } from './server.mjs';
import { line, makeShop, nowSeconds, scanOf } from './shop.mjs';

const run = (command, ...args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;

/** A server on a small disk of its own that is filled up, and then can only be read. Absent where no such disk can be
 *  made here. */
export async function tortureDisk(dice) {
  const folder = mkdtempSync(join(tmpdir(), 'wergon-disk-'));
  if (!run('mount', '-t', 'tmpfs', '-o', 'size=24m', 'tmpfs', folder)) return undefined;
  const problems = [];
  const acknowledged = new Set();
  const server = await createServerProcess(join(folder, 'shop.sqlite'), 'off');
  try {
    await server.start();
    const shop = await makeShop(server.url, 1);
    const station = createCaller(server.url, shop.stations[0].cookie);
    const send = async (count) => {
      const batch = Array.from({ length: count }, () => scanOf(dice, shop, nowSeconds() - dice.below(3_600)));
      const { results } = await station('/api/station/entries', { entries: batch.map(line) });
      results.forEach(({ result }, i) => result === 'recorded' && acknowledged.add(batch[i].id));
    };
    const refusedWith = async (work) => {
      try {
        await work();
        return 200;
      } catch (error) {
        return error.status;
      }
    };
    await send(50);
    const filler = openSync(join(folder, 'filler'), 'w');
    fill(filler, 256 * 1024);
    fill(filler, 4 * 1024);
    const whileFull = [];
    for (let i = 0; i < 60 && whileFull.at(-1) !== 503; i += 1)
      whileFull.push(await refusedWith(() => send(100)));
    if (whileFull.at(-1) !== 503)
      problems.push(`a full disk was answered ${whileFull.slice(-3).join(', ')}, not 503`);
    const reads = await refusedWith(() => shop.desk('/api/floor'));
    if (reads !== 200) problems.push(`with a full disk a page was answered ${reads}`);
    // Every few seconds the server tries whether there is room again, and something small may find some: what is asked is
    // whether it is said after something was refused.
    let isSaid = false;
    for (let i = 0; i < 5 && !isSaid; i += 1) {
      if ((await refusedWith(() => send(100))) !== 503) continue;
      isSaid = (await fetch(`${server.url}/api/start`)).headers.get('wergon-writable') === '0';
    }
    if (!isSaid) problems.push('a full disk is not said');
    await server.end('SIGKILL');
    if (!(await server.start())) problems.push(`did not start on a full disk: ${server.lastWords()}`);
    closeSync(filler);
    rmSync(join(folder, 'filler'));
    await new Promise((done) => setTimeout(done, 6_000));
    if ((await refusedWith(() => send(20))) !== 200) problems.push('with room again nothing is recorded');
    await server.end('SIGKILL');
    run('mount', '-o', 'remount,ro', folder);
    if (!(await server.start()))
      problems.push(`did not start on a disk that can only be read: ${server.lastWords()}`);
    const readOnly = await refusedWith(() => send(5));
    if (readOnly !== 503) problems.push(`a disk that can only be read was answered ${readOnly}, not 503`);
    if ((await refusedWith(() => shop.desk('/api/work'))) !== 200)
      problems.push('a disk that can only be read cannot be read');
    await server.end('SIGKILL');
    run('mount', '-o', 'remount,rw', folder);
    await server.start();
    if ((await refusedWith(() => send(5))) !== 200) problems.push('written again nothing is recorded');
    await server.end('SIGTERM');
    const file = openFile(server.database);
    const ids = new Set(
      file
        .prepare('select "id" from "journal"')
        .all()
        .map(({ id }) => id),
    );
    file.close();
    const lost = [...acknowledged].filter((id) => !ids.has(id)).length;
    if (lost > 0) problems.push(`${lost} acknowledged entries are gone`);
    return { acknowledged: acknowledged.size, lost, problems };
  } finally {
    await server.end('SIGKILL');
    run('umount', '-l', folder);
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Fills what is left of a disk, piece by piece. */
function fill(file, size) {
  const piece = Buffer.alloc(size, 1);
  try {
    for (let i = 0; i < 10_000; i += 1) writeSync(file, piece);
  } catch {
    // Full, as was wanted.
  }
}
