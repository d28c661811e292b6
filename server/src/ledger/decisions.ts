import { newId } from '../db/index.ts';
import type { EntryId } from '@wergon/core/ledger';
import type { Instant } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Incoming } from './incoming.ts';
import type { Decision } from './decision.ts';
import { readDecision, writeDecisionBody } from './decision.ts';

/** An acceptance that holds. */
type Accepted = Extract<Decision, { type: 'accept' }>;

/** Acceptances by what they are about; the last word counts, and one that was withdrawn does not. */
export function loadAccepted(sql: Sql): ReadonlyMap<string, Accepted> {
  const rows = sql.all<{ body: string }>(
    `select "body" from "journal" where "stream" = 'decision' and "type" in ('accept', 'withdraw')
     order by "seq"`,
  );
  const accepted = new Map<string, Accepted>();
  for (const { body } of rows) {
    const decision = readDecision(body);
    if (decision.type === 'accept') accepted.set(decision.key, decision);
    if (decision.type !== 'withdraw') continue;
    for (const [key, each] of accepted) if (each.id === decision.accept) accepted.delete(key);
  }
  return accepted;
}

/** The facts on which each loose end was accepted, by its key. */
export const acceptedFacts = (accepted: ReadonlyMap<string, Accepted>): ReadonlyMap<string, string> =>
  new Map([...accepted].map(([key, { facts }]) => [key, facts]));

type Said<D = Decision> = D extends Decision ? Omit<D, 'id' | 'at'> : never;

/** A decision on its way into the journal. */
export function writeDecision(said: Said, at: Instant): Incoming {
  const id = newId<EntryId>();
  const entry: Decision = { ...said, id, at };
  const sent = { source: 'desk', via: [], action: id, deviceAt: at, clockOffset: 0 };
  return { kind: 'decision', id, body: writeDecisionBody(entry), entry, sent };
}
