import { createHash, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { createServerProcess } from '../server.ts';
import { PASSWORD } from '../shop.ts';

const NAME = 'station.shop.test';

/** A browser of a device that trusts the shop's own authority, and finds the server by its name. */
const launch = (spki: string, use: Parameters<typeof chromium.launch>[0]) =>
  chromium.launch({
    ...use,
    args: [
      ...(use?.args ?? []),
      `--host-resolver-rules=MAP ${NAME} 127.0.0.1`,
      `--ignore-certificate-errors-spki-list=${spki}`,
    ],
  });

test('under another name than localhost the station is secure: its shell is kept, and it opens without the server', async ({
  launchOptions,
}) => {
  const server = await createServerProcess({ WERGON_HOST: '0.0.0.0', WERGON_NAMES: NAME });
  await server.start();
  const url = server.url.replace('http://127.0.0.1', `https://${NAME}`);
  const root = new X509Certificate(readFileSync(join(dirname(server.database), 'tls/root.crt'), 'utf8'));
  const spki = createHash('sha256')
    .update(new Uint8Array(root.publicKey.export({ type: 'spki', format: 'der' })))
    .digest('base64');
  const browser = await launch(spki, launchOptions);
  const page = await browser.newPage();
  await page.goto(url);
  expect(await page.evaluate(() => window.isSecureContext)).toBe(true);
  const call = (path: string, body: object) =>
    page.evaluate(
      async ([to, sent]) => {
        const headers = { 'content-type': 'application/json' };
        const answer = await fetch(to as string, { method: 'POST', headers, body: JSON.stringify(sent) });
        return (await answer.json()) as { code: string };
      },
      [path, body] as const,
    );
  await call('/api/first-run', {
    shopName: 'Far shop',
    zone: 'Europe/Oslo',
    currency: 'EUR',
    name: 'Sol',
    userName: 'sol',
    password: PASSWORD,
  });
  const cookies = await page.context().cookies();
  expect(cookies.map(({ secure, httpOnly }) => [secure, httpOnly])).toEqual([[true, true]]);
  const { code } = await call('/api/stations', { name: 'Far station' });
  await page.goto(`${url}/station`);
  await expect(page.getByRole('link', { name: 'Download the shop’s certificate' })).toBeVisible();
  const offered = await page.evaluate(async () => (await fetch('/wergon-root.crt')).text());
  expect(new X509Certificate(offered).fingerprint256).toBe(root.fingerprint256);
  await page.getByLabel('Pairing code').fill(code);
  await page.getByRole('button', { name: 'Pair this device' }).click();
  await page.getByText('This station is free').waitFor();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  await page.reload();
  await expect(page.getByRole('status')).toHaveText('connected');
  await server.stop();
  await page.reload();
  await expect(page.getByText('This station is free')).toBeVisible();
  await expect(page.getByRole('status')).toContainText('no server');
  await browser.close();
});
