import type { Logger } from 'pino';
import type { Backups } from '../backup/schedule.ts';
import type { Database } from '../db/database.ts';
import type { Journal } from '../ledger/journal.ts';
import type { FactsCache } from '../shop/facts.ts';
import type { Proofs } from '../station/proofs.ts';
import type { Clock } from './clock.ts';
import type { Health } from './health.ts';
import type { Live } from './live.ts';

/** What every route stands on. */
export type Context = {
  readonly database: Database;
  readonly clock: Clock;
  readonly live: Live;
  readonly facts: FactsCache;
  readonly journal: Journal;
  readonly health: Health;
  readonly backups: Backups;
  /** Keeps the chain's length and last hash outside the journal. */
  readonly keepHead: (why: string) => Promise<void>;
  readonly proofs: Proofs;
  readonly log: Logger;
  readonly isDemo: boolean;
};
