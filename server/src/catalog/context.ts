import type { Context } from '../http/index.ts';
import type { FactsCache } from './facts.ts';

/** From here on routes also stand on what the ledger reads of the shop. */
export type CatalogContext = Context & { readonly facts: FactsCache };
