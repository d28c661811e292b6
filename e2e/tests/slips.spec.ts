import { expect, test } from '@playwright/test';
import { dayAgo, openShopWithYesterday } from '../past.ts';
import type { Shop } from '../shop.ts';

test.describe('paper slips', () => {
  let shop: Shop;
  let ada: string;
  test.beforeEach(async () => {
    ({ shop, ada } = await openShopWithYesterday());
  });
  test.afterEach(() => shop.server.stop());

  test('paper slips are typed by keys alone, a code scanned among them; what lacks something is kept', async ({
    page,
  }) => {
    await shop.openDesk(page, '/reconcile/slips');
    const first = page.getByRole('group', { name: 'Slip 1' });
    await first.getByLabel('Person of slip 1').fill('ada');
    await page.keyboard.press('Enter');
    await page.keyboard.type('-1');
    await page.keyboard.press('Enter');
    await page.keyboard.type(shop.codes['strip'] ?? '');
    await page.keyboard.press('Enter');
    await expect(first.getByRole('combobox', { name: 'Task of slip 1' })).toHaveValue('5001 Strip');
    await first.getByLabel('Hours of slip 1').fill('1:15');
    // Pieces, scrap and the note are left empty.
    for (let field = 0; field < 4; field += 1) await page.keyboard.press('Enter');
    const task = page.getByRole('combobox', { name: 'Task of slip 2' });
    await expect(task).toBeFocused();
    await expect(page.getByLabel('Person of slip 2')).toHaveValue('Ada Lund');
    await task.fill('something unreadable');
    await page.getByLabel('Hours of slip 2').fill('2');
    await expect(page.getByLabel('Sums by person')).toContainText('Ada Lund 1:15');
    await page.getByRole('button', { name: 'Record 1 slip' }).click();
    await expect(page.getByRole('status').filter({ hasText: '1 slip recorded' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('combobox', { name: 'Task of slip 1' })).toHaveValue('something unreadable');
    await expect(page.getByText('kept for')).toBeVisible();
  });

  test('a slip with times lies on the tape with its pieces; what lies over a scan is refused at its row', async ({
    page,
  }) => {
    await shop.openDesk(page, '/reconcile/slips');
    const slip = page.getByRole('group', { name: 'Slip 1' });
    await slip.getByLabel('Person of slip 1').fill('ada');
    await page.keyboard.press('Enter');
    await page.keyboard.type('-1');
    await page.keyboard.press('Enter');
    await page.keyboard.type(shop.codes['strip'] ?? '');
    await page.keyboard.press('Enter');
    await expect(slip.getByRole('combobox', { name: 'Task of slip 1' })).toHaveValue('5001 Strip');
    await slip.getByLabel('Start of slip 1').fill('9:30');
    await slip.getByLabel('End of slip 1').fill('10:45');
    await expect(slip.getByLabel('Hours of slip 1')).toHaveValue('1:15');
    await slip.getByLabel('Good pieces of slip 1').fill('12');
    await slip.getByLabel('Note of slip 1').fill('short of wire');
    await page.getByRole('button', { name: 'Record 1 slip' }).click();
    await expect(slip.getByRole('alert')).toContainText('there is something from 7:00 to 10:00');
    await slip.getByLabel('Start of slip 1').fill('10:00');
    await page.getByRole('button', { name: 'Record 1 slip' }).click();
    await expect(page.getByRole('status').filter({ hasText: '1 slip recorded' })).toBeVisible();
    await page.goto(`${shop.server.url}/reconcile/day/${ada}/${dayAgo(1)}`);
    await expect(page.getByRole('button', { name: '5001 Strip, 7:00 to 10:45' })).toBeVisible();
    await page.goto(`${shop.server.url}/work/${shop.order.order.id}/story`);
    await expect(page.getByText('reported pieces of')).toBeVisible();
    await expect(page.getByText('short of wire')).toBeVisible();
  });
});
