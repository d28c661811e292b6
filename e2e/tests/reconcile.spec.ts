import { expect, test } from '@playwright/test';
import type { OrderJson } from '@wergon/contract/compare';
import { expectNothingSerious } from '../axe.ts';
import { openShop } from '../shop.ts';

const HOUR = 3_600_000;

test('a forgotten stop is put right by one key, seen before and after, and undone', async ({ page }) => {
  const shop = await openShop();
  const [ada, bo] = shop.technicians.map(({ id }) => id);
  const strip = shop.order.tasks[0]?.id;
  let made = 0;
  const record = (type: string, technician: string | undefined, hoursAgo: number, targets?: object) => {
    const at = new Date(shop.server.nowMs() - hoursAgo * HOUR).toISOString();
    const id = `made-${(made += 1)}`;
    const entry = { id, type, at, technician, ...targets };
    return { source: 'desk', via: [], action: id, deviceAt: at, clockOffset: 0, entry };
  };
  // Ada began fourteen hours ago and was never stopped; Bo was on the same task for an hour in between.
  await shop.desk('/api/ledger/entries', {
    entries: [
      record('work-start', ada, 14, { targets: [strip] }),
      record('work-start', bo, 10, { targets: [strip] }),
      record('work-stop', bo, 9),
    ],
  });
  const hours = async () => {
    const { tasks } = await shop.desk<OrderJson>(`/api/work/${shop.order.order.id}`);
    return Math.round((tasks[0]?.comparison.actualSeconds ?? 0) / 3600);
  };
  expect(await hours()).toBe(13);
  await shop.openDesk(page, '/reconcile');
  const line = page.getByRole('listitem').filter({ hasText: 'never stopped' });
  await expect(line).toContainText('Ada Lund');
  await line.focus();
  await expect(line).toContainText('11:00 over becomes 4:00 over');
  await expectNothingSerious(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'done.' })).toContainText('Ada Lund: Last scan');
  await expect(line).toBeHidden();
  expect(await hours()).toBe(6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(line).toBeVisible();
  expect(await hours()).toBe(13);

  // Bo's hour without a shift is as it should be.
  await shop.desk('/api/ledger/entries', {
    entries: [
      record('shift-in', bo, 8),
      record('work-start', bo, 7, { targets: [strip] }),
      record('shift-out', bo, 5),
    ],
  });
  const gap = page.getByRole('listitem').filter({ hasText: 'without a task' });
  await expect(gap).toContainText('Bo Moe');
  await gap.focus();
  await gap.getByRole('textbox').fill('Sent for parts');
  await gap.getByRole('button', { name: 'Accept' }).click();
  const accepted = page.getByRole('listitem').filter({ hasText: 'Sent for parts' });
  await expect(accepted).toContainText('Bo Moe gap');
  await expect(gap).toBeHidden();
  await accepted.getByRole('button', { name: 'Reopen' }).click();
  await expect(gap).toBeVisible();
  await shop.server.stop();
});
