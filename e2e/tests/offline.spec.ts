import { copyFileSync, existsSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { OrderJson } from '@wergon/contract/compare';
import { createServerProcess } from '../server.ts';
import { PASSWORD, createCaller, openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

/** A long shift: badge and task, badge and task. */
const SCANS = 5_000;
const RELOADS = 2;
const RESTARTS = 3;

test.describe.configure({ mode: 'parallel' });

let shop: Shop;
test.beforeEach(async () => {
  shop = await openShop();
});
test.afterEach(() => shop.server.stop());

/** Scans by key events, a code after the other, as fast as the page hears them. */
const scanAll = (page: Page, codes: readonly string[]) =>
  page.evaluate(async (all) => {
    for (const [i, code] of all.entries()) {
      for (const key of [...code, 'Enter'])
        window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      if (i % 50 === 49) await new Promise((done) => setTimeout(done));
    }
  }, codes);

/** The station as an app on the device: its shell is kept once the worker has taken over. */
async function openInstalled(page: Page, name: string): Promise<void> {
  await shop.openStation(page, name);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  await page.reload();
  await page.getByText('This station is free').waitFor();
  await expect(page.getByRole('status')).toHaveText('connected');
}

/** Entries that this device still has on their way. */
const outboxOf = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<Record<string, unknown>[]>((done, failed) => {
        const opening = indexedDB.open('wergon-station');
        opening.onerror = () => failed(new Error('no store'));
        opening.onsuccess = () => {
          const all = opening.result.transaction('outbox').objectStore('outbox').getAll();
          all.onsuccess = () => done(all.result as Record<string, unknown>[]);
        };
      }),
  );

const turns = (count: number): string[] => {
  const people = ['ada', 'bo'];
  const tasks = ['strip', 'winding'];
  return Array.from({ length: count }, (_, i) => {
    const turn = Math.floor(i / 2);
    const name = i % 2 === 0 ? people[turn % 2] : tasks[Math.floor(turn / 2 + turn) % 2];
    return shop.codes[name ?? ''] ?? '';
  });
};

test('a whole shift without the server, through reloads and restarts, comes to what it would have come to online', async ({
  page,
}) => {
  await openInstalled(page, 'Far end');
  await shop.server.stop();
  // The same shop once more, for the same shift online.
  const twin = await createServerProcess({
    WERGON_DATABASE: `${shop.server.database}.twin`,
    WERGON_CLOCK: new Date(shop.server.nowMs()).toISOString(),
  });
  for (const end of ['', '-wal', '-shm'])
    if (existsSync(shop.server.database + end)) copyFileSync(shop.server.database + end, twin.database + end);

  const codes = turns(SCANS);
  // A reload comes between two people, not between a badge and its task.
  const part = 2 * Math.ceil(SCANS / 2 / (RELOADS + 1));
  for (let i = 0; i <= RELOADS; i += 1) {
    await scanAll(page, codes.slice(i * part, (i + 1) * part));
    if (i === RELOADS) break;
    await expect(page.getByRole('status')).toContainText('no server: scans are kept here');
    // Half a second of this test is an hour of a shift: what was scanned is on the device by then.
    await expect.poll(async () => (await outboxOf(page)).length).toBe(Math.floor(((i + 1) * part) / 2));
    await page.reload();
    await page.getByText('This station is free').waitFor();
  }
  for (const who of ['ada', 'bo']) {
    await shop.scan(page, who);
    await shop.scan(page, 'shift-out');
  }
  await expect(page.getByRole('contentinfo')).toContainText('Signed out');
  await expect.poll(async () => (await outboxOf(page)).length).toBe(SCANS / 2 + 2);
  const kept = await outboxOf(page);

  for (let i = 0; i < RESTARTS; i += 1) {
    const { length } = await outboxOf(page);
    await shop.server.start();
    // Cut off in the middle of sending, wherever that is.
    if (length > 0) await expect.poll(async () => (await outboxOf(page)).length).toBeLessThan(length);
    await shop.server.kill();
  }
  await shop.server.start();
  await expect(page.getByRole('status')).toHaveText('connected');
  await expect.poll(async () => (await outboxOf(page)).length).toBe(0);

  await twin.start();
  const twinDesk = createCaller(twin.url);
  await twinDesk('/api/sign-in', { userName: 'sol', password: PASSWORD });
  const pairing = await twinDesk<{ code: string }>('/api/stations', { name: 'Near end' });
  const near = createCaller(twin.url);
  await near('/api/station/pair', { code: pairing.code });
  for (let i = 0; i < kept.length; i += 100)
    await near('/api/station/entries', { entries: kept.slice(i, i + 100) });

  const path = `/api/work/${shop.order.order.id}`;
  const [offline, online] = [await shop.desk<OrderJson>(path), await twinDesk<OrderJson>(path)];
  const figures = ({ tasks }: OrderJson) =>
    tasks.map(({ title, comparison, lines }) => ({ title, comparison, lines }));
  expect(figures(offline)).toEqual(figures(online));
  const seconds = offline.tasks.reduce((sum, { comparison }) => sum + comparison.actualSeconds, 0);
  expect(seconds).toBeGreaterThan(0);
  const { looseEnds } = await shop.desk<{ looseEnds: { kind: string }[] }>('/api/reconcile');
  expect(looseEnds.map(({ kind }) => kind)).not.toContain('refused-entry');
  await twin.stop();
});

test('what was done meanwhile although it should not have been is recorded, and is a loose end', async ({
  page,
}) => {
  await openInstalled(page, 'Cut off');
  const path = `/api/work/${shop.order.order.id}`;
  const winding = shop.order.tasks[1];
  const ada = shop.technicians.find(({ name }) => name === 'Ada Lund');
  const { technicians } = await shop.desk<{ technicians: { id: string; badges: { id: string }[] }[] }>(
    '/api/people',
  );
  const badge = technicians.find(({ id }) => id === ada?.id)?.badges[0];
  // The network of this one station is gone; the shop goes on.
  await page.context().setOffline(true);
  await shop.desk(`/api/badges/${badge?.id ?? ''}/revoke`, {});
  await shop.desk('/api/ledger/entries', {
    entries: [
      {
        source: 'desk',
        via: [],
        action: 'closed-at-the-desk',
        deviceAt: new Date(shop.server.nowMs()).toISOString(),
        clockOffset: 0,
        entry: {
          id: 'closed-at-the-desk',
          type: 'task-done',
          at: new Date(shop.server.nowMs() - 60_000).toISOString(),
          targets: [winding?.id],
        },
      },
    ],
  });
  await shop.scan(page, 'ada');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await expect(page.getByRole('status')).toContainText('1 scan waiting');
  // The steps of a task are known here, although their view was never opened before; its pictures are not.
  await page.getByRole('button', { name: 'Steps and papers' }).click();
  await expect(page.getByRole('main').getByRole('heading', { name: 'Winding, 5001' })).toBeVisible();
  await expect(page.getByText('Pictures and papers are shown when it is back.')).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.context().setOffline(false);
  await expect(page.getByRole('status')).toHaveText('connected');
  const { looseEnds } = await shop.desk<{ looseEnds: { kind: string; name: string }[] }>('/api/reconcile');
  expect(looseEnds.map(({ kind, name }) => `${kind} ${name}`)).toContain('after-done Ada Lund');
  expect((await shop.desk<OrderJson>(path)).tasks[1]?.peopleOn).toEqual(['Ada Lund']);
  // From now on the station knows the badge no more.
  await shop.scan(page, 'blank');
  await shop.scan(page, 'ada');
  await expect(page.getByRole('contentinfo')).toContainText('This label is not known here');
});

test('two tabs of one station double nothing, and know of each other', async ({ page, context }) => {
  await openInstalled(page, 'Two tabs');
  const second = await context.newPage();
  await second.goto(`${shop.server.url}/station`);
  await second.getByText('This station is free').waitFor();
  await page.bringToFront();
  await shop.server.stop();
  await shop.scan(page, 'ada');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await second.bringToFront();
  await shop.scan(second, 'ada');
  await expect(second.getByText('on Winding, order 5001')).toBeVisible();
  await shop.scan(second, 'strip');
  await expect(second.getByRole('contentinfo')).toContainText('Switched to Strip');
  await shop.server.start();
  await expect(second.getByRole('status')).toHaveText('connected');
  await expect.poll(async () => (await outboxOf(second)).length).toBe(0);
  const { looseEnds } = await shop.desk<{ looseEnds: { kind: string }[] }>('/api/reconcile');
  expect(looseEnds.map(({ kind }) => kind)).not.toContain('stop-without-start');
  const { tasks } = await shop.desk<OrderJson>(`/api/work/${shop.order.order.id}`);
  expect(tasks.map(({ peopleOn }) => peopleOn)).toEqual([['Ada Lund'], []]);
});

test('where the browser keeps nothing the page says so, and what is scanned arrives all the same', async ({
  page,
}) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('blocked', 'SecurityError');
    };
  });
  await shop.openStation(page, 'No room');
  await shop.scan(page, 'ada');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot keep scans' })).toBeVisible();
  await expect
    .poll(async () => {
      const { tasks } = await shop.desk<OrderJson>(`/api/work/${shop.order.order.id}`);
      return tasks[1]?.peopleOn;
    })
    .toEqual(['Ada Lund']);
});

