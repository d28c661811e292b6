import { z } from 'zod';
import type { Route } from '../route.ts';

/** The live figures beside the places of the rail. */
export const railSchema = z.object({
  peopleIn: z.number(),
  openOrders: z.number(),
  looseEnds: z.number(),
  /** Pay periods that are over and not closed. */
  periodsOver: z.number(),
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
