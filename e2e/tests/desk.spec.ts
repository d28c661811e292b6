import { expect, test } from '@playwright/test';
import { expectNothingSerious, expectNothingSeriousInBoth } from '../axe.ts';
import { createServerProcess } from '../server.ts';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

test.describe('a shop at work', () => {
  let shop: Shop;
  test.beforeAll(async () => {
    shop = await openShop();
  });
  test.afterAll(() => shop.server.stop());

  test('axe finds nothing serious on any page, in the light and in the dark', async ({ page, context }) => {
    await page.goto(shop.server.url);
    await page.getByLabel('User name').waitFor();
    await expectNothingSeriousInBoth(page);
    const station = await context.newPage();
    await shop.openStation(station, 'Station');
    await expectNothingSerious(station);
    await shop.scan(station, 'ada');
    await shop.scan(station, 'winding');
    await station.getByText('Started Winding').or(station.getByText('You are on Winding')).waitFor();
    await expectNothingSerious(station);
    await shop.openDesk(page, '/floor');
    for (const [path, ready] of [
      ['/floor', 'Ada Lund'],
      ['/work', 'Rewind pump motor'],
      [`/work/${shop.order.order.id}`, 'Winding'],
      ['/work/new', 'New work order'],
      ['/floor/days', 'All days'],
      ['/wall', 'on work'],
      ['/reconcile', 'loose'],
      [`/reconcile/day/${shop.technicians[0]?.id ?? ''}`, 'Starts and stops'],
      [`/reconcile/week/${shop.technicians[0]?.id ?? ''}`, 'written down'],
      ['/reconcile/job', 'Choose what was worked on'],
      ['/reconcile/slips', 'To compare with the paper'],
      ['/reconcile/accounted', 'found no work'],
      ['/reconcile/approve', 'to approve'],
      ['/reconcile/trail', 'work start'],
      ['/pay', 'of labor'],
      ['/shop', 'What is missing'],
      ['/shop/people', 'Ada Lund'],
      [`/shop/people/${shop.technicians[0]?.id ?? ''}`, 'Badges and PIN'],
      [`/shop/people/${shop.technicians[0]?.id ?? ''}/rates`, 'Cost of an hour'],
      ['/shop/standards', 'Standard tasks'],
      ['/shop/lists', 'Indirect activities'],
      ['/shop/units', 'Customers'],
      ['/shop/stations', 'Last scan'],
      ['/shop/scanner', 'then scan any label'],
      ['/shop/labels', 'Paper'],
      ['/shop/import', 'Choose a file'],
      ['/shop/users', 'Who may sign in at the desk'],
      ['/shop/settings', 'Closed days'],
    ] as const) {
      await page.goto(`${shop.server.url}${path}`);
      await page.getByText(ready).first().waitFor();
      await expectNothingSeriousInBoth(page);
    }
  });

  test('a filter that hides rows says so and is cleared in one step', async ({ page }) => {
    await shop.openDesk(page, '/work');
    await expect(page.getByRole('link', { name: /5001/ })).toBeVisible();
    await page.keyboard.press('/');
    await page.keyboard.type('nothing like it');
    await expect(page.getByText('0 of 1 orders match')).toBeVisible();
    await page.getByRole('button', { name: 'Show all' }).click();
    await expect(page.getByRole('link', { name: /5001/ })).toBeVisible();
    await page.getByLabel('Which orders').selectOption('preparing');
    await expect(page.getByRole('link', { name: /5002/ })).toBeVisible();
  });

  test('every place can be reached and every row opened with keys alone', async ({ page }) => {
    await shop.openDesk(page, '/floor');
    await page.keyboard.press('w');
    await page.getByRole('heading', { name: /^Weeks/ }).waitFor();
    await page.getByRole('link', { name: /5001 Rewind/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /Winding/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Its code is|Task code/)).toBeVisible();
    await page.keyboard.press('?');
    await expect(page.getByRole('region', { name: 'Keys' })).toBeVisible();
  });

  test('the hours switch holds on every page', async ({ page }) => {
    await shop.openDesk(page, `/work/${shop.order.order.id}`);
    await expect(page.getByText('used of 4:00', { exact: false })).toBeVisible();
    await page.keyboard.press('h');
    await page.keyboard.press('h');
    await expect(page.getByText('used of 4.00', { exact: false })).toBeVisible();
  });

  test('the desk says when it is not live, and catches up when the server is back', async ({ page }) => {
    await shop.openDesk(page, '/floor');
    await expect(page.getByRole('status').filter({ hasText: /^live$/ })).toBeVisible();
    await shop.server.kill();
    await expect(page.getByRole('status').filter({ hasText: 'not live' })).toBeVisible();
    await shop.server.start();
    await expect(page.getByRole('status').filter({ hasText: /^live$/ })).toBeVisible();
  });
});

test('every state of a yardstick looks as it should', async ({ page }) => {
  const server = await createServerProcess();
  await server.start();
  await page.goto(`${server.url}/yardsticks.html`);
  await page.evaluate(() => document.fonts.ready);
  await expect(page.getByRole('main')).toHaveScreenshot('yardsticks.png');
  await server.stop();
});
