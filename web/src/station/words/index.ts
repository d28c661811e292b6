export type { Names } from './speech.ts';
export { wordsOf } from './words.ts';
export type { Button, Words } from './words.ts';
