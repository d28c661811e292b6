import type { Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { mountAcceptance } from './acceptance.ts';
import { mountAnswers } from './answers.ts';
import { mountNamedDays } from './namedDays.ts';
import { mountQueue } from './queue.ts';

export function mountLooseEnds(mount: Mount, context: LedgerContext): void {
  mountQueue(mount, context);
  mountNamedDays(mount, context);
  mountAcceptance(mount, context);
  mountAnswers(mount, context);
}
