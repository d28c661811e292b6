import { accountedSchema } from '../../attendance/index.ts';
import { days } from '../route.ts';
import type { Route } from '../route.ts';

export const ATTENDANCE_ROUTES = {
  accounted: {
    method: 'get',
    path: '/api/reconcile/accounted',
    caller: 'reconcile.see',
    summary: 'What became of attended time, by person, day and department',
    query: days,
    response: accountedSchema,
  },
} as const satisfies Record<string, Route>;
