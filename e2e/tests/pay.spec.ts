import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { at, dayAgo, line, openShopWithYesterday } from '../past.ts';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

// Ada worked yesterday from 7:00 to 10:00 on Strip and from 11:00 to 15:00 on Winding.
test.describe('overtime', () => {
  let shop: Shop;
  let ada: string;
  test.beforeEach(async () => {
    ({ shop, ada } = await openShopWithYesterday());
  });
  test.afterEach(() => shop.server.stop());

  test('a rule is made, tried and set; a split of it is taken, undone, and decided otherwise; the job is seen to cost it', async ({
    page,
  }) => {
    await shop.desk(`/api/people/${ada}/rates`, {
      record: { from: dayAgo(60), per: 'hour', base: '36.00' },
      isPastAgreed: true,
    });
    await shop.openDesk(page, '/pay/overtime');
    await expect(page.getByText('No rule is set')).toBeVisible();
    await page.getByRole('button', { name: 'Beyond 8 h a day' }).click();
    await page.getByRole('textbox', { name: 'beyond hours' }).fill('6');
    await page.getByLabel('From').first().fill(dayAgo(1));
    await page.keyboard.press('Tab');
    await page.getByRole('combobox', { name: 'Try it on' }).selectOption('year');
    await page.getByRole('button', { name: 'Try it' }).first().click();
    const tried = page.getByRole('status').filter({ hasText: 'would have been paid otherwise' });
    await expect(tried).toContainText('1 person would have been paid otherwise');
    await expect(tried.getByRole('row').filter({ hasText: 'Ada Lund' })).toContainText('1:00');
    await expect(tried).toContainText('€18.00');
    await page.getByRole('button', { name: 'Change days gone by' }).click();
    await expect(page.getByText('Beyond 6 h a day: overtime (× 1.5)')).toBeVisible();

    await page.getByRole('link', { name: 'Periods' }).click();
    await page.getByRole('button', { name: '1 day with overtime' }).click();
    await expect(page.getByText('The rule makes it 1:00 overtime. It adds €18.00 to 5001.')).toBeVisible();
    await page.getByRole('button', { name: 'Take the rule’s split of 1 day' }).click();
    await expect(page.getByText('Sol decided: 1:00 overtime (as the rule has it).')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('The rule makes it 1:00 overtime.')).toBeVisible();

    await page.getByRole('button', { name: 'Another split' }).click();
    await page.getByLabel('straight', { exact: true }).fill('5');
    await expect(page.getByText('1:00 still to divide')).toBeVisible();
    await page.getByLabel('double', { exact: true }).fill('1:00');
    await page.getByLabel('double', { exact: true }).press('Tab');
    await expect(page.getByText('The week would cost €36.00 more.')).toBeVisible();
    await page.getByLabel('Why').fill('agreed');
    await page.getByRole('button', { name: 'Decide this' }).click();
    await expect(page.getByText('Sol decided: 1:00 overtime, 1:00 double (agreed).')).toBeVisible();

    await page.goto(`${shop.server.url}/work/${shop.order.order.id}`);
    // Seven hours at €36.00, with €18.00 and €36.00 for overtime.
    await expect(page.getByText('€306.00').first()).toBeVisible();
  });

  test('overtime is seen coming on the floor an hour before, and on the person’s day', async ({ page }) => {
    await shop.desk('/api/pay/overtime', {
      ...{ from: dayAgo(1), group: '', isPastAgreed: true },
      terms: {
        ...{ weekStart: 1, day: [{ over: '2', class: 'overtime' }], week: [], special: [] },
        ...{ multipliers: { overtime: '1.5', double: '2' }, premiumOn: 'worked' },
      },
    });
    // It is 15:00.
    await shop.desk('/api/ledger/entries', {
      entries: [
        line('shift-in', ada, at(0, 13.5)),
        line('work-start', ada, at(0, 13.5), [shop.order.tasks[1]?.id]),
      ],
    });
    await shop.openDesk(page, '/floor');
    await expect(page.getByText('overtime from 15:30')).toBeVisible();
    await page.goto(`${shop.server.url}/reconcile/day/${ada}/${dayAgo(0)}`);
    await expect(page.getByText('overtime from 15:30')).toBeVisible();
  });

  test('a period is closed, its pay file made once nothing is missing, and payroll’s answer moves the job’s cost and is taken back', async ({
    page,
  }) => {
    const { settings } = await shop.desk<{ settings: { pay: object } }>('/api/shop');
    // A week that ended yesterday.
    const pay = { ...settings.pay, period: 'weekly', anchor: dayAgo(7), approval: 'none' };
    await shop.desk('/api/shop/settings', { ...settings, pay });
    await shop.desk(`/api/people/${ada}/rates`, {
      record: { from: dayAgo(60), per: 'hour', base: '36.00' },
      isPastAgreed: true,
    });
    await shop.openDesk(page, '/pay');
    await page.getByRole('button', { name: 'Close this period' }).click();
    await page.getByRole('link', { name: 'Pay file…' }).click();
    await expect(page.getByText('Say first in what form payroll wants its file.')).toBeVisible();
    await page.getByRole('button', { name: 'New form…' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Payroll');
    await page.getByLabel('Decimals are marked by').selectOption('comma');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('rowheader', { name: 'Ada Lund has no payroll number' })).toBeVisible();
    await expect(
      page.getByRole('rowheader', { name: 'No pay code for straight time, on jobs' }),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: 'Make the pay file' })).toBeDisabled();
    await page.getByRole('button', { name: 'Pay codes…' }).click();
    await page.getByLabel('straight time, on jobs').fill('100');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByRole('link', { name: 'put right' }).click();
    await page.getByRole('textbox', { name: 'Payroll number' }).fill('4001');
    await page.getByRole('button', { name: 'Save' }).first().click();
    await expect(page.getByText('saved', { exact: true }).first()).toBeVisible();
    await page.goBack();
    await page.getByRole('button', { name: 'Make the pay file' }).click();
    const made = page.waitForEvent('download');
    await page.getByRole('button', { name: 'CSV' }).click();
    const csv = await readFile(await (await made).path(), 'utf8');
    expect(csv.split('\r\n')[1]).toMatch(/^4001;Ada Lund;.*;100;7,00$/);
    const book = page.waitForEvent('download');
    await page.getByRole('button', { name: 'XLSX' }).click();
    // A workbook is a ZIP.
    expect((await readFile(await (await book).path())).subarray(0, 2).toString()).toBe('PK');

    await page.getByRole('link', { name: 'What payroll paid' }).click();
    const buffer = Buffer.from(`Number;Period;Amount\r\n4001;${dayAgo(1)};270,00\r\n`);
    await page
      .locator('input[type="file"]')
      .setInputFiles({ name: 'paid.csv', mimeType: 'text/csv', buffer });
    await expect(page.getByText('Taking it adds €18.00.')).toBeVisible();
    await page.getByRole('button', { name: 'Take it over' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'paid.csv' })).toContainText('€18.00');
    const job = `${shop.server.url}/work/${shop.order.order.id}`;
    const taken = page.url();
    await page.goto(job);
    await expect(page.getByText('€270.00').first()).toBeVisible();
    await page.goto(taken);
    await page.getByRole('button', { name: 'Take back' }).click();
    await page.getByLabel('Why it is taken back').fill('wrong month');
    await page.getByLabel('Why it is taken back').press('Enter');
    await expect(page.getByText('taken back by Sol: wrong month')).toBeVisible();
    await page.goto(job);
    await expect(page.getByText('€252.00').first()).toBeVisible();
  });
});

