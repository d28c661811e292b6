import type { Entry } from '@wergon/core/ledger';
import type { FloorEntry } from '@wergon/core/station';
import { formatInstant, parseInstant, toInstant } from '@wergon/core/time';

const INSTANTS: readonly string[] = ['at', 'ended'];

/** An entry as its JSON: instants as text. A station makes no entry with a day in it. */
export const writeEntry = (entry: Entry | FloorEntry): unknown =>
  Object.fromEntries(
    Object.entries(entry).map(([key, value]: [string, unknown]) => [
      key,
      INSTANTS.includes(key) && typeof value === 'number' ? formatInstant(toInstant(value)) : value,
    ]),
  );

/** Reads back what this page wrote. */
export const readEntry = (json: unknown): Entry | FloorEntry =>
  Object.fromEntries(
    Object.entries(json as object).map(([key, value]: [string, unknown]) => {
      const at = INSTANTS.includes(key) && typeof value === 'string' ? parseInstant(value) : undefined;
      return [key, at?.ok ? at.value : value];
    }),
  ) as unknown as Entry | FloorEntry;