test('a clock set back a day moves no scan, is said on the screen, and is a loose end', async ({ page }) => {
  await shop.openStation(page, 'Old battery');
  await page.evaluate(() => {
    const before = Date.now.bind(Date);
    Date.now = () => before() - 86_400_000;
  });
  await expect(page.getByRole('alert').filter({ hasText: 'clock was moved' })).toBeVisible();
  await shop.scan(page, 'ada');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await expect
    .poll(async () => {
      const { looseEnds } = await shop.desk<{ looseEnds: { kind: string; name: string }[] }>(
        '/api/reconcile',
      );
      return looseEnds.map(({ kind, name }) => `${kind} ${name}`);
    })
    .toContain('clock-jump Old battery');
  const { tasks } = await shop.desk<OrderJson>(`/api/work/${shop.order.order.id}`);
  expect(tasks[1]?.comparison.actualSeconds).toBeLessThan(3600);
});

test('two hundred codes in a second neither stop the page nor start what nobody meant', async ({ page }) => {
  await shop.openStation(page, 'Wild scanner');
  const wild = Array.from({ length: 200 }, (_, i) => (i % 2 === 0 ? 'TX12' : '4006381333931'));
  await scanAll(page, wild);
  await expect(page.getByRole('contentinfo')).toContainText(/Not one of our labels|Only part of the label/);
  await shop.scan(page, 'ada');
  await expect(page.getByRole('main')).toContainText('no task');
});
