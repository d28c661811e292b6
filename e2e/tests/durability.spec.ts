import { expect, test } from '@playwright/test';
import { openShop } from '../shop.ts';

test('the server stops in mid-shift; three scans, the tab closed, the server back: all three are recorded once', async ({
  page,
  context,
}) => {
  const shop = await openShop();
  await shop.openStation(page);
  await shop.server.kill();
  await shop.scan(page, 'ada');
  await shop.scan(page, 'shift-in');
  await expect(page.getByRole('contentinfo')).toContainText('Signed in');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await page.getByRole('button', { name: 'Done, clear' }).click();
  await shop.scan(page, 'bo');
  await shop.scan(page, 'strip');
  await expect(page.getByRole('status')).toContainText('3 scans waiting');
  await page.close();

  await shop.server.start();
  const again = await context.newPage();
  await again.goto(`${shop.server.url}/station`);
  await expect(again.getByRole('status')).toHaveText('connected');
  const readOrder = () =>
    shop.desk<{ order: { peopleOn: string[] }; tasks: { lines: unknown[] }[] }>(
      `/api/work/${shop.order.order.id}`,
    );
  await expect.poll(async () => (await readOrder()).order.peopleOn.sort()).toEqual(['Ada Lund', 'Bo Moe']);
  const { tasks } = await readOrder();
  expect(tasks.map(({ lines }) => lines.length)).toEqual([1, 1]);
  const { seq } = await shop.desk<{ seq: number }>('/api/floor');
  expect(seq).toBe(3);
  await shop.server.stop();
});
