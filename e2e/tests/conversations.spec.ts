import { expect, test } from '@playwright/test';
import { expectNothingSerious } from '../axe.ts';
import { openShop } from '../shop.ts';
import type { Shop } from '../shop.ts';

let shop: Shop;
test.beforeAll(async () => {
  shop = await openShop();
});
test.afterAll(() => shop.server.stop());

/** What is scanned one after the other, and what the screen says in the end. The rows build on one another. */
const TALKS: readonly (readonly [labels: string, says: string, why: string])[] = [
  ['bo earlier strip digit-5 enter', 'Started Strip, 5001, 5 minutes ago', 'begun a while ago'],
  ['bo shift-out', 'Signed out', 'shift out while on work'],
  ['setup winding ada', 'Started setup of Winding, 5001', 'the kind of work first, the badge last'],
  ['ada join strip', 'Strip, 5001 beside Winding, 5001', 'a second task beside the first'],
  ['ada off-task', 'Which one?', 'one of several is asked for'],
  ['ada off-task digit-1', 'Left Winding, 5001 after', 'and left'],
  ['ada order', 'Which task?', 'a whole order shows its tasks'],
  ['ada order digit-2', 'Switched to Winding, 5001', 'and one is chosen'],
  ['ada done', 'Winding, 5001 done after', 'done'],
  ['ada winding', 'Winding, 5001 is finished. Take it up again?', 'a finished task asks'],
  ['ada winding digit-1', 'Started Winding, 5001', 'and is taken up'],
  ['ada take-back', 'Taken back', 'undone within half a minute'],
  ['crew ada bo strip', '2 on Strip, 5001', 'a crew'],
  ['crew', 'Scan every badge of the crew', 'opened by its own label'],
  ['crew ada bo off-task', '2: left it', 'a crew is signed off as one'],
  ['ada help skip', 'Scan SHIFT IN, or a task to start it', 'a call that was not meant'],
  ['ada help enter', 'That is no answer here', 'nothing is no answer'],
  ['break ada', 'On a break', 'a break'],
  ['ada break', 'Back from the break', 'and its end'],
];

test('every conversation of the shop floor, by key events', async ({ page }) => {
  await shop.openStation(page, 'Winding 9');
  const band = page.getByRole('contentinfo');
  for (const [labels, says] of TALKS) {
    await test.step(`${labels}: ${says}`, async () => {
      await page.keyboard.press('Escape');
      for (const label of labels.split(' ')) await shop.scan(page, label);
      await expect(band).toContainText(says);
      await shop.scan(page, 'blank');
      await expect(page.getByText('This station is free')).toBeVisible();
    });
  }
});

for (const theme of ['dark', 'light'])
  test(`axe finds nothing serious at a ${theme} station: idle, a person, a question, a crew, one’s own time`, async ({
    page,
  }) => {
    const name = `Station in the ${theme}`;
    await shop.openStation(page, name);
    const { stations } = await shop.desk<{ stations: { id: string; name: string; settings: object }[] }>(
      '/api/stations',
    );
    const own = stations.find((each) => each.name === name);
    const settings = { ...own?.settings, theme };
    await shop.desk(`/api/stations/${own?.id ?? ''}`, { name, settings });
    await expect(page.locator('html')).toHaveAttribute('data-bs-theme', theme);
    await expectNothingSerious(page);
    await shop.scan(page, 'bo');
    await expect(page.getByRole('heading', { name: 'Bo Moe' })).toBeVisible();
    await expectNothingSerious(page);
    await page.getByRole('button', { name: 'My time' }).click();
    await expect(page.getByText('This week')).toBeVisible();
    await expectNothingSerious(page);
    await shop.scan(page, 'help');
    await expect(page.getByRole('contentinfo')).toContainText('What is it about?');
    await expectNothingSerious(page);
    await shop.scan(page, 'earlier');
    await shop.scan(page, 'blank');
    await shop.scan(page, 'crew');
    await shop.scan(page, 'ada');
    await expect(page.getByRole('button', { name: 'Ada Lund' })).toBeVisible();
    await expectNothingSerious(page);
  });
