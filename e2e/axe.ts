import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

async function expectNothing(builder: AxeBuilder): Promise<void> {
  // The product has no frames of strangers; without them all can be found in the page itself, which takes half as long.
  const { violations } = await builder.setLegacyMode().analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual([]);
}

/** No page may hold anything that keeps somebody from using it. */
export const expectNothingSerious = (page: Page): Promise<void> => expectNothing(new AxeBuilder({ page }));

/** Nor in the dark, where only colours are others than in the light. */
export async function expectNothingSeriousInBoth(page: Page): Promise<void> {
  // A colour that fades into another is neither of both.
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  await expectNothingSerious(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expectNothing(new AxeBuilder({ page }).withRules(['color-contrast']));
}
