import { createRequire } from 'node:module';
import { startProcess } from './serverProcess.mjs';
import { A_DAY, addPast, call, fill, makeShop, newPath, percentile, root } from './shop.mjs';

const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const DAY_MS = 86_400_000;

const middle = (took) =>
  percentile(
    took.sort((a, b) => a - b),
    0.5,
  );
async function timed(times, work) {
  const took = [];
  for (let i = 0; i < times; i += 1) {
    const from = performance.now();
    await work(i);
    if (i >= times / 4) took.push(performance.now() - from);
  }
  return middle(took);
}

/** The day before today, which is full. */
const dayText = new Date(Date.now() - 2 * DAY_MS).toISOString().slice(0, 10);

async function open(shop) {
  const { url, stop } = await startProcess(`${root}server/dist/app/main.js`, { WERGON_DATABASE: shop.path });
  const post = (path, body) => call(url, path, body, shop.cookie);
  const get = (path) => call(url, path, undefined, shop.cookie);
  return { url, stop, post, get };
}

/** One block of somebody's day, and the same block on another task. */
async function findEdit({ get }, shop) {
  const technician = shop.technicians[3];
  const { json } = await get(`/api/reconcile/day?technician=${technician}&day=${dayText}`);
  const { from, to, running } = json.stints[2];
  const block = {
    technician,
    from,
    to,
    running: running.map(({ target, workType }) => ({ target, workType })),
  };
  const other = shop.tasks.find((task) => json.stints.every((stint) => stint.running[0].target !== task));
  return { block, becomes: [{ ...block, running: [{ target: other, workType: 'run' }] }], reason: '' };
}

/** The middle time of a correction, each taken back before the next. */
async function correct(server, shop) {
  const edit = await findEdit(server, shop);
  const took = [];
  for (let i = 0; i < 40; i += 1) {
    const from = performance.now();
    const { json } = await server.post('/api/reconcile/tape', edit);
    if (i >= 10) took.push(performance.now() - from);
    await server.post('/api/reconcile/undo', { entries: json.entries });
  }
  return middle(took);
}

/** From the key that asks for the day before to the painted tape, in the real page. */
async function paint({ url }, steps) {
  const browser = await chromium.launch({
    executablePath: process.env.WERGON_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url);
  await page.getByLabel('User name').fill('bench');
  await page.getByLabel('Password').fill('a long password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByText('live', { exact: true }).waitFor();
  const took = [];
  for (let i = 0; i < steps; i += 1) {
    took.push(
      await page.evaluate(
        () =>
          new Promise((done) => {
            const blocks = () => document.querySelector('button.block')?.getAttribute('aria-label') ?? '';
            const before = blocks();
            const from = performance.now();
            document.querySelector('[aria-label="one day back"]').click();
            const look = () => {
              const now = blocks();
              if (now !== '' && now !== before) requestAnimationFrame(() => done(performance.now() - from));
              else requestAnimationFrame(look);
            };
            look();
          }),
      ),
    );
  }
  await browser.close();
  return middle(took.slice(1));
}

const small = await makeShop(newPath());
await addPast(small, 25);
await fill(small, 25 * A_DAY, 25);
const smallServer = await open(small);
const correctSmall = await correct(smallServer, small);
await smallServer.stop();

const large = await makeShop(newPath());
await addPast(large, 250);
await fill(large, 250 * A_DAY, 250);
const server = await open(large);
const floor = await timed(20, () => server.get(`/api/floor?day=${dayText}`));
const queue = await timed(5, () => server.get('/api/reconcile'));
const edit = await findEdit(server, large);
const preview = await timed(20, () => server.post('/api/reconcile/tape/preview', edit));
const correctLarge = await correct(server, large);
const painted = await paint(server, 9);
await server.stop();
process.stdout.write(
  JSON.stringify({ entries: A_DAY, floor, painted, queue, preview, correctSmall, correctLarge }),
);
