import { createRequire } from 'node:module';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { startProcess } from './serverProcess.mjs';

const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const root = new URL('..', import.meta.url).pathname;
const SCANS = 100;

const database = join(mkdtempSync(join(tmpdir(), 'wergon-page-')), 'shop.sqlite');
const { url, stop } = await startProcess(`${root}server/dist/main.js`, { WERGON_DATABASE: database });
let cookie = '';
const call = async (path, body) => {
  const response = await fetch(`${url}${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { cookie, 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  cookie = response.headers.get('set-cookie')?.split(';')[0] ?? cookie;
  return response.json();
};
await call('/api/first-run', {
  shopName: 'Bench',
  zone: 'Europe/Helsinki',
  currency: 'EUR',
  name: 'B',
  userName: 'b',
  password: 'a long password',
});
for (const i of [1, 2, 3])
  await call('/api/people', { number: `${i}`, name: `Person ${i}`, department: 'Shop' });
const badges = (await call('/api/people')).technicians.map((each) => each.badges[0].code);
const { code } = await call('/api/stations', { name: 'Bench' });

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
const page = await browser.newPage();
const sizes = [];
page.on('response', (response) => {
  if (/\.(js|css)$/.test(new URL(response.url()).pathname))
    sizes.push(response.body().then((body) => gzipSync(body).length));
});
await page.goto(`${url}/station#pair=${code}`);
await page.getByText('This station is free').waitFor();
const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);

/** From the end key of a scan to the first frame in which the screen has changed, in milliseconds. */
const took = await page.evaluate(
  async ({ codes, scans }) => {
    const times = [];
    const frame = () => new Promise((done) => requestAnimationFrame(done));
    for (let i = 0; i < scans; i += 1) {
      const name = `Person ${(i % codes.length) + 1}`;
      for (const key of codes[i % codes.length])
        window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      const from = performance.now();
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
      while (document.querySelector('h1')?.textContent !== name) await frame();
      await frame();
      times.push(performance.now() - from);
    }
    return times;
  },
  { codes: badges, scans: SCANS },
);
took.sort((a, b) => a - b);
await browser.close();
await stop();
process.stdout.write(JSON.stringify({ bytes, p95: took[Math.floor(SCANS * 0.95)] }));
