import { travelersBodySchema, travelersSchema } from '../../labels/index.ts';
import type { Route } from '../route.ts';

export const LABELS_ROUTES = {
  travelers: {
    method: 'post',
    path: '/api/travelers',
    caller: 'work.change',
    summary: 'What stands on the travelers of some orders, with the codes made for this print',
    body: travelersBodySchema,
    response: travelersSchema,
  },
} as const satisfies Record<string, Route>;
