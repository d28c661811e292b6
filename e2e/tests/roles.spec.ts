import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { at, dayAgo, line } from '../past.ts';
import { PASSWORD, openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

test.describe('who may do what', () => {
  let shop: Shop;
  test.beforeAll(async () => {
    shop = await openShop();
  });
  test.afterAll(() => shop.server.stop());

  /** Signs somebody in for the first time: whoever was given a password chooses their own. */
  async function signInFirst(page: Page, userName: string) {
    await page.goto(shop.server.url);
    await page.getByLabel('User name').fill(userName);
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Choose your own password' })).toBeVisible();
    await page.getByLabel('Password now').fill(PASSWORD);
    await page.getByLabel('New password, at least').fill(`${PASSWORD} of my own`);
    await page.getByLabel('New password again').fill(`${PASSWORD} of my own`);
    await page.getByRole('button', { name: 'Change password' }).click();
  }

  for (const [role, places, forbidden] of [
    ['technician', ['Floor', 'Shop'], '/shop/people'],
    ['lead', ['Floor', 'Work', 'Reconcile', 'Compare', 'Shop'], '/shop/people'],
    ['planner', ['Floor', 'Work', 'Compare', 'Time off', 'Shop'], '/reconcile'],
    ['bookkeeper', ['Floor', 'Work', 'Reconcile', 'Compare', 'Pay', 'Shop'], undefined],
    ['supervisor', ['Floor', 'Work', 'Reconcile', 'Compare', 'Pay', 'Shop'], undefined],
  ] as const)
    test(`a ${role} finds their places and is kept from others`, async ({ page }) => {
      const userName = `the ${role}`;
      await shop.desk('/api/users', {
        name: `A ${role}`,
        userName,
        password: PASSWORD,
        roles: [role],
        seesRates: false,
      });
      await signInFirst(page, userName);
      const rail = page.getByRole('navigation', { name: 'Places' });
      await expect(rail.getByRole('listitem')).toHaveCount(places.length);
      for (const place of places)
        await expect(rail.getByRole('link', { name: place, exact: false }).first()).toBeVisible();
      if (!forbidden) return;
      await page.goto(`${shop.server.url}${forbidden}`);
      await expect(page.getByText('You may not do this')).toBeVisible();
    });

  test('a role is copied, changed right by right, given to somebody, and lets them do just that', async ({
    page,
    browser,
  }) => {
    await shop.openDesk(page, '/shop/users');
    await page.getByRole('button', { name: 'Copy the role lead' }).click();
    await page.getByLabel('Name of the role').fill('Bench lead');
    await page.getByRole('checkbox', { name: 'Bench lead may see loose ends' }).uncheck();
    await page.getByRole('checkbox', { name: 'Bench lead may see lists, stations' }).check();
    await page.getByRole('button', { name: 'Save role' }).click();
    await expect(page.getByRole('button', { name: 'Change the role Bench lead' })).toBeVisible();
    await page.getByRole('button', { name: 'Add user' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Bea Lund');
    await page.getByLabel('User name').fill('bea');
    await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
    await page.getByRole('checkbox', { name: 'supervisor' }).uncheck();
    await page.getByRole('checkbox', { name: 'Bench lead' }).check();
    await page.getByRole('button', { name: 'Save user' }).click();
    await expect(page.getByRole('row', { name: /Bea Lund .* Bench lead/ })).toBeVisible();

    const other = await (await browser.newContext()).newPage();
    await signInFirst(other, 'bea');
    const rail = other.getByRole('navigation', { name: 'Places' });
    await expect(rail.getByRole('link', { name: 'Shop' })).toBeVisible();
    await expect(rail.getByRole('link', { name: 'Reconcile' })).toHaveCount(0);
    await other.goto(`${shop.server.url}/shop/stations`);
    await expect(other.getByRole('heading', { name: 'Stations' })).toBeVisible();

    // What the role loses is gone at the next thing that is asked for.
    await page.getByRole('button', { name: 'Change the role Bench lead' }).click();
    await page.getByRole('checkbox', { name: 'Bench lead may see lists, stations' }).uncheck();
    await page.getByRole('button', { name: 'Save role' }).click();
    await expect(page.getByRole('button', { name: 'Change the role Bench lead' })).toBeVisible();
    await other.reload();
    await expect(other.getByText('You may not do this')).toBeVisible();
  });

  test('a card has in, out and sums; its owner sees it at the desk and nothing else, and it leads to its day', async ({
    page,
    browser,
  }) => {
    const ada = shop.technicians[0]?.id;
    const strip = shop.order.tasks[0]?.id;
    await shop.desk('/api/ledger/entries', {
      entries: [
        line('shift-in', ada, at(1, 7)),
        line('work-start', ada, at(1, 7), [strip]),
        line('work-stop', ada, at(1, 10)),
        line('shift-out', ada, at(1, 15)),
      ],
    });
    await shop.openDesk(page, `/reconcile/card/${ada}?from=${dayAgo(7)}&to=${dayAgo(0)}`);
    const card = page.getByRole('region', { name: /^Card of Ada/ });
    const yesterday = card.getByRole('row').filter({ hasText: '5001 Strip' });
    await expect(yesterday).toContainText('7:00 to');
    await page.getByLabel('each start and stop').check();
    await expect(yesterday).toContainText('7:00 to 10:00 5001 Strip');
    await yesterday.getByRole('link').click();
    await expect(page.getByRole('button', { name: '5001 Strip, 7:00 to 10:00' })).toBeVisible();

    const user = { name: 'Ada Lund', userName: 'ada', password: PASSWORD, roles: ['own'], seesRates: false };
    await shop.desk('/api/users', { ...user, technician: ada });
    const other = await (await browser.newContext()).newPage();
    await signInFirst(other, 'ada');
    await expect(other.getByRole('heading', { name: 'Ada Lund' })).toBeVisible();
    await expect(other.getByRole('navigation', { name: 'Places' }).getByRole('listitem')).toHaveCount(1);
    await other.goto(`${shop.server.url}/reconcile/card/${ada}`);
    await expect(other.getByText('You may not do this')).toBeVisible();
  });
});
