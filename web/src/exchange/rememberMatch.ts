import { z } from 'zod';
import type { ExchangeKind } from '@wergon/contract/exchange';
import type { ColumnMatch } from '@wergon/core/exchange';

const matchSchema = z.record(z.string(), z.number().nullable());
const keyOf = (kind: ExchangeKind, headings: readonly string[]) =>
  `wergon-columns ${kind} ${headings.join('\t')}`;

/** Keeps which column was which, for the next file with the same headings. */
export const rememberMatch = (kind: ExchangeKind, headings: readonly string[], match: ColumnMatch): void =>
  localStorage.setItem(keyOf(kind, headings), JSON.stringify(match));

/** What was chosen for these headings before. */
export function recallMatch(kind: ExchangeKind, headings: readonly string[]): ColumnMatch | undefined {
  const kept = localStorage.getItem(keyOf(kind, headings));
  return kept === null ? undefined : matchSchema.safeParse(JSON.parse(kept)).data;
}
