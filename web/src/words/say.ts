import { createI18n } from 'vue-i18n';
import type { Messages, Room, Translation, WordKey } from './translation.ts';

/** The languages in which Wergon speaks, by their own names. */
export const LANGUAGES = { en: 'English', de: 'Deutsch' } as const;
export type Language = keyof typeof LANGUAGES;
/** How dates, figures and lists are written in each. */
const LOCALES = { en: 'en-GB', de: 'de-DE' } as const;

const flat = (messages: Partial<Translation>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(messages).flatMap(([room, words]) =>
      Object.entries(words).map(([name, text]) => [`${room}.${name}`, text]),
    ),
  );

/** What is spoken until a language is chosen. */
const FIRST: Language = 'en';

const i18n = createI18n({
  legacy: false,
  locale: FIRST,
  fallbackLocale: 'en',
  messages: {} as Partial<Record<Language, Record<string, string>>>,
  // Some names hold dots and spaces; none of them is a path.
  messageResolver: (messages, name) => (messages as Record<string, string>)[name] ?? null,
});

/** Takes in messages of a language; a page takes those that it says, before it is made. */
export const learn = (language: Language, messages: Partial<Translation>): void =>
  i18n.global.mergeLocaleMessage(language, flat(messages));

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
export const namesIn = <R extends Room>(room: R): readonly (keyof Messages[R] & string)[] =>
  Object.keys(i18n.global.getLocaleMessage('en')).flatMap((name) =>
    name.startsWith(`${room}.`) ? [name.slice(room.length + 1) as keyof Messages[R] & string] : [],
  );

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

/** Speaks a language from now on, of which the messages are at hand. */
export function speakNow(language: Language): void {
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
