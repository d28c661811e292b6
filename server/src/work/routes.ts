import type { Mount } from '../http/index.ts';
import { mountAttachments } from './attachments.ts';
import { mountEditing } from './editing.ts';
import type { WorkContext } from './editing.ts';
import { mountOffers } from './offers.ts';
import { mountRecurring } from './recurring.ts';
import { mountStandards } from './standards.ts';

export function mountWork(mount: Mount, context: WorkContext): void {
  mountEditing(mount, context);
  mountAttachments(mount, context);
  mountOffers(mount, context);
  mountStandards(mount, context);
  mountRecurring(mount, context);
}
