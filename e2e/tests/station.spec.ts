import { expect, test } from '@playwright/test';
import type { OrderJson } from '@wergon/contract/compare';
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
  await expect(floor.getByRole('link', { name: '5001 Winding' })).toBeVisible();
  await expect(floor.getByLabel('The shop in figures')).toContainText('1 on tasks');
  await expect(order.getByRole('button', { name: /Winding/ })).toContainText('now: Ada Lund');

  await scan(page, 'strip');
  await expect(says).toContainText('Switched to Strip, 5001');
  await expect(floor.getByRole('link', { name: '5001 Strip' })).toBeVisible();
  await expect(order.getByRole('button', { name: /Strip/ })).toContainText('now: Ada Lund');

  // Work that begins and ends in the same second is no work: wait until there is some to open.
  await expect.poll(async () => usedSeconds(1)).toBeGreaterThan(0);
  await scan(page, 'off-task');
  await expect(says).toContainText('Left Strip, 5001');
  await expect(floor.getByLabel('The shop in figures')).toContainText('0 on tasks');
  await expect(order.getByRole('button', { name: /Strip/ })).not.toContainText('now:');

  await order.getByRole('button', { name: /Strip/ }).click();
  await order.getByRole('button', { name: 'Scans' }).first().click();
  await expect(order.getByText(/stopped .* scan at Winding 1/)).toBeVisible();
});

