import { LEAST_PASSWORD } from '@wergon/contract/access';
import type { Instant } from '@wergon/core/time';
import { currentLocale, t } from '../words/index.ts';

export type FirstRun = {
  readonly shopName: string;
  readonly zone: string;
  readonly currency: string;
  readonly name: string;
  readonly userName: string;
  readonly password: string;
};

type Choice = { readonly value: string; readonly text: string };

/** Time zones by the part of the world they lie in, as a list offers them. */
export const ZONES: readonly { readonly label: string; readonly options: readonly Choice[] }[] = (() => {
  const groups = new Map<string, Choice[]>();
  for (const zone of [...new Set([...Intl.supportedValuesOf('timeZone'), 'UTC'])]) {
    const [region = '', ...place] = zone.split('/');
    const choice = { value: zone, text: place.join(', ').replaceAll('_', ' ') || region };
    const own = groups.get(region);
    if (own) own.push(choice);
    else groups.set(region, [choice]);
  }
  return [...groups].map(([label, options]) => ({ label, options }));
})();

/** Currencies by their names. */
export const CURRENCIES: readonly Choice[] = (() => {
  const names = new Intl.DisplayNames(currentLocale(), { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .map((value) => ({ value, text: `${names.of(value) ?? value} (${value})` }))
    .sort((a, b) => a.text.localeCompare(b.text));
})();

/** What o'clock it is in a zone, with its day: somebody who has chosen the wrong one sees it. */
export const clockIn = (zone: string, now: Instant): string =>
  new Intl.DateTimeFormat(currentLocale(), {
    timeZone: zone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: 'numeric',
    minute: '2-digit',
  })
    .format(now * 1000)
    .replaceAll(',', '');

/** What still has to be filled in, in words, by field. */
export function missingOf({ shopName, name, userName, password }: FirstRun) {
  const missing: Partial<Record<keyof FirstRun, string>> = {};
  if (shopName.trim() === '') missing.shopName = t('access.enterTheNameOfYourShop');
  if (name.trim() === '') missing.name = t('access.enterYourName');
  if (userName.trim() === '') missing.userName = t('access.chooseAUserNameToSignInWith');
  if (password.length < LEAST_PASSWORD)
    missing.password = t('access.chooseAPasswordOfAtLeastCharacters', { LEAST_PASSWORD });
  return missing;
}
