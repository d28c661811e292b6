import { exportSchema, importAnswerSchema, importStepSchema } from '../../exchange/index.ts';
import type { Caller, Route } from '../route.ts';

const importRoute = <C extends Caller>(kind: string, caller: C) =>
  ({
    method: 'post',
    path: `/api/exchange/${kind}`,
    caller,
    summary: `Bring in ${kind}, step by step`,
    body: importStepSchema,
    response: importAnswerSchema,
  }) as const;
const exportRoute = <C extends Caller>(kind: string, caller: C) =>
  ({
    method: 'get',
    path: `/api/exchange/${kind}`,
    caller,
    summary: `Take out ${kind} in the columns of the import`,
    response: exportSchema,
  }) as const;

export const EXCHANGE_ROUTES = {
  importOrders: importRoute('orders', 'work.change'),
  importPeople: importRoute('people', 'people.change'),
  importRates: importRoute('rates', 'rates.see'),
  importStandards: importRoute('standards', 'work.change'),
  importHours: importRoute('hours', 'pay.close'),
  exportOrders: exportRoute('orders', 'work.see'),
  exportPeople: exportRoute('people', 'people.see'),
  exportRates: exportRoute('rates', 'rates.see'),
  exportStandards: exportRoute('standards', 'work.see'),
} as const satisfies Record<string, Route>;