test('two people at one station: only the one whose badge stood there last starts', async ({ page }) => {
  await shop.openStation(page, 'Winding 2');
  await shop.scan(page, 'ada');
  await shop.scan(page, 'bo');
  await expect(page.getByRole('heading', { name: 'Bo Moe' })).toBeVisible();
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await page.getByRole('button', { name: 'Done, clear' }).click();
  await shop.scan(page, 'ada');
  await expect(page.getByRole('main')).toContainText('no task');
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
  await expect(page.getByRole('main')).toContainText('no task');
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
  await shop.scan(page, '4006381333931');
  await expect(says).toContainText('Not one of our labels');
  await expect(page.getByRole('main')).toContainText('no task');
  const desk = await context.newPage();
  await shop.openDesk(desk, '/reconcile');
  const line = desk.getByRole('listitem').filter({ hasText: '4006381333931' });
  await expect(line).toContainText('Winding 4 scanned 4006381333931');
  await line.focus();
  await line.getByRole('textbox').fill('a bottle of lemonade');
  await line.getByRole('button', { name: 'Accept' }).click();
  await expect(desk.getByRole('listitem').filter({ hasText: 'a bottle of lemonade' })).toContainText(
    'unknown code',
  );
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
  // As fast as a scanner, however busy the machine is that runs this.
  await page.evaluate((code) => {
    for (const key of code) window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  }, shop.codes['ada'] ?? '');
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

test('a touch is as good as a label: the list, the keys, an answer in words, and a stop that asks', async ({
  page,
  context,
}) => {
  await shop.openStation(page, 'Winding 10');
  const band = page.getByRole('contentinfo');
  await shop.scan(page, 'ada');
  await page.getByRole('button', { name: 'Need a part' }).click();
  await page.getByRole('textbox', { name: 'Type here' }).fill('slot paper');
  // One Send, and it takes the words along.
  await expect(page.getByRole('button', { name: 'Enter' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Send' }).click();
  await expect(band).toContainText('How many: slot paper?');
  await page.keyboard.press('2');
  await page.keyboard.press('Enter');
  await expect(band).toContainText('What is it for?');
  await page.getByRole('button', { name: 'Send' }).click();
  await expect(band).toContainText('The desk sees what you need');

  const floor = await context.newPage();
  await shop.openDesk(floor, '/floor');
  const requests = floor.getByRole('region', { name: 'Requests from the floor' });
  await expect(requests).toContainText('Ada Lund needs a part: 2 × slot paper');
  await requests.getByRole('button', { name: 'Ordered' }).click();
  await expect(requests).toContainText('ordered, Sol');
  await requests.getByRole('textbox', { name: 'Reply to Ada Lund' }).fill('It is at the counter');
  await requests.getByRole('button', { name: 'It is here' }).click();
  await expect(requests).toBeHidden();

  await page.bringToFront();
  await shop.scan(page, 'blank');
  await shop.scan(page, 'ada');
  await expect(page.getByText('slot paper: here. It is at the counter')).toBeVisible();
  await shop.scan(page, 'strip');
  await page.getByRole('button', { name: 'Kind of work' }).click();
  await page.getByRole('button', { name: 'setup' }).click();
  await expect(band).toContainText('setup of Strip, 5001');
  await page.getByRole('button', { name: 'Steps and papers' }).click();
  await expect(page.getByText('Its order has no pictures or papers.')).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('button', { name: 'Off task' }).click();
  await expect(band).toContainText('Leave Strip, 5001?');
  await page.getByRole('button', { name: 'Yes' }).click();
  await expect(band).toContainText('Left Strip, 5001 after');
});

test('a station set to sign in and out speaks German, and one’s own time is shown there', async ({
  page,
}) => {
  await shop.openStation(page, 'Gate');
  const { stations } = await shop.desk<{ stations: { id: string; name: string; settings: object }[] }>(
    '/api/stations',
  );
  const gate = stations.find(({ name }) => name === 'Gate');
  await shop.desk(`/api/stations/${gate?.id ?? ''}`, {
    name: 'Gate',
    settings: { ...gate?.settings, kind: 'presence', language: 'de' },
  });
  const band = page.getByRole('contentinfo');
  await expect(band).toContainText('Ausweis scannen: kommen oder gehen');
  await shop.scan(page, 'bo');
  await expect(band).toContainText(/Angemeldet|Abgemeldet/);
  await shop.scan(page, 'strip');
  await expect(band).toContainText('Hier wird nur gekommen und gegangen');
  // Whoever has a language of their own is spoken to in it, here too.
  const { technicians } = await shop.desk<{ technicians: { id: string; name: string; number: string }[] }>(
    '/api/people',
  );
  const ada = technicians.find(({ name }) => name === 'Ada Lund');
  const fields = { number: ada?.number ?? '', name: 'Ada Lund', department: 'Winding', language: 'en' };
  await shop.desk(`/api/people/${ada?.id ?? ''}`, fields);
  await expect(page.getByRole('status')).toHaveText('verbunden');
  await expect(async () => {
    await shop.scan(page, 'blank');
    await shop.scan(page, 'ada');
    await expect(band).toContainText(/You are signed|Signed/, { timeout: 2_000 });
  }).toPass();
});

test('a phone of one’s own: a code at the station after the badge makes it a station for that one person', async ({
  page,
  browser,
}) => {
  const { settings } = await shop.desk<{ settings: { work: object } }>('/api/shop');
  await shop.desk('/api/shop/settings', { ...settings, work: { ...settings.work, ownPhones: true } });
  await shop.openStation(page, 'Gate 2');
  await shop.scan(page, 'ada');
  await page.getByRole('button', { name: 'My phone' }).click();
  const code = page.getByText(/^[A-Z0-9]{6,}$/);
  await expect(code).toBeVisible();
  await expect(page.getByRole('img', { name: 'Code for the phone’s camera' })).toBeVisible();

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 800 } })).newPage();
  await phone.goto(`${shop.server.url}/station#pair=${await code.textContent()}`);
  await phone.getByRole('button', { name: 'Ada Lund' }).click();
  await shop.scan(phone, 'strip');
  await expect(phone.getByRole('contentinfo')).toContainText(/(Started|Switched to|You are on) Strip/);
  await phone.getByRole('button', { name: 'My time' }).click();
  await expect(phone.getByRole('heading', { name: 'Ada Lund, your time' })).toBeVisible();
  await expect(phone.getByText('This week')).toBeVisible();
  // Nobody else is known here.
  await phone.reload();
  await expect(phone.getByRole('button', { name: 'Ada Lund' })).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Bo Moe' })).toHaveCount(0);
  await shop.scan(phone, 'bo');
  await expect(phone.getByRole('contentinfo')).toContainText('not known here');
});

test('on a phone everything that matters is on the screen, and nothing is wider than it', async ({
  page,
}) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await shop.openStation(page, 'Phone');
  await shop.scan(page, 'ada');
  await expect(page.getByRole('heading', { name: 'Ada Lund' })).toBeInViewport();
  await expect(page.getByRole('contentinfo')).toBeInViewport();
  await expect(page.getByRole('button', { name: 'My time' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(360);
});

for (const [width, height] of [
  [1280, 800],
  [1920, 1080],
  [800, 1280],
  [360, 740],
] as const)
  test(`at ${width}×${height} the main line is a twentieth of the screen’s height`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await shop.openStation(page, `Size ${width}`);
    await shop.scan(page, 'ada');
    const line = page.getByRole('contentinfo').getByRole('heading');
    await expect(line).toBeInViewport({ ratio: 1 });
    const size = await line.evaluate((each) => parseFloat(getComputedStyle(each).fontSize));
    expect(size / height).toBeGreaterThanOrEqual(0.05);
  });

test('a station whose token is revoked asks to be paired', async ({ page }) => {
  await shop.openStation(page, 'Winding 8');
  const { stations } = await shop.desk<{ stations: { id: string; name: string }[] }>('/api/stations');
  await shop.desk(`/api/stations/${stations.find(({ name }) => name === 'Winding 8')?.id ?? ''}/revoke`, {});
  await page.reload();
  await expect(page.getByRole('heading', { name: 'This device is not a station yet' })).toBeVisible();
  await page.getByLabel('Pairing code').fill('WRONG123');
  await page.getByRole('button', { name: 'Pair this device' }).click();
  await expect(page.getByRole('alert')).toContainText('This code is not valid');
});
