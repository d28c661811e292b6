import { randomUUID } from 'node:crypto';
import type { EntryId } from '@wergon/core/ledger';
import type { Instant } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Decision, Incoming } from './incoming.ts';
import { writeDecisionBody } from './readDecision.ts';

/** An acceptance that holds, as it is kept. */
export type Accepted = Omit<Extract<Decision, { type: 'accept' }>, 'at'> & { readonly at: string };

/** Acceptances by what they are about; the last word counts, and one that was withdrawn does not. */
export function loadAccepted(sql: Sql): ReadonlyMap<string, Accepted> {
  const rows = sql.all<{ body: string; type: string }>(
    `select "body", "type" from "journal" where "stream" = 'decision' and "type" in ('accept', 'withdraw')
     order by "seq"`,
  );
  const accepted = new Map<string, Accepted>();
  for (const { body, type } of rows) {
    // Recorded by the writer below.
    if (type === 'accept') {
      const each = JSON.parse(body) as Accepted;
      accepted.set(each.key, each);
      continue;
    }
    const { accept } = JSON.parse(body) as { readonly accept: EntryId };
    for (const [key, each] of accepted) if (each.id === accept) accepted.delete(key);
  }
  return accepted;
}

/** The facts on which each loose end was accepted, by its key. */
export const acceptedFacts = (accepted: ReadonlyMap<string, Accepted>): ReadonlyMap<string, string> =>
  new Map([...accepted].map(([key, { facts }]) => [key, facts]));

type Said = Decision extends infer D ? (D extends Decision ? Omit<D, 'id' | 'at'> : never) : never;

/** A decision on its way into the journal. */
export function writeDecision(said: Said, at: Instant): Incoming {
  const id = randomUUID() as EntryId;
  const entry = { ...said, id, at } as Decision;
  const sent = { source: 'desk', via: [], action: id, deviceAt: at, clockOffset: 0 };
  return { kind: 'decision', id, body: writeDecisionBody(entry), entry, sent };
}
