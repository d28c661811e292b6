import {
  closePeriodSchema,
  payPeriodSchema,
  payPeriodsSchema,
  periodQuery,
  reopenPeriodSchema,
} from '../../pay/index.ts';
import { nothing } from '../route.ts';
import type { Route } from '../route.ts';

export const PAY_ROUTES = {
  payPeriods: {
    method: 'get',
    path: '/api/pay/periods',
    caller: 'pay.see',
    summary: 'Pay periods, newest first',
    response: payPeriodsSchema,
  },
  payPeriod: {
    method: 'get',
    path: '/api/pay/period',
    caller: 'pay.see',
    summary: 'One pay period by person, with what is not approved and the adjustments it takes',
    query: periodQuery,
    response: payPeriodSchema,
  },
  closePeriod: {
    method: 'post',
    path: '/api/pay/close',
    caller: 'pay.close',
    summary: 'Close a pay period as it was seen; its lines are kept',
    body: closePeriodSchema,
    response: nothing,
  },
  reopenPeriod: {
    method: 'post',
    path: '/api/pay/reopen',
    caller: 'pay.reopen',
    summary: 'Reopen the last closed pay period, with a reason',
    body: reopenPeriodSchema,
    response: nothing,
  },
} as const satisfies Record<string, Route>;
