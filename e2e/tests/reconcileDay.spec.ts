import { expect, test } from '@playwright/test';
import { weekdayOf } from '@wergon/core/time';
import { createCaller, openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';
import { at, dayAgo, line, openShopWithYesterday, today } from '../past.ts';

// Days are past: what was scanned then is put right, written down, approved and closed now.
test.describe('a day is made true', () => {
  test.describe.configure({ mode: 'parallel' });
  let shop: Shop;
  let ada: string;
  let bo: string;
  const strip = () => shop.order.tasks[0]?.id;
  const winding = () => shop.order.tasks[1]?.id;
  test.beforeEach(async () => {
    ({ shop, ada, bo } = await openShopWithYesterday());
  });
  test.afterEach(() => shop.server.stop());

  test('a block is drawn longer on the tape, the effect seen before it, and undone; a gap is filled', async ({
    page,
  }) => {
    await shop.openDesk(page, `/reconcile/day/${ada}/${dayAgo(1)}`);
    await page.getByRole('button', { name: /5001 Strip, 7:00 to 10:00/ }).click();
    const end = page.getByRole('slider', { name: 'End' });
    const box = await end.boundingBox();
    const tape = await page.locator('.tape').first().boundingBox();
    if (!box || !tape) throw new Error('nothing to draw');
    // Twelve hours lie on the tape: half an hour is a twenty-fourth of it.
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + tape.width / 24, y, { steps: 5 });
    await page.mouse.up();
    await expect(end).toHaveAttribute('aria-valuetext', '10:30');
    await expect(page.getByText('1:00 over becomes 1:30 over')).toBeVisible();
    await page.getByRole('button', { name: 'Put it right' }).click();
    const done = page.getByRole('status').filter({ hasText: 'done.' });
    await expect(done).toBeVisible();
    await expect(page.getByRole('button', { name: /5001 Strip, 7:00 to 10:30/ })).toBeVisible();
    await done.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: /5001 Strip, 7:00 to 10:00/ })).toBeVisible();

    await page.getByRole('button', { name: 'On nothing from 10:00 to 11:00: fill it' }).click();
    await page.getByRole('combobox', { name: 'Work' }).fill('5001 strip');
    await page
      .getByRole('listbox')
      .getByRole('option', { name: /5001 Strip/ })
      .click();
    await page.getByRole('button', { name: 'Put it right' }).click();
    // The same work before it goes on: one block, and the stop between them counts no more.
    await expect(page.getByRole('button', { name: /5001 Strip, 7:00 to 11:00/ })).toBeVisible();
  });

  test('a block is split, put on other work, handed on and taken out; each is undone, and none changed another', async ({
    page,
  }) => {
    const pathOf = (who: string) => `/reconcile/day/${who}/${dayAgo(1)}`;
    await shop.openDesk(page, pathOf(ada));
    const block = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) });
    const done = page.getByRole('status').filter({ hasText: 'done.' });
    const asItWas = async () => {
      await done.getByRole('button', { name: 'Undo' }).click();
      await expect(done).toBeHidden();
      await expect(block('5001 Strip, 7:00 to 10:00')).toBeVisible();
      await expect(block('5001 Winding, 11:00 to 15:00')).toBeVisible();
    };

    await block('5001 Strip, 7:00 to 10:00').click();
    await page.getByRole('button', { name: 'Split' }).click();
    await page.getByRole('combobox', { name: 'Work' }).nth(1).fill('5001 winding');
    await page
      .getByRole('listbox')
      .getByRole('option', { name: /5001 Winding/ })
      .click();
    await expect(page.getByText('before', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Put it right' }).click();
    await expect(block('5001 Strip, 7:00 to 8:30')).toBeVisible();
    await expect(block('5001 Winding, 8:30 to 10:00')).toBeVisible();
    await asItWas();

    await block('5001 Strip, 7:00 to 10:00').click();
    await page.getByLabel('Kind').selectOption('rework');
    await page.getByRole('button', { name: 'Put it right' }).click();
    await expect(page.getByRole('row').filter({ hasText: '5001 Strip' })).toContainText('rework');
    await asItWas();
    // Its hours were the same all along: only the kind says that it is back.
    await expect(page.getByRole('row').filter({ hasText: '5001 Strip' })).not.toContainText('rework');

    await block('5001 Strip, 7:00 to 10:00').click();
    await page.getByRole('combobox', { name: 'Person' }).selectOption({ label: 'Bo Moe' });
    await expect(page.getByText('Bo Moe before')).toBeVisible();
    await page.getByRole('button', { name: 'Put it right' }).click();
    await expect(done).toBeVisible();
    await expect(block('5001 Strip')).toHaveCount(0);
    await asItWas();

    // What it would do arrives late and below: the button stays where the hand is.
    let answer = () => {};
    await page.route(
      '**/api/reconcile/tape/preview',
      async (route) => {
        await new Promise<void>((goOn) => (answer = goOn));
        await route.continue();
      },
      { times: 1 },
    );
    const asked = page.waitForRequest('**/api/reconcile/tape/preview');
    await block('5001 Winding, 11:00 to 15:00').click();
    await page.getByRole('button', { name: 'Take out' }).click();
    await expect(page.getByText('This block is taken out: it never was.')).toBeVisible();
    await asked;
    const put = page.getByRole('button', { name: 'Put it right' });
    const place = await put.boundingBox();
    answer();
    await expect(page.getByText('before', { exact: true })).toBeVisible();
    expect(await put.boundingBox()).toEqual(place);
    await put.click();
    await expect(done).toBeVisible();
    await expect(block('5001 Winding')).toHaveCount(0);
    await expect(block('5001 Strip, 7:00 to 10:00')).toBeVisible();
    await asItWas();
  });

  test('several records are ticked and given to another person, the effect seen first, and undone as one', async ({
    page,
  }) => {
    await shop.openDesk(page, `/reconcile/day/${ada}/${dayAgo(1)}`);
    const row = (name: string) => page.getByRole('row').filter({ hasText: name });
    await row('5001 Strip').getByRole('checkbox').check();
    await row('5001 Winding').getByRole('checkbox').check();
    const form = page.getByRole('form', { name: '2 records of Ada Lund' });
    await form.getByLabel('What to do with what is ticked').selectOption({ label: 'give to' });
    await form.getByLabel('Person').selectOption({ label: 'Bo Moe' });
    await expect(form.getByText('Bo Moe before')).toBeVisible();
    await form.getByRole('button', { name: 'Put it right' }).click();
    const done = page.getByRole('status').filter({ hasText: '2 records of Ada Lund given to Bo Moe, done.' });
    await expect(done).toBeVisible();
    await expect(form).toBeHidden();
    await expect(row('5001')).toHaveCount(0);
    await done.getByRole('button', { name: 'Undo' }).click();
    await expect(row('5001')).toHaveCount(2);
    await page.goto(`${shop.server.url}/reconcile/day/${bo}/${dayAgo(1)}`);
    await expect(page.getByText('Nothing is recorded of Bo Moe')).toBeVisible();
  });

  test('a shift end is moved by typing it, what runs goes with it, and a break that was forgotten is added', async ({
    page,
  }) => {
    await shop.openDesk(page, `/reconcile/day/${ada}/${dayAgo(1)}`);
    const row = (name: string) => page.getByRole('row').filter({ hasText: name });
    await page.getByRole('button', { name: 'Change the shift from 7:00' }).click();
    await page.getByRole('textbox', { name: 'Out' }).fill('15:30');
    await page.getByRole('textbox', { name: 'Why' }).fill('told by phone');
    await expect(page.getByText('2:00 over becomes 2:30 over')).toBeVisible();
    await page.getByRole('button', { name: 'Put it right' }).click();
    const done = page.getByRole('status').filter({ hasText: 'done.' });
    await expect(done).toContainText('shift from 7:00');
    await expect(page.getByRole('button', { name: /^5001 Winding, 11:00 to 15:30/ })).toBeVisible();
    await done.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: /^5001 Winding, 11:00 to 15:00/ })).toBeVisible();

    await page.getByRole('button', { name: 'Add a break' }).click();
    await page.getByRole('textbox', { name: 'Break from' }).fill('12:00');
    await page.getByRole('textbox', { name: 'Break until' }).fill('12:30');
    await page.getByRole('button', { name: 'Put it right' }).click();
    await expect(row('break')).toContainText('12:00');
    await expect(page.getByRole('button', { name: /^5001 Winding, 12:30 to 15:00/ })).toBeVisible();

    await page.getByRole('button', { name: 'Add a shift' }).click();
    await page.getByRole('textbox', { name: 'In', exact: true }).fill('14:00');
    await page.getByRole('textbox', { name: 'Out' }).fill('16:00');
    await expect(page.getByRole('alert')).toContainText('over another shift or break');
    await expect(page.getByRole('button', { name: 'Put it right' })).toBeDisabled();
  });

  test('hours of one job are written down for many people and seen in each week', async ({ page }) => {
    await shop.openDesk(page, '/reconcile/job');
    await page.getByRole('combobox', { name: 'Task or activity' }).fill('5001 winding');
    await page
      .getByRole('listbox')
      .getByRole('option', { name: /5001 Winding/ })
      .click();
    const monday = page.getByRole('textbox', { name: /^Bo Moe, Mon/ });
    await expect(monday).toBeVisible();
    // As long as the week that is asked for has not come, nothing can be entered into the one that stands there.
    let answer = () => {};
    await page.route(
      '**/api/reconcile/job-week?*',
      async (route) => {
        await new Promise<void>((done) => (answer = done));
        await route.continue();
      },
      { times: 1 },
    );
    await page.getByRole('button', { name: 'one week back' }).click();
    await expect(monday).toBeDisabled();
    answer();
    await monday.fill('1.5');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'Bo Moe' })).toContainText('1:30');
    await page.getByRole('link', { name: 'Bo Moe' }).click();
    await expect(page.getByRole('textbox', { name: /^5001 Winding, Mon/ })).toHaveValue('1:30');
  });

  test('keys alone move an edge by a minute; what would lie over other work is explained and not sent', async ({
    page,
  }) => {
    await shop.openDesk(page, `/reconcile/day/${ada}/${dayAgo(1)}`);
    await page.getByRole('button', { name: /5001 Strip, 7:00 to 10:00/ }).press('Enter');
    const end = page.getByRole('slider', { name: 'End' });
    await end.press('ArrowLeft');
    await expect(end).toHaveAttribute('aria-valuetext', '9:59');
    await page.getByLabel('To', { exact: true }).fill('11:30');
    await page.getByLabel('To', { exact: true }).press('Tab');
    await expect(page.getByRole('alert')).toContainText('there is something from 11:00 to 15:00');
    await expect(page.getByRole('button', { name: 'Put it right' })).toBeDisabled();
  });

  test('a week is entered as numbers, seen on the tape of its day, and a length too long is refused', async ({
    page,
  }) => {
    await shop.openDesk(page, `/reconcile/week/${bo}/${dayAgo(1)}`);
    await page.getByRole('combobox', { name: 'Another task or activity' }).fill('5001 wind');
    await page
      .getByRole('listbox')
      .getByRole('option', { name: /5001 Winding/ })
      .click();
    const row = page.getByRole('row').filter({ has: page.getByRole('combobox') });
    const place = new Date(`${dayAgo(1)}T12:00:00Z`).getUTCDay();
    const cell = row.getByRole('cell').nth((place + 6) % 7);
    await cell.getByRole('textbox').fill('1,5');
    await cell.getByRole('textbox').press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'done.' })).toContainText('5001 Winding: 1:30');
    const entered = page.getByRole('row').filter({ hasText: '5001 Winding' });
    await entered
      .getByRole('cell')
      .nth((place + 6) % 7)
      .getByRole('textbox')
      .fill('25');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('24 hours');
    await page.goto(`${shop.server.url}/reconcile/day/${bo}/${dayAgo(1)}`);
    await expect(page.getByRole('row').filter({ hasText: 'written down' })).toContainText('1:305001 Winding');
  });

  test('time is approved, its period closed, an edit of it refused, and a late scan an adjustment', async ({
    page,
  }) => {
    const settings = (await shop.desk<{ settings: object }>('/api/shop')).settings;
    await shop.desk('/api/shop/settings', {
      ...settings,
      pay: { period: 'weekly', anchor: '2026-01-05', approval: 'person-day', isConfirmed: true },
      desk: { signOutMinutes: 60 },
      backup: { hour: null, keep: 14 },
      reconcile: { answeredGapMinutes: 0 },
    });
    await shop.desk('/api/ledger/entries', {
      entries: [
        line('shift-in', bo, at(8, 7)),
        line('work-start', bo, at(8, 7), [strip()]),
        line('shift-out', bo, at(8, 15)),
      ],
    });
    await shop.openDesk(page, '/reconcile/approve');
    const cell = page.getByRole('button', { name: /^Approve Bo Moe/ });
    // Eight days ago is the Monday of the week before.
    await page.getByRole('button', { name: 'one week back' }).click();
    await expect(cell).toBeVisible();
    // Its order was not released then: a day to look at, approved by itself.
    await expect(page.getByText('to look at first')).toBeVisible();
    await cell.click();
    await expect(cell).toBeHidden();
    await expect(page.getByText('approved, Sol').first()).toBeVisible();

    await page.goto(`${shop.server.url}/pay`);
    await expect(page.getByRole('row').filter({ hasText: 'Bo Moe' })).toContainText('8:00');
    await page.getByRole('button', { name: 'Close this period' }).click();
    await expect(page.getByText('Closed by Sol')).toBeVisible();

    await page.goto(`${shop.server.url}/reconcile/day/${bo}/${dayAgo(8)}`);
    await expect(page.getByText('This day lies in a closed pay period')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Change' })).toHaveCount(0);

    const station = createCaller(shop.server.url);
    await station('/api/station/pair', { code: await shop.pairingCode('Late') });
    const late = ['shift-in', 'work-start', 'shift-out'].map((type, i) => ({
      ...line(type, bo, at(8, [16, 16, 17][i] ?? 17), type === 'work-start' ? [strip()] : undefined),
      source: 'scan',
    }));
    await station('/api/station/entries', { entries: late });
    await page.goto(`${shop.server.url}/reconcile/approve`);
    await page.getByRole('button', { name: 'one week back' }).click();
    await expect(page.getByText('changed since').first()).toBeVisible();
    await cell.click();
    await expect(page.getByText('approved, Sol').first()).toBeVisible();
    await page.goto(`${shop.server.url}/pay`);
    const adjustments = page.getByRole('region', { name: 'Adjustments' });
    await page.getByRole('button', { name: 'one period on' }).click();
    await expect(adjustments).toContainText('Bo Moe');
    await expect(adjustments).toContainText('1:00');
  });

  test('loose ends that are alike are looked at and answered together, over days, and undone', async ({
    page,
  }) => {
    await shop.desk('/api/ledger/entries', {
      entries: [
        line('shift-in', bo, at(2, 7)),
        line('work-start', bo, at(2, 7), [strip()]),
        line('work-stop', bo, at(2, 9)),
        line('work-start', bo, at(2, 10), [winding()]),
        line('shift-out', bo, at(2, 12)),
      ],
    });
    await shop.openDesk(page, '/reconcile');
    const alike = page.getByRole('region', { name: 'Similar cases' });
    await alike.getByRole('button', { name: 'The work before went on, all 2' }).click();
    await expect(alike).toContainText('3:00 over becomes 5:00 over');
    await alike.getByRole('button', { name: 'Put all 2 right' }).click();
    const done = page.getByRole('status').filter({ hasText: '2 gaps, The work before went on, done.' });
    await expect(done).toBeVisible();
    await expect(page.getByText('signed in without a task')).toHaveCount(0);
    await done.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('signed in without a task')).toHaveCount(2);
  });

  test('a technician confirms a day at the station, and whoever approves sees it', async ({ page }) => {
    const { settings } = await shop.desk<{ settings: object }>('/api/shop');
    await shop.desk('/api/shop/settings', {
      ...settings,
      pay: { period: 'weekly', anchor: '2026-01-05', approval: 'person-day', isConfirmed: true },
    });
    await shop.openStation(page);
    await shop.scan(page, 'ada');
    await page.getByRole('button', { name: 'My time' }).click();
    await page.getByRole('button', { name: 'They are right' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Confirmed.' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'They are right' })).toHaveCount(0);
    await shop.openDesk(page, '/reconcile/approve');
    // On a Monday, yesterday lies one week back.
    if (weekdayOf(today) === 1) await page.getByRole('button', { name: 'one week back' }).click();
    await expect(page.getByText('3 loose ends, confirmed')).toBeVisible();
  });

  test('the wall shows who is on what, says when nothing new arrives, and opens without the network', async ({
    page,
  }) => {
    await shop.desk('/api/ledger/entries', {
      entries: [line('work-start', bo, new Date(shop.server.nowMs() - 600_000).toISOString(), [winding()])],
    });
    await shop.openDesk(page, '/floor');
    await page.getByRole('button', { name: 'Wall' }).click();
    await page.getByLabel('On the wall').selectOption('jobs');
    await page.getByRole('link', { name: 'Open the wall' }).click();
    await expect(page).toHaveURL(/\/wall\?by=jobs$/);
    await expect(page.getByRole('list', { name: 'Jobs' })).toContainText('5001Winding, Stock Bo Moe');
    await page.goto(`${shop.server.url}/wall?by=people&division=nothing`);
    await expect(page.getByText('Nobody is working on nothing.')).toBeVisible();
    await page.goto(`${shop.server.url}/wall?by=people`);
    const people = page.getByRole('list', { name: 'People' });
    await expect(people).toContainText('Bo Moe');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
    await shop.server.kill();
    await expect(page.getByRole('status').filter({ hasText: 'No connection since' })).toBeVisible();
    await expect(people).toContainText('Bo Moe');
    await page.reload();
    await expect(page.getByRole('status').filter({ hasText: 'No connection since' })).toBeVisible();
    await expect(people).toContainText('Bo Moe');
    await shop.server.start();
    await expect(page.getByText('No connection since')).toBeHidden();
    await expect(people).toContainText('Bo Moe');
  });
});

