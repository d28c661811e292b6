import { de } from './de.ts';
import { en } from './en.ts';

export const WORDS = { en, de } as const;
export type { Button, Names, Words } from './words.ts';
