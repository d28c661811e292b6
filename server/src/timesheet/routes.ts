import type { Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { mountDrafts } from './drafts.ts';
import { mountHours } from './hours.ts';
import { mountJobWeek } from './jobWeek.ts';
import { mountSlips } from './slips.ts';
import { mountWeek } from './week.ts';

export function mountTimesheet(mount: Mount, context: LedgerContext): void {
  mountWeek(mount, context);
  mountJobWeek(mount, context);
  mountHours(mount, context);
  mountSlips(mount, context);
  mountDrafts(mount, context);
}
