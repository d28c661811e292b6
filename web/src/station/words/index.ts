export { loadStationWords, wordsOf } from './words.ts';
export type { Button, Names, Words } from './words.ts';
