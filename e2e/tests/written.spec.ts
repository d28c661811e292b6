import { expect, test } from '@playwright/test';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

let shop: Shop;
test.beforeAll(async () => {
  shop = await openShop();
  const { settings } = await shop.desk<{ settings: { work: object } }>('/api/shop');
  await shop.desk('/api/shop/settings', { ...settings, work: { ...settings.work, writesDown: 'everybody' } });
});
test.afterAll(() => shop.server.stop());

test('a task that is not there is written down at the station, begins at once, and is tied later with its time', async ({
  page,
  context,
}) => {
  const station = await context.newPage();
  await shop.openStation(station);
  await shop.scan(station, 'ada');
  await station.getByRole('button', { name: 'Not on the list' }).click();
  await station.getByLabel('What is it?').fill('Loose fan guard');
  await station.getByLabel('Order, if you know it').fill('5001 B');
  await station.getByRole('button', { name: 'Write down and start' }).click();
  await expect(station.getByRole('contentinfo')).toContainText('Started Loose fan guard');
  // Whoever is on it can be told what it is while they go on.
  await shop.openDesk(page, '/reconcile');
  await expect(page.getByText('1 piece of work was written down at a station')).toBeVisible();
  await page.getByRole('link', { name: 'Tie them to their tasks' }).click();
  await expect(page.getByText('as order 5001 B')).toBeVisible();
  await page.getByRole('button', { name: 'Tie “Loose fan guard” to its task' }).click();
  const form = page.getByRole('form', { name: 'Tie “Loose fan guard” to its task' });
  await form.getByRole('combobox', { name: 'Its task' }).fill('5001 strip');
  await page.getByRole('option', { name: /5001 Strip/ }).click();
  await form.getByRole('button', { name: 'Tie it' }).click();
  const done = page.getByRole('status').filter({ hasText: '“Loose fan guard” tied to 5001 Strip' });
  await expect(done).toBeVisible();
  await expect(page.getByText('Nothing waits here.')).toBeVisible();
  await page.goto(`${shop.server.url}/floor`);
  await expect(page.locator('.lane').filter({ hasText: 'Ada Lund' })).toContainText('5001 Strip');
  // The station knows it too.
  await shop.scan(station, 'ada');
  await expect(station.getByRole('heading', { name: 'Ada Lund' })).toBeVisible();
  await expect(station.getByText('Strip', { exact: true })).toBeVisible();
});
