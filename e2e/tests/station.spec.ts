import { expect, test } from '@playwright/test';
import type { OrderJson } from '@wergon/contract/work';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

let shop: Shop;
test.beforeAll(async () => {
  shop = await openShop();
});
test.afterAll(() => shop.server.stop());

/** Seconds used on a task of the order, by its place. */
async function usedSeconds(place: number): Promise<number> {
  const { tasks } = await shop.desk<OrderJson>(`/api/work/${shop.order.order.id}`);
  return tasks[place - 1]?.comparison.actualSeconds ?? 0;
}

test('badge and task start, the next task switches, off task stops, and the desk sees it live', async ({
  page,
  context,
}) => {
  const { scan } = shop;
  await shop.openStation(page);
  const floor = await context.newPage();
  await shop.openDesk(floor, '/floor');
  const order = await context.newPage();
  await order.goto(`${shop.server.url}/work/${shop.order.order.id}`);
  await order.getByRole('heading', { name: 'Rewind pump motor' }).waitFor();
  const says = page.getByRole('contentinfo');

  await page.bringToFront();
  await scan(page, 'ada');
  await expect(page.getByRole('heading', { name: 'Ada Lund' })).toBeVisible();
  await expect(says).toContainText('Scan SHIFT IN, or a task to start it');
  await scan(page, 'winding');
  await expect(says).toContainText('Started Winding, 5001');
  await expect(page.getByText('on Winding, order 5001')).toBeVisible();
  await expect(floor.getByText('5001 Winding')).toBeVisible();
  await expect(floor.getByLabel('The shop in figures')).toContainText('1 on work');
  await expect(order.getByRole('button', { name: /Winding/ })).toContainText('now: Ada Lund');

  await scan(page, 'strip');
  await expect(says).toContainText('Switched to Strip, 5001');
  await expect(floor.getByText('5001 Strip')).toBeVisible();
  await expect(order.getByRole('button', { name: /Strip/ })).toContainText('now: Ada Lund');

  // Work that begins and ends in the same second is no work: wait until there is some to open.
  await expect.poll(async () => usedSeconds(1)).toBeGreaterThan(0);
  await scan(page, 'off-task');
  await expect(says).toContainText('Left Strip, 5001');
  await expect(floor.getByLabel('The shop in figures')).toContainText('0 on work');
  await expect(order.getByRole('button', { name: /Strip/ })).not.toContainText('now:');

  await order.getByRole('button', { name: /Strip/ }).click();
  await order.getByRole('button', { name: 'Scans' }).first().click();
  await expect(order.getByText(/off task .* scan at Winding 1/)).toBeVisible();
});

test('two people at one station: only the one whose badge stood there last starts', async ({ page }) => {
  await shop.openStation(page, 'Winding 2');
  await shop.scan(page, 'ada');
  await shop.scan(page, 'bo');
  await expect(page.getByRole('heading', { name: 'Bo Moe' })).toBeVisible();
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await page.getByRole('button', { name: 'Blank screen' }).click();
  await shop.scan(page, 'ada');
  await expect(page.getByRole('main')).toContainText('on nothing');
});

test('task then badge starts that person, who can take it back', async ({ page }) => {
  await shop.openStation(page, 'Winding 3');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Scan your badge to start it');
  await shop.scan(page, 'ada');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByRole('contentinfo')).toContainText('Taken back');
  await shop.scan(page, 'ada');
  await expect(page.getByRole('main')).toContainText('on nothing');
});

test('what cannot be understood is refused in words, starts nothing, and the desk sees what meant nothing', async ({
  page,
  context,
}) => {
  await shop.openStation(page, 'Winding 4');
  const says = page.getByRole('contentinfo');
  await shop.scan(page, 'ada');
  await shop.scan(page, 'draft');
  await expect(says).toContainText('Order 5002 is not released');
  await shop.scan(page, shop.codes['order'] ?? '');
  await expect(says).toContainText('That is a whole work order');
  await shop.scan(page, '4006381333931');
  await expect(says).toContainText('Not one of our labels');
  await expect(page.getByRole('main')).toContainText('on nothing');
  const desk = await context.newPage();
  await shop.openDesk(desk, '/reconcile');
  await expect(desk.getByText('Winding 4 at')).toContainText('4006381333931');
});

test('a code typed by hand stands in a field until Enter', async ({ page }) => {
  await shop.openStation(page, 'Winding 5');
  await page.keyboard.type((shop.codes['ada'] ?? '').toLowerCase(), { delay: 60 });
  await expect(page.locator('output')).toHaveText((shop.codes['ada'] ?? '').toLowerCase());
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Ada Lund' })).toBeVisible();
});

test('a scanner without an end key is heard after its pause', async ({ page }) => {
  await shop.openStation(page, 'Winding 6');
  await page.keyboard.type(shop.codes['ada'] ?? '');
  await expect(page.getByRole('heading', { name: 'Ada Lund' })).toBeVisible();
});

test('a window that is not in front says that it cannot hear scans', async ({ page }) => {
  await shop.openStation(page, 'Winding 7');
  await page.evaluate(() => {
    document.hasFocus = () => false;
    window.dispatchEvent(new Event('blur'));
  });
  await expect(page.getByRole('alert').filter({ hasText: 'cannot hear scans' })).toBeVisible();
  await page.evaluate(() => {
    document.hasFocus = () => true;
    window.dispatchEvent(new Event('focus'));
  });
  await expect(page.getByRole('alert').filter({ hasText: 'cannot hear scans' })).toBeHidden();
});

test('a station whose token is revoked asks to be paired', async ({ page }) => {
  await shop.openStation(page, 'Winding 8');
  const { stations } = await shop.desk<{ stations: { id: string; name: string }[] }>('/api/stations');
  await shop.desk(`/api/stations/${stations.find(({ name }) => name === 'Winding 8')?.id ?? ''}/revoke`, {});
  await page.reload();
  await expect(page.getByRole('heading', { name: 'This device is not a station yet' })).toBeVisible();
  await page.getByLabel('Pairing code').fill('WRONG123');
  await page.getByRole('button', { name: 'Pair this device' }).click();
  await expect(page.getByRole('alert')).toContainText('No station waits for this code');
});
