import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { CALIBRATION_TEXT } from '@wergon/core/scan';
import { decode } from '../../web/src/labels/decode.fixture.ts';
import { expectNothingSerious } from '../axe.ts';
import { createServerProcess } from '../server.ts';
import { openShop, scanText } from '../shop.ts';
import type { Shop } from '../shop.ts';

/** A card that is read into a field of the desk. */
const type = async (page: Page, code: string) => {
  await page.keyboard.type(code);
  await page.keyboard.press('Enter');
};

/** Sends keys that no US keyboard has, as a scanner set for another layout does. */
const press = (page: Page, text: string, end: string) =>
  page.evaluate(
    (keys) => {
      for (const key of keys) window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    },
    [...text, end],
  );

test.describe('preparing the work', () => {
  let shop: Shop;
  test.beforeAll(async () => {
    shop = await openShop();
  });
  test.afterAll(() => shop.server.stop());

  test('an order from a standard is released, its traveler printed, and the printed code starts the task', async ({
    browser,
  }) => {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      deviceScaleFactor: 4,
    });
    const page = await context.newPage();
    await shop.openDesk(page, '/shop/standards');
    for (const [title, hours] of [
      ['Dismantle', '2'],
      ['Rewind stator', '9,5'],
      ['Repaint', '1'],
    ] as const) {
      await page.getByRole('button', { name: 'New standard task' }).click();
      await page.getByLabel('Standard task', { exact: true }).fill(title);
      await page.getByLabel('Grade').selectOption({ label: 'Winder' });
      await page.getByLabel('Run hours', { exact: true }).fill(hours);
      await page.getByRole('button', { name: 'Save standard task' }).click();
      await expect(page.getByRole('row', { name: title })).toBeVisible();
    }
    await page.getByRole('button', { name: 'New standard job' }).click();
    await page.getByLabel('Standard job', { exact: true }).fill('Rewind, small');
    for (const title of ['Dismantle', 'Rewind stator', 'Repaint'])
      await page.getByLabel('Add a standard task').selectOption({ label: title });
    await page.getByRole('listitem').filter({ hasText: 'Repaint' }).getByLabel('required').uncheck();
    await page.getByRole('button', { name: 'Save standard job' }).click();
    await page.getByRole('button', { name: /Rewind, small/ }).click();
    await page.getByRole('link', { name: 'Make an order from it' }).click();

    await page.getByRole('button', { name: 'Add its tasks' }).click();
    await expect(page.getByLabel('Task 2', { exact: true })).toHaveValue('Rewind stator');
    await expect(page.getByLabel('Task 3', { exact: true })).toHaveCount(0);
    // Tasks are put in order by hand, or by keys.
    const handle = (title: string) => page.getByRole('button', { name: `Move ${title}: drag` });
    await handle('Rewind stator').dragTo(handle('Dismantle'));
    await expect(page.getByLabel('Task 1', { exact: true })).toHaveValue('Rewind stator');
    await expect(page.getByLabel('Task 2', { exact: true })).toHaveValue('Dismantle');
    await page.getByLabel('Task 1', { exact: true }).press('Alt+ArrowDown');
    await expect(page.getByLabel('Task 1', { exact: true })).toHaveValue('Dismantle');
    await page.getByLabel('Number').fill('6001');
    await page.getByLabel('Customer').fill('Aker Dairy');
    await page.getByLabel('Price', { exact: true }).fill('900');
    await expect(page.getByText('11:30 estimated')).toBeVisible();
    await expect(page.getByText('€440.00 of the price left over it')).toBeVisible();
    await page.getByRole('button', { name: 'Save as draft' }).click();
    await page.getByRole('button', { name: 'Release', exact: true }).click();
    await expect(page.getByText('released', { exact: true })).toBeVisible();

    // Whoever comes from an order has chosen it: its traveler is there at once.
    await page.getByRole('link', { name: 'Traveler' }).click();
    const sheet = page.getByRole('img', { name: 'Sheet 1 of 1' });
    await expect(sheet).toBeVisible();
    const codes = await decode(new Uint8Array(await sheet.screenshot()), 'Code128');
    expect(codes).toHaveLength(3);
    const [first = ''] = codes.filter((code) => code.startsWith('K'));

    const station = await context.newPage();
    await shop.openStation(station, 'Bench 1');
    await shop.scan(station, 'ada');
    await scanText(station, first);
    await expect(station.getByRole('contentinfo')).toContainText(/Started (Dismantle|Rewind stator), 6001/);

    // The order changes: the paper on the bench says so from now on.
    await page.goto(`${shop.server.url}/work`);
    await page.getByRole('link', { name: /6001/ }).click();
    await page.getByRole('link', { name: 'Change' }).click();
    await page.getByLabel(/^Notes/).fill('New bearings');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('New bearings').first()).toBeVisible();
    await station.reload();
    await station.getByText('Scan your badge or a task').waitFor();
    await shop.scan(station, 'bo');
    await scanText(station, first);
    await expect(station.getByText('The order has changed since this traveler was printed')).toBeVisible();
    await context.close();
  });

  test('a file with three bad rows stores only the good ones, and again changes nothing', async ({
    page,
  }) => {
    await shop.openDesk(page, '/shop/import');
    const row = (number: string, grade: string, due: string, run: string) =>
      `${number};Rewind;Aker Dairy;${due};Strip;${grade};${run}`;
    const file = {
      name: 'orders.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        [
          'Order no;Description;Customer;Delivery;Operation;Skill;Run',
          row('8001', 'Winder', '1.12.2026', '2,5'),
          row('8002', 'Wizard', '', '1'),
          row('8003', 'Winder', '31.2.2026', '1'),
          row('8004', 'Winder', '', '-1'),
          row('8005', 'Winder', '', '4'),
        ].join('\r\n'),
        'latin1',
      ),
    };
    const choose = () => page.locator('input[type=file]').setInputFiles(file);
    await choose();
    await expect(page.getByLabel('Column for Due')).toHaveValue('3');
    await page.getByRole('button', { name: 'Check every row' }).click();
    await expect(page.getByText('3 not right')).toBeVisible();
    await expect(page.getByRole('row', { name: /^3 Grade no grade is called “Wizard”/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /^4 Due/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /^5 Run hours/ })).toBeVisible();
    await expectNothingSerious(page);
    await page.getByRole('button', { name: 'Store the 2 good rows only' }).click();
    await expect(
      page.getByText('2 rows are new, 0 changed, 0 were there already, 3 left out.'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Another file' }).click();
    await choose();
    await page.getByRole('button', { name: 'Check every row' }).click();
    await expect(page.getByText('2 there already')).toBeVisible();
    await expect(page.getByText('No row of this file can be stored.')).toBeVisible();
  });

  test('a large import can be cancelled, and nothing of it is stored', async ({ page }) => {
    await shop.openDesk(page, '/shop/import');
    await page.getByLabel('List').selectOption('people');
    const rows = Array.from({ length: 10_000 }, (_each, i) => `${5000 + i};Person ${i};Hall`);
    // The server answers slowly, so that there is time to change one's mind.
    await page.route('**/api/exchange/people', async (route) => {
      await new Promise((done) => setTimeout(done, 300));
      await route.continue().catch(() => undefined);
    });
    await page.locator('input[type=file]').setInputFiles({
      name: 'people.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['Number;Name;Department', ...rows].join('\n')),
    });
    await page.getByRole('button', { name: 'Check every row' }).click();
    await expect(page.getByText(/\d+ of 10000 rows/)).toBeVisible();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByText('or drop it here')).toBeVisible();
    await page.goto(`${shop.server.url}/shop/people`);
    await expect(page.getByRole('link', { name: 'Ada Lund' })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Person/ })).toHaveCount(0);
  });

  test('a card is bound by reading it, and opens the station', async ({ page, context }) => {
    await shop.openDesk(page, '/shop/people');
    await page.getByRole('link', { name: 'Bo Moe' }).click();
    await page.getByRole('button', { name: 'Read a card' }).click();
    await expect(page.getByRole('textbox', { name: 'Hold the card to the reader now' })).toBeFocused();
    await type(page, '04 a3 b2 1f');
    await expect(page.getByText('The card 04A3B21F is Bo Moe’s badge now.')).toBeVisible();
    await page.goto(`${shop.server.url}/shop/people`);
    await page.getByRole('link', { name: 'Ada Lund' }).click();
    await page.getByRole('button', { name: 'Read a card' }).click();
    await expect(page.getByRole('textbox', { name: 'Hold the card to the reader now' })).toBeFocused();
    await type(page, '04A3B21F');
    await expect(page.getByText('is Bo Moe’s badge')).toBeVisible();
    const station = await context.newPage();
    await shop.openStation(station, 'Bench 2');
    await scanText(station, '04A3B21F');
    await expect(station.getByRole('heading', { name: 'Bo Moe' })).toBeVisible();
  });

  test('a scanner that sends odd characters is taught by one scan of the calibration label', async ({
    page,
  }) => {
    await shop.openStation(page, 'Bench 3');
    const odd = (text: string) =>
      `$1${text.replace(/[0-9]/g, (digit) => 'à&é"\'(-è_ç'[Number(digit)] ?? '')}`;
    // What the station asked for before it was taught arrives after it.
    let release = () => {};
    const isTaught = new Promise<void>((done) => (release = done));
    const isAsked = new Promise<void>((asked) =>
      page.route(
        '**/api/station/directory/changes*',
        async (route) => {
          const response = await route.fetch();
          asked();
          await isTaught;
          await route.fulfill({ response });
        },
        { times: 1 },
      ),
    );
    await press(page, odd(shop.codes['ada'] ?? ''), 'Tab');
    await expect(page.getByText('Not one of our labels')).toBeVisible();
    await isAsked;
    await press(page, odd(CALIBRATION_TEXT), 'Tab');
    await expect(page.getByText('This scanner is known now')).toBeVisible();
    const late = page.waitForResponse('**/api/station/directory/changes*');
    release();
    await (await late).finished();
    await press(page, odd(shop.codes['ada'] ?? ''), 'Tab');
    await expect(page.getByRole('heading', { name: 'Ada Lund' })).toBeVisible();
    await page.reload();
    await page.getByText('This station is free').waitFor();
    await press(page, odd(shop.codes['bo'] ?? ''), 'Tab');
    await expect(page.getByRole('heading', { name: 'Bo Moe' })).toBeVisible();
  });

  test('two who write on one order: the second sees both versions and loses nothing', async ({
    page,
    context,
  }) => {
    const draft = await shop.desk<{ id: string }>('/api/work', {
      number: '6100',
      title: 'Rewind fan',
      customer: 'Stock',
      quantity: 1,
      due: null,
      estimateIncludes: ['setup'],
      tasks: [],
    });
    await shop.openDesk(page, `/work/${draft.id}/edit`);
    const other = await context.newPage();
    await other.goto(`${shop.server.url}/work/${draft.id}/edit`);
    for (const [each, title, notes] of [
      [other, 'Rewind fan, urgent', 'Call before delivery'],
      [page, 'Rewind fan and balance', ''],
    ] as const) {
      await each.getByLabel('Description').fill(title);
      if (notes) await each.getByLabel(/^Notes/).fill(notes);
      await each.getByRole('button', { name: 'Save', exact: true }).click();
      if (each === other) await expect(other.getByRole('heading', { name: title })).toBeVisible();
    }
    const panel = page.getByRole('alert', { name: 'Changed by somebody else' });
    await expect(panel).toContainText('Rewind fan and balance');
    await expect(panel).toContainText('Rewind fan, urgent');
    await expect(page.getByLabel(/^Notes/)).toHaveValue('Call before delivery');
    await panel.getByRole('button', { name: 'Keep mine' }).click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Rewind fan and balance' })).toBeVisible();
    await expect(page.getByText('Call before delivery').first()).toBeVisible();
  });

  test('unsaved work is warned of before it is lost', async ({ page }) => {
    await shop.openDesk(page, '/work/new');
    await page.getByLabel('Description').fill('Something long');
    page.once('dialog', (dialog) => void dialog.dismiss());
    await page.getByRole('link', { name: /^Floor/ }).click();
    await expect(page.getByLabel('Description')).toHaveValue('Something long');
    page.once('dialog', (dialog) => void dialog.accept());
    await page.getByRole('link', { name: /^Floor/ }).click();
    await page.waitForURL('**/floor');
    await expect(page.getByLabel('Description')).toBeHidden();
  });

  test('who holds an order with people on it is told their names', async ({ page, context }) => {
    const station = await context.newPage();
    await shop.openStation(station, 'Bench 4');
    await shop.scan(station, 'ada');
    await shop.scan(station, 'strip');
    await station.getByText(/(Started|Switched to|You are on) Strip/).waitFor();
    await shop.openDesk(page, `/work/${shop.order.order.id}`);
    await page.getByRole('button', { name: 'Hold' }).click();
    await expect(page.getByText('Ada Lund is on this order now. Nothing stops by itself.')).toBeVisible();
    await page.getByRole('button', { name: 'Hold and stop them' }).click();
    await expect(page.getByText('on hold', { exact: true })).toBeVisible();
    await expect(page.getByText('on it now')).toHaveCount(0);
  });
});

