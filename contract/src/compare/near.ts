import { z } from 'zod';
import { instant, seconds, targetId, workOrderId } from '../wire/index.ts';

/** Tasks that go on and have used the shop's share of their estimate, or all of it. Holds no cost. */
export const nearSchema = z.object({
  asOf: instant,
  /** The share, in percent, from which a task is near its estimate. */
  warnAt: z.number(),
  tasks: z
    .array(
      z.object({
        task: targetId,
        title: z.string(),
        workCenter: z.string(),
        order: workOrderId,
        orderNumber: z.string(),
        orderTitle: z.string(),
        customer: z.string(),
        usedSeconds: seconds,
        estimatedSeconds: seconds,
        isPast: z.boolean(),
        /** When it came near, or, of what is past, past it; `null` where that cannot be told. */
        since: instant.nullable(),
        peopleOn: z.array(z.string()).readonly(),
        /** What is left on the order's tasks that are within their estimates. */
        orderLeftSeconds: seconds,
      }),
    )
    .readonly(),
});
export type NearTask = z.output<typeof nearSchema>['tasks'][number];
