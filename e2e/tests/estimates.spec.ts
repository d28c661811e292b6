import { expect, test } from '@playwright/test';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

let shop: Shop;
test.beforeAll(async () => {
  shop = await openShop({ WERGON_DEMO: '1' });
  const { settings } = await shop.desk<{ settings: { work: object } }>('/api/shop');
  await shop.desk('/api/shop/settings', { ...settings, work: { ...settings.work, offers: true } });
});
test.afterAll(() => shop.server.stop());

test('an estimate is asked for, offered, mailed, accepted in part, released and scanned', async ({
  page,
  context,
}) => {
  await shop.openDesk(page, '/work');
  await page.getByRole('link', { name: 'Estimates' }).click();
  await expect(page.getByText('No estimate is asked for.')).toBeVisible();
  await page.getByRole('button', { name: 'Ask for an estimate' }).click();
  const ask = page.getByRole('form', { name: 'Ask for an estimate' });
  await ask.getByLabel('What is to be done').fill('Rewind crane motor');
  await ask.getByLabel('For whom').fill('Harbour works');
  await ask.getByLabel('Mail address, or whom to call').fill('buyer@harbour.example');
  await ask.getByRole('button', { name: 'Ask the shop' }).click();

  // The supervisor builds it.
  const panel = page.getByRole('region', { name: 'Estimate and offer' });
  await expect(panel).toContainText('There is no task yet');
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  for (const [i, [title, hours, price]] of [
    ['Strip', '2', '160'],
    ['Winding', '8', '900'],
  ].entries()) {
    await page.getByRole('button', { name: 'Add a task' }).click();
    await page.getByLabel(`Task ${i + 1}`, { exact: true }).fill(title ?? '');
    await page.getByLabel(`Grade of task ${i + 1}`).selectOption({ label: 'Winder' });
    await page.getByLabel(`Run hours of task ${i + 1}`).fill(hours ?? '');
    await page.getByRole('button', { name: 'More', exact: true }).nth(i).click();
    await page
      .getByLabel('Fixed price, if sold flat')
      .first()
      .fill(price ?? '');
  }
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await panel.getByRole('button', { name: 'Add material' }).click();
  await panel.getByLabel('Material, in words').fill('Copper wire, 40 kg');
  await panel.getByLabel('Price', { exact: true }).fill('480');
  await panel.getByRole('button', { name: 'Make the offer' }).click();
  const offer = panel.getByRole('link', { name: /^Offer \d+-1$/ });
  await expect(offer).toBeVisible();
  await expect(panel.getByRole('listitem')).toContainText('€1,540.00');

  await offer.click();
  const mail = page.getByRole('form', { name: 'Mail it' });
  await expect(mail.getByLabel('Mail address')).toHaveValue('buyer@harbour.example');
  await mail.getByRole('button', { name: 'Send' }).click();
  await expect(mail.getByRole('status')).toContainText('lies in the mail box');
  await mail.getByRole('link', { name: 'Mail box' }).click();
  await expect(page.getByText('to buyer@harbour.example')).toBeVisible();
  await page.getByRole('link', { name: 'the offer with it' }).click();
  await page.getByRole('link', { name: 'The order' }).click();

  // The customer brings the wire themselves, and has the motor stripped already.
  const answer = page.getByRole('form', { name: 'The customer’s answer' });
  await answer.getByRole('checkbox', { name: /^Strip/ }).uncheck();
  await answer.getByRole('checkbox', { name: /^Copper wire/ }).uncheck();
  await answer.getByRole('button', { name: 'Accepted in part, €900.00' }).click();
  await expect(page.getByText('accepted', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Release', exact: true }).click();
  await expect(page.getByText('released', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: /Winding/ }).click();
  const code = (await page.locator('.lines .mono').first().textContent()) ?? '';
  const station = await context.newPage();
  await shop.openStation(station);
  await shop.scan(station, 'ada');
  await shop.scan(station, code);
  await expect(station.getByRole('contentinfo')).toContainText('Started Winding');
});
