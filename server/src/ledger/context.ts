import type { CatalogContext } from '../catalog/index.ts';
import type { Journal } from './journal.ts';

/** From here on routes also stand on the journal. */
export type LedgerContext = CatalogContext & { readonly journal: Journal };
