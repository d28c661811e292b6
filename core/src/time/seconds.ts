import { Defect } from '../result/index.ts';
import type { Brand } from '../result/index.ts';

/** A length of elapsed time in whole seconds. Source: docs/ledger.md, section 2. */
export type Seconds = Brand<number, 'Seconds'>;

/** Brands a whole number as a length in seconds. Throws `Defect` on anything else, also on NaN. */
export function toSeconds(count: number): Seconds {
  if (!Number.isSafeInteger(count)) throw new Defect(`not a whole number of seconds: ${count}`);
  return count as Seconds;
}

/** The seconds of some things together. */
export const sumSeconds = (items: readonly { readonly seconds?: number | null }[]): Seconds =>
  toSeconds(items.reduce((sum, { seconds }) => sum + (seconds ?? 0), 0));
