import { exportSchema, importAnswerSchema, importStepSchema } from '../../exchange/index.ts';
import type { Caller, Route } from '../route.ts';

const bringIn = <C extends Caller>(kind: string, caller: C) =>
  ({
    method: 'post',
    path: `/api/exchange/${kind}`,
    caller,
    summary: `Bring in ${kind}, step by step`,
    body: importStepSchema,
    response: importAnswerSchema,
  }) as const;
const takeOut = <C extends Caller>(kind: string, caller: C) =>
  ({
    method: 'get',
    path: `/api/exchange/${kind}`,
    caller,
    summary: `Take out ${kind} in the columns of the import`,
    response: exportSchema,
  }) as const;

export const EXCHANGE_ROUTES = {
  importOrders: bringIn('orders', 'work.change'),
  importPeople: bringIn('people', 'people.change'),
  importRates: bringIn('rates', 'rates.see'),
  importStandards: bringIn('standards', 'work.change'),
  exportOrders: takeOut('orders', 'work.see'),
  exportPeople: takeOut('people', 'people.see'),
  exportRates: takeOut('rates', 'rates.see'),
  exportStandards: takeOut('standards', 'work.see'),
} as const satisfies Record<string, Route>;
