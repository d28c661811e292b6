export type { Names } from './speech.ts';
export { loadStationWords, wordsOf } from './words.ts';
export type { Button, Words } from './words.ts';
