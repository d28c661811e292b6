import { expect, test } from '@playwright/test';
import { expectNothingSerious, expectNothingSeriousInBoth } from '../axe.ts';
import { createServerProcess } from '../server.ts';
import { createCaller, openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

/** Every page of the desk, and something that stands there when it is ready. */
const PAGES = {
  'Floor, Work and Pay': [
    ['/floor', 'Ada Lund'],
    ['/work', 'Rewind pump motor'],
    ['/work/ORDER', 'Winding'],
    ['/work/new', 'New work order'],
    ['/floor/days', 'All days'],
    ['/wall', 'on tasks'],
    ['/work/due', 'comes back'],
    ['/work/ORDER/why', 'From the estimate'],
    ['/pay', 'not yet approved'],
    ['/pay/overtime', 'Pay groups'],
  ],
  Reconcile: [
    ['/reconcile', 'loose'],
    ['/reconcile/day/ADA', 'Starts and stops'],
    ['/reconcile/week/ADA', 'entered by hand'],
    ['/reconcile/job', 'Choose what was worked on'],
    ['/reconcile/slips', 'To compare with the paper'],
    ['/reconcile/accounted', 'not accounted'],
    ['/reconcile/approve', 'to approve'],
    ['/reconcile/trail', 'started'],
  ],
  Compare: [
    ['/compare', 'No job was finished'],
    ['/compare/people', 'Ada Lund'],
    ['/compare/machines', 'No machine is on the list'],
    ['/compare/near', 'No task that goes on'],
  ],
  Shop: [
    ['/shop', 'What is missing'],
    ['/shop/people', 'Ada Lund'],
    ['/shop/people/ADA', 'Badges and PIN'],
    ['/shop/people/ADA/rates', 'Cost of an hour'],
    ['/shop/standards', 'Standard tasks'],
    ['/shop/lists', 'Indirect activities'],
    ['/shop/units', 'Customers'],
    ['/shop/stations', 'Last scan'],
    ['/shop/scanner', 'then scan any label'],
    ['/shop/labels', 'Paper'],
    ['/shop/import', 'Choose a file'],
    ['/shop/users', 'Who may sign in at the desk'],
    ['/shop/rules', 'Longest stretch'],
    ['/shop/settings', 'Closed days'],
  ],
} as const;

test.describe('a shop at work', () => {
  test.describe.configure({ mode: 'parallel' });
  let shop: Shop;
  test.beforeAll(async () => {
    shop = await openShop();
    await putToWork();
  });
  test.afterAll(() => shop.server.stop());
  /** Ada is on work, started at a station: pages have something to show. */
  async function putToWork(): Promise<void> {
    const station = createCaller(shop.server.url);
    await station('/api/station/pair', { code: await shop.pairingCode('Winding 1') });
    const at = new Date(shop.server.nowMs()).toISOString();
    const entry = (type: string, more: object) => ({
      source: 'scan',
      via: [],
      action: `desk-${type}`,
      deviceAt: at,
      clockOffset: 0,
      entry: { id: `desk-${type}`, type, at, technician: shop.technicians[0]?.id, ...more },
    });
    const targets = [shop.order.tasks[1]?.id];
    await station('/api/station/entries', {
      entries: [entry('shift-in', {}), entry('work-start', { targets })],
    });
  }

  test('axe finds nothing serious before signing in, and at a station', async ({ page, context }) => {
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
  });

  for (const [places, pages] of Object.entries(PAGES))
    test(`axe finds nothing serious in ${places}, in the light and in the dark`, async ({ page }) => {
      await shop.openDesk(page, '/floor');
      for (const [path, ready] of pages) {
        const ada = shop.technicians[0]?.id ?? '';
        await page.goto(shop.server.url + path.replace('ADA', ada).replace('ORDER', shop.order.order.id));
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

  test('all jobs stand on one board with all their tasks, and who is on what', async ({ page }) => {
    await shop.openDesk(page, '/floor');
    await page.getByRole('link', { name: 'Jobs and tasks' }).click();
    const job = page.getByRole('list', { name: 'Jobs and tasks' }).getByRole('listitem').first();
    await expect(job).toContainText('5001');
    await expect(job.getByRole('listitem')).toHaveText([/Strip/, /Winding/]);
    await page
      .getByRole('searchbox')
      .or(page.getByPlaceholder('Order, customer, person'))
      .first()
      .fill('no such job');
    await expect(page.getByText('0 of 1 jobs shown.')).toBeVisible();
    await page.getByRole('button', { name: 'Show all' }).click();
    await expect(job).toBeVisible();
  });

  test('from an order to why it differs: the bridge is drawn, in money and in hours', async ({ page }) => {
    const errors: string[] = [];
    page.on('pageerror', ({ message }) => errors.push(message));
    await shop.openDesk(page, `/work/${shop.order.order.id}/why`);
    await expect(page.getByRole('heading', { name: 'Why 5001 differs' })).toBeVisible();
    await expect(page.getByRole('row').filter({ hasText: 'Winding' })).toBeVisible();
    await page.getByRole('button', { name: 'Show hours' }).click();
    await expect(page.getByRole('button', { name: 'Show money' })).toBeVisible();
    await expect(page.getByRole('img', { name: /From estimated to actual/ })).toBeVisible();
    // What a canvas cannot draw it says only when it is drawn.
    await page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => drawn(null)))),
    );
    expect(errors).toEqual([]);
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
