import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { writeClip } from '../clip.ts';
import { openShop } from '../shop.ts';

test('a traveler held before the camera is scanned once, and by our own server’s decoder alone', async ({
  launchOptions,
}) => {
  const shop = await openShop();
  const clip = join(mkdtempSync(join(tmpdir(), 'wergon-clip-')), 'traveler.y4m');
  writeClip(clip, 'Order 5001, 20 Winding', shop.codes['winding'] ?? '');
  const browser = await chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions.args ?? []),
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${clip}`,
    ],
  });
  const page = await (await browser.newContext({ permissions: ['camera'] })).newPage();
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).host));
  await shop.openStation(page, 'Tablet');
  await shop.scan(page, 'ada');
  await page.getByRole('button', { name: 'Camera' }).click();
  const band = page.getByRole('contentinfo');
  await expect(band).toContainText('Started Winding, 5001');
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(band).toContainText('Taken back');
  expect(new Set(asked)).toEqual(new Set([new URL(shop.server.url).host]));
  await browser.close();
  await shop.server.stop();
});
