import { createHash } from 'node:crypto';
import { canonicalJson } from '@wergon/core/ledger';

export type Stream = 'labor' | 'floor' | 'decision';

export type Author = { readonly kind: 'station' | 'desk' | 'demo' | 'import'; readonly id: string };

/** What stands around an entry in the journal. Source: docs/ledger.md, section 3, envelope. */
export type Envelope = {
  readonly v: 1;
  readonly seq: number;
  readonly recordedAt: string;
  readonly author: Author;
  readonly source: string;
  readonly action: string;
  readonly via: readonly string[];
  readonly deviceAt: string;
  readonly clockOffset: number;
  /** How the person was known; absent where nobody had to be, and in what was recorded before it was kept. */
  readonly identity?: string;
  readonly stream: Stream;
};

/** The hash that the first entry follows. */
export const GENESIS = '0'.repeat(64);

/** SHA-256 over the RFC 8785 JSON of an entry, its envelope and the hash before it. `body` and `envelope` are in
 *  that form already, and their names are in order, so the whole is too. */
export const chainHash = (body: string, envelope: string, previous: string): string =>
  createHash('sha256')
    .update(`{"entry":${body},"envelope":${envelope},"previous":"${previous}"}`)
    .digest('hex');

export const writeEnvelope = (envelope: Envelope): string => canonicalJson(envelope);