test('work that somebody forgot to start is begun from the desk, goes on, and ends after midnight as typed', async ({
  page,
}) => {
  const shop = await openShop({ WERGON_CLOCK: '2026-11-25T01:30:00+01:00' });
  const bo = shop.technicians[1]?.id;
  await shop.desk('/api/ledger/entries', {
    entries: [line('shift-in', bo, '2026-11-24T22:00:00+01:00')],
  });
  await shop.openDesk(page, `/reconcile/day/${bo}/2026-11-24`);
  const add = async () => {
    await page.getByRole('button', { name: 'Add a stretch' }).click();
    await page.getByRole('combobox', { name: 'Work' }).fill('5001 strip');
    await page
      .getByRole('listbox')
      .getByRole('option', { name: /5001 Strip/ })
      .click();
  };
  await add();
  await page.getByRole('textbox', { name: 'From' }).fill('22:30');
  await page.getByRole('textbox', { name: 'To' }).fill('0:15');
  await page.getByRole('textbox', { name: 'Why' }).fill('told by phone');
  await page.getByRole('button', { name: 'Put it right' }).click();
  const row = page.getByRole('row').filter({ hasText: '5001 Strip' });
  await expect(row).toContainText('22:300:151:45');
  await add();
  await page.getByRole('textbox', { name: 'From' }).fill('1:00');
  await page.getByLabel('goes on now').check();
  await page.getByRole('button', { name: 'Put it right' }).click();
  await page.goto(`${shop.server.url}/floor`);
  await expect(page.locator('.lane').filter({ hasText: 'Bo Moe' })).toContainText('5001 Strip');
  await shop.server.stop();
});
