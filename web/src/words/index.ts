import { createI18n } from 'vue-i18n';
import { config } from 'zod';
import { en } from './en/index.ts';
import { learnFieldProblems } from './fieldProblems.ts';
import type { Room, Translation, WordKey } from './translation.ts';

export { sayFieldProblem } from './fieldProblems.ts';
export type { WordKey };

/** The languages in which Wergon speaks, by their own names. */
export const LANGUAGES = { en: 'English', de: 'Deutsch' } as const;
export type Language = keyof typeof LANGUAGES;
/** How dates, figures and lists are written in each. */
const LOCALES = { en: 'en-GB', de: 'de-DE' } as const;

const flat = (messages: Translation): Record<string, string> =>
  Object.fromEntries(
    Object.entries(messages).flatMap(([room, words]) =>
      Object.entries(words).map(([name, text]) => [`${room}.${name}`, text]),
    ),
  );

const i18n = createI18n({
  legacy: false,
  locale: 'en' as Language,
  fallbackLocale: 'en',
  messages: { en: flat(en) } as Partial<Record<Language, Record<string, string>>>,
  // Some names hold dots and spaces; none of them is a path.
  messageResolver: (messages, name) => (messages as Record<string, string>)[name] ?? null,
});

type Params = Readonly<Record<string, string | number | null | undefined>>;
export type Say = (name: WordKey, params?: Params) => string;

/** Says messages in one language, whatever that of the page is. */
export const sayIn =
  (language: Language): Say =>
  (name, params = {}) => {
    const plural = typeof params['n'] === 'number' ? { plural: params['n'] } : {};
    return i18n.global.t(name, params, { locale: language, ...plural });
  };

/** A message in the language of the page, with its params filled in; `n` also chooses between one and many. */
export const t: Say = (name, params) => sayIn(currentLanguage())(name, params);

/** The names of the messages of a room. */
export const namesIn = <R extends Room>(room: R): readonly (keyof (typeof en)[R] & string)[] =>
  Object.keys(en[room]) as (keyof (typeof en)[R] & string)[];

/** What a value of a list of the trade is called, or the value itself where it is none of them. */
export const sayTerm = (room: Room, value: string): string =>
  i18n.global.te(`${room}.${value}`) ? i18n.global.t(`${room}.${value}`) : value;

const KEPT = 'wergon-language';
const isLanguage = (text: string | null | undefined): text is Language =>
  text !== null && text !== undefined && text in LANGUAGES;

/** The language that this browser was set to here, or speaks by itself. */
export function languageOfBrowser(): Language {
  const kept = localStorage.getItem(KEPT);
  const spoken = [kept, ...navigator.languages.map((tag) => tag.slice(0, 2))];
  return spoken.find(isLanguage) ?? 'en';
}

/** Has the messages of a language at hand. */
export async function loadLanguage(language: Language): Promise<void> {
  if (language === 'de') i18n.global.setLocaleMessage('de', flat((await import('./de/index.ts')).de));
}

/** What is wrong with a field is said in a language from now on, by us and by the library that checks it. */
async function sayFieldsIn(language: Language): Promise<void> {
  learnFieldProblems(language === 'de' ? (await import('./de/fieldProblems.ts')).fieldProblems : {});
  const { de, en: english } = await import('zod/locales');
  config(language === 'de' ? de() : english());
}

/** Speaks a language from now on. Awaited before any page is loaded: what it says is made with it. */
export async function speak(language: Language): Promise<void> {
  await Promise.all([loadLanguage(language), sayFieldsIn(language)]);
  i18n.global.locale.value = language;
  if (typeof document !== 'undefined') document.documentElement.lang = language;
}

/** Remembers a language for this browser, and begins the page anew in it. */
export function chooseLanguage(language: Language): void {
  localStorage.setItem(KEPT, language);
  location.reload();
}

export const currentLanguage = (): Language => i18n.global.locale.value;
/** The locale by which dates and figures are written. */
export const currentLocale = (): string => LOCALES[currentLanguage()];

/** Names one after the other, as they are said: `Ada, Bo and Cy`. */
export const sayList = (names: readonly string[], language: Language = currentLanguage()): string =>
  new Intl.ListFormat(LOCALES[language], { type: 'conjunction' }).format(names);
