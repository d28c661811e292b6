import { DEFAULT_SETTINGS } from '@wergon/contract/shop';
import type { Settings } from '@wergon/contract/shop';
import type { Shop } from './entities.ts';

/** The shop's settings: what was chosen, and the defaults for the rest. */
export const settingsOf = ({ name, settings }: Shop): Settings => ({
  ...DEFAULT_SETTINGS,
  ...settings,
  // What came later is not in what was kept before.
  pay: { ...DEFAULT_SETTINGS.pay, ...settings?.pay },
  name,
});

/** Whether the time that people are paid by is entered elsewhere, and comes in. */
export const entersElsewhere = (shop: Shop): boolean => settingsOf(shop).pay.timeFrom === 'elsewhere';
