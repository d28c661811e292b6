import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { createServerProcess } from '../server.ts';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

async function expectNothingSerious(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual([]);
}

test.describe('a shop at work', () => {
  let shop: Shop;
  test.beforeAll(async () => {
    shop = await openShop();
  });
  test.afterAll(() => shop.server.stop());

  for (const scheme of ['light', 'dark'] as const)
    test(`axe finds nothing serious on any page, ${scheme}`, async ({ page, context }) => {
      await page.emulateMedia({ colorScheme: scheme });
      await page.goto(shop.server.url);
      await page.getByLabel('User name').waitFor();
      await expectNothingSerious(page);
      const station = await context.newPage();
      await shop.openStation(station, `Station ${scheme}`);
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
        ['/reconcile', 'loose'],
        ['/shop', 'Stations'],
      ] as const) {
        await page.goto(`${shop.server.url}${path}`);
        await page.getByText(ready).first().waitFor();
        await expectNothingSerious(page);
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
    await expect(page.getByText('Task code')).toBeVisible();
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

test('from an empty database to a first scan', async ({ page, context }) => {
  const server = await createServerProcess();
  await server.start();
  await page.goto(server.url);
  await expect(page.getByRole('heading', { name: 'Set up your shop' })).toBeVisible();
  await expectNothingSerious(page);
  await page.getByLabel('Name of the shop').fill('Odden Rewind Works');
  await page.getByLabel('Time zone').fill('Europe/Helsinki');
  await page.getByLabel('Your name').fill('Solveig Aune');
  await page.getByLabel('User name').fill('solveig');
  await page.getByLabel(/^Password/).fill('a long password');
  await page.getByRole('button', { name: 'Set up' }).click();
  await expect(page.getByText('Nobody has scanned on this day.')).toBeVisible();

  await page.getByRole('link', { name: 'Shop', exact: true }).click();
  await page.getByLabel('Name of a new station').fill('Winding 1');
  await page.getByRole('button', { name: 'Add station' }).click();
  const pairing = (await page.locator('.code').textContent()) ?? '';
  await page.getByLabel('Number').fill('1');
  await page.getByLabel('Name', { exact: true }).fill('Maja Lindqvist');
  await page.getByRole('button', { name: 'Add person' }).click();
  const badge = (await page.getByRole('row', { name: /Maja/ }).locator('.mono').nth(1).textContent()) ?? '';
  await page.getByLabel('Grade', { exact: true }).fill('Winder');
  await page.getByLabel('Standard rate per hour').fill('40');
  await page.getByRole('button', { name: 'Add grade' }).click();
  await expect(page.getByText('Winder', { exact: true })).toBeVisible();

  await page.getByRole('link', { name: /^Work/ }).click();
  await page.getByRole('link', { name: 'New order' }).click();
  await page.getByLabel('Number').fill('7001');
  await page.getByLabel('What is done').fill('Rewind fan motor');
  await page.getByLabel('Customer').fill('Stock');
  await page.getByLabel('Task 1', { exact: true }).fill('Winding');
  await page.getByLabel('Grade of task 1').selectOption({ label: 'Winder' });
  await page.getByLabel('Run hours of task 1').fill('1,5');
  await page.getByRole('button', { name: 'Save as draft' }).click();
  await page.getByRole('button', { name: 'Release' }).click();
  await page.getByRole('button', { name: /Winding/ }).click();
  const task = (await page.locator('.lines .mono').first().textContent()) ?? '';

  const station = await context.newPage();
  await station.goto(`${server.url}/station`);
  await station.getByLabel('Pairing code').fill(pairing);
  await station.getByRole('button', { name: 'Pair this device' }).click();
  await station.getByText('This station is free').waitFor();
  for (const code of [badge, task]) {
    await station.keyboard.type(code);
    await station.keyboard.press('Enter');
  }
  await expect(station.getByRole('contentinfo')).toContainText('Started Winding, 7001');
  await expect(page.getByText('on it now: Maja Lindqvist')).toBeVisible();
  await server.stop();
});

test('every state of a yardstick looks as it should', async ({ page }) => {
  const server = await createServerProcess();
  await server.start();
  await page.goto(`${server.url}/yardsticks.html`);
  await page.evaluate(() => document.fonts.ready);
  await expect(page.getByRole('main')).toHaveScreenshot('yardsticks.png');
  await server.stop();
});
