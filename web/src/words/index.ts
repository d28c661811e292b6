export { speak } from './atDesk.ts';
export { speakAtStation } from './atStation.ts';
export { sayFieldProblem } from './fieldProblems.ts';
export {
  LANGUAGES,
  chooseLanguage,
  currentLanguage,
  currentLocale,
  languageOfBrowser,
  namesIn,
  sayIn,
  sayList,
  sayTerm,
  t,
} from './say.ts';
export type { Language, Say } from './say.ts';
export type { WordKey } from './translation.ts';
