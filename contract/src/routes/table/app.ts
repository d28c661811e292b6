import { z } from 'zod';
import type { Route } from '../route.ts';

/** The live figures beside the places of the rail; `null` beside those that somebody may not see. */
export const railSchema = z.object({
  peopleIn: z.number().nullable(),
  nearTasks: z.number().nullable(),
  openOrders: z.number().nullable(),
  looseEnds: z.number().nullable(),
  /** Pay periods that are over and not closed. */
  periodsOver: z.number().nullable(),
  /** Time off that waits for an answer. */
  timeOff: z.number().nullable(),
});

export const APP_ROUTES = {
  rail: {
    method: 'get',
    path: '/api/rail',
    caller: 'signed-in',
    summary: 'Live figures of the places',
    response: railSchema,
  },
} as const satisfies Record<string, Route>;
