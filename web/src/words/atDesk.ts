import * as en from './en/index.ts';
import { learnFieldProblems } from './fieldProblems.ts';
import { learn, speakNow } from './say.ts';
import type { Language } from './say.ts';

/** A page of the desk speaks a language from now on. Awaited before the page is loaded: what it says is made with it. */
export async function speak(language: Language): Promise<void> {
  learn('en', en);
  if (language === 'de') {
    const [{ de }, { fieldProblems }] = await Promise.all([
      import('./de/index.ts'),
      import('./de/fieldProblems.ts'),
    ]);
    learn('de', de);
    learnFieldProblems(fieldProblems);
  } else learnFieldProblems({});
  speakNow(language);
}
