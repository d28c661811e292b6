import http from 'node:http';
import { readFileSync, readdirSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { A_DAY, call, fill, line, makeShop, newPath, now, percentile, root } from './shop.mjs';
import { startProcess } from './serverProcess.mjs';

// 20 stations and 10 desks that show the floor listen while stations scan: what the server sends and spends for each scan,
// and how long a scan takes to another screen. The listeners ask as the pages do. With `whole` they ask as pages did that
// were told only that something had changed, for a server of that time.
const [perSecond = '100', seconds = '20', how = 'changes'] = process.argv.slice(2);
const STATIONS = 20;
const DESKS = 10;
const QUIET_MS = 150;
const SLOW_MS = 1_000;
const TICKS_PER_SECOND = 100;

const shop = await makeShop(newPath());
await fill(shop, 10 * A_DAY, 10);
const server = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });
const { port } = new URL(server.url);

/** Processor seconds of the server and of its readers. */
function processorSeconds() {
  const pids = readdirSync('/proc').filter((name) => /^\d+$/.test(name));
  const stats = pids.flatMap((pid) => {
    try {
      const text = readFileSync(`/proc/${pid}/stat`, 'utf8');
      const fields = text.slice(text.lastIndexOf(')') + 2).split(' ');
      return [
        { pid: Number(pid), parent: Number(fields[1]), ticks: Number(fields[11]) + Number(fields[12]) },
      ];
    } catch {
      return [];
    }
  });
  const own = stats.filter(({ pid, parent }) => pid === server.pid || parent === server.pid);
  return own.reduce((sum, { ticks }) => sum + ticks, 0) / TICKS_PER_SECOND;
}

let isOver = false;
let bytes = 0;
const agent = new http.Agent({ keepAlive: true, maxSockets: Infinity });
/** Asks as a browser does, and counts what arrives. */
const ask = (path, cookie, isRead = false) =>
  new Promise((resolve, reject) => {
    http
      .get({ port, path, agent, headers: { cookie, 'accept-encoding': 'gzip' } }, (response) => {
        const parts = [];
        response.on('data', (part) => {
          bytes += part.length;
          parts.push(part);
        });
        response.on('end', () => {
          // Only who looks unpacks: all listeners share one process here, and not thirty.
          if (!isRead) return resolve('');
          const body = Buffer.concat(parts);
          resolve((response.headers['content-encoding'] === 'gzip' ? gunzipSync(body) : body).toString());
        });
      })
      .on('error', (error) => (isOver ? resolve('null') : reject(error)));
  });

const streams = [];
function listen(path, cookie, onEvent) {
  http.get({ port, path, headers: { cookie } }, (response) => {
    streams.push(response);
    response.on('error', () => undefined);
    response.on('data', (part) => {
      bytes += part.length;
      const event = /event: (journal|setup|missed)\ndata: .*?"seq":(\d+)/.exec(part.toString());
      if (event) onEvent(Number(event[2]));
    });
  });
}
/** The first at once, what comes right behind it together; or, as it was, once it has been quiet. */
function throttled(work, ms) {
  let isRunning = false;
  let isWanted = false;
  const run = async () => {
    isRunning = true;
    while (isWanted) {
      isWanted = false;
      await work();
      await new Promise((wait) => setTimeout(wait, ms));
    }
    isRunning = false;
  };
  return () => {
    isWanted = true;
    if (!isRunning) void run();
  };
}
function debounced(work, ms) {
  let timer;
  return () => {
    clearTimeout(timer);
    timer = setTimeout(work, ms);
  };
}
const isWhole = how === 'whole';
const paced = isWhole ? debounced : throttled;

const probes = new Map();
const took = [];
function look(text) {
  for (const [id, sentAt] of probes)
    if (text.includes(id)) {
      took.push(performance.now() - sentAt);
      probes.delete(id);
    }
}

const first = JSON.parse(await ask('/api/station/directory', shop.station, true));
for (let i = 0; i < STATIONS; i += 1) {
  let { seq } = first;
  let heard = seq;
  const refresh = paced(async () => {
    const path = isWhole ? '/api/station/directory' : `/api/station/directory/changes?after=${seq}`;
    seq = heard;
    await ask(path, shop.station);
  }, QUIET_MS);
  listen('/api/station/stream', shop.station, (said) => {
    heard = said;
    refresh();
  });
}
const day = new Date(Date.now() + 2 * 3_600_000).toISOString().slice(0, 10);
for (let i = 0; i < DESKS; i += 1) {
  let { seq } = first;
  let heard = seq;
  const isLooking = i === 0;
  const floor = async () => {
    const path = isWhole ? `/api/floor?day=${day}` : `/api/floor/changes?day=${day}&after=${seq}`;
    seq = heard;
    const text = await ask(path, shop.cookie, isLooking);
    if (isLooking) look(text);
  };
  const others = async () => {
    for (const path of ['/api/rail', '/api/floor/latest', '/api/floor/requests'])
      await ask(path, shop.cookie);
  };
  const quick = paced(isWhole ? () => Promise.all([floor(), others()]) : floor, QUIET_MS);
  const slow = isWhole ? () => undefined : throttled(others, SLOW_MS);
  listen('/api/stream', shop.cookie, (said) => {
    heard = said;
    quick();
    slow();
  });
}
await new Promise((wait) => setTimeout(wait, 2_000));

bytes = 0;
const spentBefore = processorSeconds();
const from = performance.now();
const count = Number(perSecond) * Number(seconds);
const open = [];
for (let i = 0; i < count; i += 1) {
  const due = from + (i * 1000) / Number(perSecond);
  await new Promise((wait) => setTimeout(wait, Math.max(0, due - performance.now())));
  const scan = line(shop, i, now());
  if (i % Math.max(1, Math.round(Number(perSecond) / 5)) === 0) probes.set(scan.entry.id, performance.now());
  open.push(call(server.url, '/api/station/entries', { entries: [scan] }, shop.station));
}
await Promise.all(open);
const isUnseen = probes.size;
await new Promise((wait) => setTimeout(wait, 1_000));
const spent = processorSeconds() - spentBefore;
const sorted = took.sort((a, b) => a - b);
isOver = true;
for (const stream of streams) stream.destroy();
agent.destroy();
await server.stop();
process.stdout.write(
  JSON.stringify({
    perSecond: Number(perSecond),
    bytesPerScan: bytes / count,
    processorPerScan: spent / count,
    seen: sorted.length,
    unseenAtEnd: isUnseen,
    p50: percentile(sorted, 0.5),
    p95: percentile(sorted, 0.95),
  }),
);
