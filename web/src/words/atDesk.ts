import { config } from 'zod';
import * as en from './en/index.ts';
import { learnFieldProblems } from './fieldProblems.ts';
import { learn, speakNow } from './say.ts';
import type { Language } from './say.ts';

/** A page of the desk speaks a language from now on, and so does the library that checks its fields. Awaited before the
 *  page is loaded: what it says is made with it. */
export async function speak(language: Language): Promise<void> {
  learn('en', en);
  if (language === 'de') {
    const [{ de }, { fieldProblems }, { default: checked }] = await Promise.all([
      import('./de/index.ts'),
      import('./de/fieldProblems.ts'),
      import('zod/v4/locales/de.js'),
    ]);
    learn('de', de);
    learnFieldProblems(fieldProblems);
    config(checked());
  } else {
    learnFieldProblems({});
    config({ localeError: undefined });
  }
  speakNow(language);
}
