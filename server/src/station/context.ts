import type { LedgerContext } from '../ledger/index.ts';
import type { Proofs } from './proofs.ts';

export type StationContext = LedgerContext & { readonly proofs: Proofs };
