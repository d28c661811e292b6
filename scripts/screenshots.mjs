import { createRequire } from 'node:module';
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensurePages, root, run } from './prepare.mjs';

/** Takes one picture of each main view from the demo data, with its clock standing still. */
ensureBuilt();
ensurePages();
const { chromium } = createRequire(join(root, 'e2e/package.json'))('@playwright/test');
const database = join(mkdtempSync(join(tmpdir(), 'wergon-pictures-')), 'demo.sqlite');
run(process.execPath, ['demo/dist/main.js', '--only-data'], { env: { WERGON_DATABASE: database } });

const server = spawn(process.execPath, ['server/dist/app/main.js'], {
  cwd: root,
  env: {
    ...process.env,
    WERGON_DATABASE: database,
    WERGON_DEMO: '1',
    WERGON_CLOCK: '2026-11-24T13:37:00+02:00',
    WERGON_CLOCK_FROZEN: '1',
    WERGON_PORT: '0',
    WERGON_LOG: 'error',
  },
  stdio: ['ignore', 'pipe', 'inherit'],
});
// Whatever fails, the server must not live on.
process.once('exit', () => server.kill('SIGTERM'));
const url = await new Promise((ready) =>
  server.stdout.on('data', (text) => {
    const match = /listens at (\S+)/.exec(text.toString());
    if (match) ready(match[1]);
  }),
);

const browser = await chromium.launch({
  executablePath: process.env.WERGON_CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--no-first-run',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
const page = await context.newPage();
const take = async (name) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
  process.stdout.write(`${name}\n`);
};
const ask = (path, body) =>
  page.evaluate(
    async ([to, sent]) => {
      const options = sent
        ? { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(sent) }
        : {};
      return (await fetch(to, options)).json();
    },
    [path, body],
  );
const scan = async (code) => {
  await page.keyboard.type(code);
  await page.keyboard.press('Enter');
};

await page.goto(url);
await page.getByLabel('User name').fill('solveig');
await page.getByLabel('Password').fill('odden-rewind');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByText('on tasks').first().waitFor();
await page.getByText('live', { exact: true }).waitFor();
await page.getByText(/^\d+ loose$/).waitFor();
await take('floor');

const week = '2026-11-17';
const views = [
  ['wall', '/wall', '1 of'],
  ['week', `/reconcile/week/t8/${week}`, 'scanned on jobs'],
  ['approve', '/reconcile/approve', 'to approve'],
  ['pay', '/pay', 'not yet approved'],
];
for (const [name, path, ready] of views) {
  await page.goto(`${url}${path}`);
  await page.getByText(ready).first().waitFor();
  if (name !== 'wall') await page.getByText('live', { exact: true }).waitFor();
  await take(name);
}

await page.goto(`${url}/work`);
await page.getByText('past an estimate').waitFor();
await page.getByText('live', { exact: true }).waitFor();
await take('work');

const { orders } = await ask('/api/work');
const [over] = orders
  .filter(({ state, peopleOn }) => state === 'released' && peopleOn.length > 0)
  .sort((a, b) => b.comparison.overSeconds - a.comparison.overSeconds);
await page.goto(`${url}/work/${over.id}`);
await page.locator('button.task').nth(1).click();
await page.getByRole('button', { name: 'Scans' }).first().click();
await page.getByText('entry').first().waitFor();
await page.getByText('live', { exact: true }).waitFor();
await take('order');
await page.goto(`${url}/work/${over.id}/why`);
await page.getByText('most of it').waitFor();
await page.locator('canvas').waitFor();
await page.getByText('live', { exact: true }).waitFor();
await take('why');

await page.goto(`${url}/reconcile`);
const forgotten = page.getByRole('listitem').filter({ hasText: 'never stopped' }).first();
await forgotten.focus();
await forgotten.getByText('becomes').first().waitFor();
await page.getByText('live', { exact: true }).waitFor();
await take('reconcile');

await page.goto(`${url}/shop/standards`);
await page.getByRole('button', { name: /Rewind 90 kW pump motor/ }).click();
await page.getByText('live', { exact: true }).waitFor();
await take('standards');

await page.goto(`${url}/compare`);
await page.getByText('jobs finished').waitFor();
await page.getByText('live', { exact: true }).waitFor();
await take('compare');

await page.goto(`${url}/shop/labels?kind=travelers&order=${over.id}`);
await page.getByLabel('setup').check();
await page.getByRole('button', { name: 'Preview' }).click();
await page.getByText('Print, or save as PDF').waitFor();
await page.getByText('live', { exact: true }).waitFor();
await take('labels');

const { technicians } = await ask('/api/people');
const maja = technicians.find(({ name }) => name === 'Maja Lindqvist').badges[0].code;
const detail = await ask(`/api/work/${over.id}`);
const task = detail.tasks.find(
  ({ isFinished, isAccepted, peopleOn }) => !isFinished && isAccepted && !peopleOn.includes('Maja Lindqvist'),
).code;
const { stations } = await ask('/api/stations');
const { code } = await ask(
  `/api/stations/${stations.find(({ name }) => name === 'Winding 2').id}/pairing`,
  {},
);
const codeOf = Object.fromEntries((await ask('/api/shop')).actions.map((each) => [each.action, each.code]));
const { orders: all } = await ask('/api/work');
const { order: whole } = await ask(
  `/api/work/${all.find(({ state, title }) => state === 'released' && title.includes('pump motor')).id}`,
);
await page.goto(`${url}/station#pair=${code}`);
await page.getByText('This station is free').waitFor();
await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
await page.reload();
await page.getByText('connected', { exact: true }).waitFor();
await take('station-idle');
await scan(maja);
await page.getByRole('heading', { name: 'Maja Lindqvist' }).waitFor();
await take('station-badge');
await scan(whole.code);
await page.getByRole('heading', { name: 'Which task?' }).waitFor();
await take('station-question');
await scan(task);
await page.getByText('Switched to').or(page.getByText('Started')).first().waitFor();
await page.getByText('connected', { exact: true }).waitFor();
await take('station-started');
await scan(codeOf.blank);
await page.setViewportSize({ width: 360, height: 740 });
await scan(maja);
await page.getByRole('heading', { name: 'Maja Lindqvist' }).waitFor();
await take('station-phone');
await scan(codeOf.blank);
await page.setViewportSize({ width: 1280, height: 800 });

const ended = new Promise((done) => server.once('exit', done));
server.kill('SIGTERM');
await ended;
const second = technicians.find(({ name }) => name === 'Oskar Brandt').badges[0].code;
await page.reload();
await page.getByText('This station is free').waitFor();
await scan(second);
await scan(task);
await page.getByText('1 scan waiting').waitFor();
await take('station-offline');

await browser.close();
