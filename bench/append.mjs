import { startProcess } from './serverProcess.mjs';
import { call, fill, line, makeShop, newPath, now, percentile, root } from './shop.mjs';

const STATIONS = 20;

/** Sends as fast as answers come, from 20 stations at once, for some seconds. */
async function throughput(send, seconds) {
  const end = performance.now() + seconds * 1000;
  let count = 0;
  const station = async (first) => {
    for (let i = first; performance.now() < end; i += STATIONS) {
      await send(i);
      count += 1;
    }
  };
  await Promise.all(Array.from({ length: STATIONS }, (_, i) => station(i)));
  return count / seconds;
}

/** Sends at a steady rate and gives the time from sending to the answer at the 99th percentile, in milliseconds. */
async function latency(send, perSecond, seconds) {
  const took = [];
  const open = [];
  const from = performance.now();
  for (let i = 0; i < perSecond * seconds; i += 1) {
    const due = from + (i * 1000) / perSecond;
    await new Promise((wait) => setTimeout(wait, Math.max(0, due - performance.now())));
    const sentAt = performance.now();
    open.push(send(i).then(() => took.push(performance.now() - sentAt)));
  }
  await Promise.all(open);
  return percentile(
    took.sort((a, b) => a - b),
    0.99,
  );
}

const sender = (shop, url) => (i) =>
  call(url, '/api/station/entries', { entries: [line(shop, i, now())] }, shop.station);

/** The middle time of one append after another, in milliseconds. */
async function oneAppend(shop) {
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });
  const send = sender(shop, url);
  const took = [];
  for (let i = 0; i < 600; i += 1) {
    const from = performance.now();
    await send(i);
    if (i >= 200) took.push(performance.now() - from);
  }
  await stop();
  return percentile(
    took.sort((a, b) => a - b),
    0.5,
  );
}

const shop = await makeShop(newPath());
const bare = await startProcess(`${root}bench/bareServer.mjs`);
const ours = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });
const sendBare = (i) => call(bare.url, '/', { entries: [line(shop, i, now())] });
const sendOurs = sender(shop, ours.url);
await throughput(sendBare, 2);
await throughput(sendOurs, 2);
const barePerSecond = await throughput(sendBare, 8);
const oursPerSecond = await throughput(sendOurs, 8);
const p99 = await latency(sendOurs, 100, 10);
await bare.stop();
await ours.stop();

const small = await makeShop(newPath());
await fill(small, 1_000);
const large = await makeShop(newPath());
const rebuildSeconds = await fill(large, 1_000_000);
const appendSmall = await oneAppend(small);
const appendLarge = await oneAppend(large);
process.stdout.write(
  JSON.stringify({ barePerSecond, oursPerSecond, p99, appendSmall, appendLarge, rebuildSeconds }),
);