test('from an empty database to a first scan', async ({ page, context }) => {
  const server = await createServerProcess();
  await server.start();
  await page.goto(server.url);
  await expect(page.getByRole('heading', { name: 'Set up your shop' })).toBeVisible();
  await expectNothingSerious(page);
  await page.getByLabel('Name of the shop').fill('Odden Rewind Works');
  await page.getByLabel('Time zone').selectOption('Europe/Helsinki');
  await page.getByLabel('Your name').fill('Solveig Aune');
  await page.getByLabel('User name').fill('solveig');
  await page.getByLabel(/^Password/).fill('a long password');
  await page.getByRole('button', { name: 'Set up' }).click();

  // Five steps, each led to from the one list.
  const next = async () => {
    await page.getByRole('link', { name: 'Shop', exact: true }).click();
    await page.getByRole('link', { name: 'Do this next' }).click();
  };
  await expect(page.getByRole('heading', { name: 'Five steps to the first scan' })).toBeVisible();
  await page.getByRole('link', { name: 'Do this next' }).click();
  await page.getByLabel('Number').fill('1');
  await page.getByLabel('Name', { exact: true }).fill('Maja Lindqvist');
  await page.getByRole('button', { name: 'Add person' }).click();
  const badge = (await page.locator('.badges .mono').first().textContent()) ?? '';
  await next();
  await page.getByLabel('Grade', { exact: true }).fill('Winder');
  await page.getByLabel('Standard rate per hour').fill('40');
  await page.getByRole('button', { name: 'Add grade' }).click();
  await expect(page.getByText('Winder', { exact: true })).toBeVisible();
  await next();
  await expect(page.getByLabel('Number')).toHaveValue('1001');
  await page.getByLabel('Description').fill('Rewind fan motor');
  await page.getByLabel('Customer').fill('Stock');
  await page.getByRole('button', { name: 'Add a task' }).click();
  await page.getByLabel('Task 1', { exact: true }).fill('Winding');
  await page.getByLabel('Grade of task 1').selectOption({ label: 'Winder' });
  await page.getByLabel('Run hours of task 1').fill('1,5');
  await page.getByRole('button', { name: 'Save as draft' }).click();
  await page.getByRole('button', { name: 'Release', exact: true }).click();
  await expect(page.getByText('released', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: /Winding/ }).click();
  const task = (await page.locator('.lines .mono').first().textContent()) ?? '';
  await next();
  await page.getByLabel('Name of a new station').fill('Winding 1');
  await page.getByRole('button', { name: 'Add station' }).click();
  const pairing = (await page.locator('.code').textContent()) ?? '';

  const station = await context.newPage();
  await station.goto(`${server.url}/station`);
  await station.getByLabel('Pairing code').fill(pairing);
  await station.getByRole('button', { name: 'Pair this device' }).click();
  await station.getByText('This station is free').waitFor();
  for (const code of [badge, task]) await scanText(station, code);
  await expect(station.getByRole('contentinfo')).toContainText('Started Winding, 1001');

  await page.getByRole('link', { name: 'Shop', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Five steps to the first scan' })).toHaveCount(0);
  await expect(page.getByText('People without a cost rate today')).toBeVisible();
  await server.stop();
});
