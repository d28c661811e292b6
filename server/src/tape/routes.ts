import type { Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { mountWritten } from './written.ts';
import { mountNotes } from './notes.ts';
import { mountRecords } from './records.ts';
import { mountPersonDay } from './tape.ts';
import { mountTargets } from './targets.ts';

export function mountTape(mount: Mount, context: LedgerContext): void {
  mountPersonDay(mount, context);
  mountRecords(mount, context);
  mountNotes(mount, context);
  mountWritten(mount, context);
  mountTargets(mount, context);
}
