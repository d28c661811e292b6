import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { mountAcceptance } from './acceptance.ts';
import { mountAccounted } from './accounted.ts';
import { mountAnswers } from './answers.ts';
import { mountApprovals } from './approvals.ts';
import { createDeskAct } from './deskAct.ts';
import { mountDrafts } from './drafts.ts';
import { mountHours } from './hours.ts';
import { mountJobWeek } from './jobWeek.ts';
import { mountQueue } from './queue.ts';
import { mountTape } from './tape.ts';
import { mountTargets } from './targets.ts';
import { mountWeek } from './week.ts';

/** Everything that makes a day true. */
export function mountReconcile(mount: Mount, context: Context): void {
  const act = createDeskAct(context);
  mountQueue(mount, context);
  mountAcceptance(mount, context);
  mountAnswers(mount, context, act);
  mountTape(mount, context, act);
  mountTargets(mount, context);
  mountWeek(mount, context);
  mountJobWeek(mount, context);
  mountAccounted(mount, context);
  mountHours(mount, context, act);
  mountDrafts(mount, context);
  mountApprovals(mount, context);
}
