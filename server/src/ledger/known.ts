import { KNOWN_BY } from '@wergon/contract/ledger';
import type { KnownBy } from '@wergon/contract/ledger';
import type { Sql } from '../db/index.ts';
import type { Envelope } from './envelope.ts';

/** How whoever an entry is about was known where it was made, as its station said it; absent where nobody had to be, and in
 *  what was recorded before that was kept. A card that was bound is told from a badge of ours by the badge it went by. */
export function knownBy(sql: Sql, { identity, via }: Envelope): KnownBy | null {
  const known = KNOWN_BY.find((each) => each === identity) ?? null;
  if (known !== 'badge' || via.length === 0) return known;
  const [bound] = sql.all(
    'select 1 from "badge" where "is_bound" = 1 and "id" in (select "value" from json_each(?)) limit 1',
    [JSON.stringify(via)],
  );
  return bound ? 'card' : known;
}

/** Whose badge let through what the station would have refused. */
export function letThroughBy(sql: Sql, override: unknown): string | null {
  if (typeof override !== 'string') return null;
  const [lead] = sql.all<{ name: string }>('select "name" from "technician" where "id" = ?', [override]);
  return lead?.name ?? override;
}
