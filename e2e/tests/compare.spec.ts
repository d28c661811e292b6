import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectNothingSeriousInBoth } from '../axe.ts';
import { PASSWORD, createCaller, openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

test.describe('a job that is done', () => {
  let shop: Shop;
  test.beforeAll(async () => {
    shop = await openShop();
    await finishJob();
  });
  test.afterAll(() => shop.server.stop());

  /** Ada has stripped for an hour, and wound for three; both were estimated at two. */
  async function finishJob(): Promise<void> {
    const station = createCaller(shop.server.url);
    await station('/api/station/pair', { code: await shop.pairingCode('Winding 1') });
    const [strip, winding] = shop.order.tasks.map(({ id }) => id);
    const now = Math.floor(shop.server.nowMs() / 1000) * 1000;
    const entry = (id: string, type: string, hoursAgo: number, more: object) => {
      const at = new Date(now - hoursAgo * 3_600_000).toISOString();
      return {
        source: 'scan',
        via: [],
        action: id,
        deviceAt: at,
        clockOffset: 0,
        entry: { id, type, at, technician: shop.technicians[0]?.id, ...more },
      };
    };
    await station('/api/station/entries', {
      entries: [
        entry('in', 'shift-in', 5, {}),
        entry('strip', 'work-start', 5, { targets: [strip] }),
        entry('stripped', 'task-done', 4, { targets: [strip] }),
        entry('winding', 'work-start', 4, { targets: [winding], machine: 'Coil former' }),
        entry('wound', 'task-done', 1, { targets: [winding] }),
      ],
    });
  }

  test('from the cause that costs most down to one scan, and back', async ({ page }) => {
    await shop.openDesk(page, '/floor');
    await page.keyboard.press('c');
    await page.getByRole('heading', { name: /^Weeks/ }).waitFor();
    await expect(page.getByRole('link', { name: /5001/ })).toContainText('less');
    await page.getByRole('link', { name: 'Causes' }).click();
    await page.getByRole('heading', { name: 'Which causes' }).waitFor();
    await page.getByLabel('Which period').selectOption('year');
    await page.getByRole('button', { name: /^rates/ }).click();
    await page.getByRole('heading', { name: /Where: rates/ }).waitFor();
    await page.getByRole('button', { name: /no work center/ }).click();
    await page.getByRole('link', { name: /5001/ }).click();
    await page.getByRole('heading', { name: 'Why 5001 differs' }).waitFor();
    await page.getByRole('link', { name: 'to the order' }).click();
    await page.getByRole('button', { name: /Winding/ }).click();
    await page.getByRole('button', { name: 'Scans' }).first().click();
    await expect(page.getByText('entry').first()).toBeVisible();
    await page.goBack();
    await page.getByRole('heading', { name: 'Why 5001 differs' }).waitFor();
    await page.goBack();
    await expect(page.getByRole('heading', { name: /Where: rates/ })).toBeVisible();
    await expect(page.getByLabel('Which period')).toHaveValue('year');
  });

  test('a cut is made, kept, and written to a file whose sum is that of the page', async ({ page }) => {
    await shop.openDesk(page, '/compare/hours?period=year');
    await page.getByText('4:00').first().waitFor();
    await page.getByLabel('Level 1').selectOption('machine');
    await expect(page.getByRole('button', { name: 'Coil former', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Keep this cut' }).click();
    await page.getByLabel('Name of the cut').fill('By machine');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('button', { name: 'Remove “By machine”' })).toBeVisible();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'CSV' }).click(),
    ]);
    const [head = '', ...rows] = readFileSync(await file.path(), 'utf8')
      .trim()
      .split('\r\n');
    const seconds = head.split(',').indexOf('Seconds');
    expect(rows.map((row) => Number(row.split(',')[seconds])).reduce((sum, each) => sum + each, 0)).toBe(
      4 * 3600,
    );
    await page.reload();
    await expect(page.getByLabel('Which cut')).toContainText('By machine');
  });

  test('who may not see rates is told standard cost, and says so', async ({ page }) => {
    await shop.desk('/api/users', {
      name: 'Mikko',
      userName: 'mikko',
      password: PASSWORD,
      roles: ['supervisor'],
      seesRates: false,
    });
    await page.goto(`${shop.server.url}/compare/hours?period=year`);
    await page.getByLabel('User name').fill('mikko');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByLabel('Password now').fill(PASSWORD);
    await page.getByLabel('New password, at least').fill(`${PASSWORD} of my own`);
    await page.getByLabel('New password again').fill(`${PASSWORD} of my own`);
    await page.getByRole('button', { name: 'Change password' }).click();
    await page.getByRole('link', { name: /^Compare/ }).click();
    await page.getByRole('link', { name: 'Hours by…' }).click();
    // Four hours at the standard rate of 40, and not at the 36 that Ada costs.
    await expect(page.getByText('€160.00').first()).toBeVisible();
    await expect(page.getByText('€144.00')).toHaveCount(0);
    await expect(page.getByText('standard cost').first()).toBeVisible();
  });

  test('the wall says what runs out of time, and turns to the week', async ({ page }) => {
    await shop.openDesk(page, '/floor');
    await page.goto(`${shop.server.url}/wall?by=compare`);
    await expect(page.getByText('No task is near its estimate or past it.')).toBeVisible();
    const nextPage = { timeout: 30_000 };
    await expect(page.getByRole('heading', { name: 'as long as estimated' })).toBeVisible(nextPage);
    await expect(page.getByText('1 job finished this week')).toBeVisible();
    await expect(page.getByRole('heading', { name: '100 % efficiency this week' })).toBeVisible();
    await expect(page.getByText('of 2 finished tasks')).toBeVisible();
  });

  test('axe finds nothing serious on any page of the place, in the light and in the dark', async ({
    page,
  }) => {
    await shop.openDesk(page, '/floor');
    for (const [path, ready] of [
      ['/compare', 'job finished'],
      ['/compare/causes', 'Which causes'],
      ['/compare/people', 'Ada Lund'],
      ['/compare/machines?period=day', 'Coil former'],
      ['/compare/hours', 'Ada Lund'],
      ['/compare/near', 'No task that goes on'],
    ] as const) {
      await page.goto(shop.server.url + path);
      await page.getByText(ready).first().waitFor();
      await expectNothingSeriousInBoth(page);
    }
  });
});