test('time off is asked for at the station, granted on the floor, told at the badge, and taken back there', async ({
  page,
}) => {
  const shop = await openShop();
  await shop.openStation(page);
  await shop.scan(page, 'ada');
  await page.getByRole('button', { name: 'Time off' }).click();
  await page.getByRole('button', { name: 'Holiday' }).click();
  // It is Tuesday, 24 November.
  await page.getByRole('button', { name: 'Wed 25 Nov' }).click();
  await page.getByRole('button', { name: 'Fri 27 Nov' }).click();
  await page.getByRole('textbox').fill('a wedding');
  await page.getByRole('button', { name: 'Send' }).click();
  await expect(page.getByText('The supervisor sees that you ask')).toBeVisible();

  const floor = await page.context().newPage();
  await shop.openDesk(floor, '/floor');
  const requests = floor.getByRole('region', { name: 'Requests from the floor' });
  await expect(requests).toContainText(
    'Ada Lund asks for time off: holiday, Wed 25 Nov to Fri 27 Nov: a wedding',
  );
  await requests.getByRole('textbox', { name: 'Reply to Ada Lund' }).fill('enjoy it');
  await requests.getByRole('button', { name: 'Grant, paid' }).click();
  await expect(requests).toBeHidden();

  await page.bringToFront();
  await shop.scan(page, 'blank');
  await shop.scan(page, 'ada');
  await expect(page.getByText('Holiday, Wed 25 Nov – Fri 27 Nov: granted. enjoy it')).toBeVisible();

  await page.getByRole('button', { name: 'Time off' }).click();
  await page.getByRole('button', { name: 'Take back: Holiday, Wed 25 Nov – Fri 27 Nov' }).click();
  await expect(page.getByText('Taken back', { exact: true })).toBeVisible();
  await expect(requests).toContainText('Ada Lund no longer wants the time off');
  await requests.getByRole('button', { name: 'Take it out of the plan' }).click();
  await expect(requests).toBeHidden();
  await shop.scan(page, 'blank');
  await shop.scan(page, 'ada');
  await expect(page.getByText('taken out, as you asked')).toBeVisible();
  await shop.server.stop();
});
