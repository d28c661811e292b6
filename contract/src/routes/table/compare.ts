import {
  orderSchema,
  pastWorkQuery,
  pastWorkSchema,
  resetCostSchema,
  setCostSchema,
  storyQuery,
  storySchema,
  unitHistorySchema,
  whySchema,
  workSchema,
} from '../../compare/index.ts';
import { nothing } from '../route.ts';
import type { Route } from '../route.ts';

export const COMPARE_ROUTES = {
  work: {
    method: 'get',
    path: '/api/work',
    caller: 'work.see',
    summary: 'Orders whose work is not behind them, actual against estimate',
    response: workSchema,
  },
  pastWork: {
    method: 'get',
    path: '/api/work/past',
    caller: 'work.see',
    summary: 'Finished and closed orders, searched, a page at a time',
    query: pastWorkQuery,
    response: pastWorkSchema,
  },
  unitHistory: {
    method: 'get',
    path: '/api/units/:unit',
    caller: 'work.see',
    summary: 'A unit with its orders, and its hours and cost over the years',
    response: unitHistorySchema,
  },
  order: {
    method: 'get',
    path: '/api/work/:order',
    caller: 'work.see',
    summary: 'One order with its tasks and labor lines',
    response: orderSchema,
  },
  why: {
    method: 'get',
    path: '/api/work/:order/why',
    caller: 'work.see',
    summary: 'Why an order’s labor costs other than estimated, task by task',
    response: whySchema,
  },
  setCost: {
    method: 'post',
    path: '/api/ledger/costs',
    caller: 'ledger.correct',
    summary: 'Set what a labor line costs by hand, as long as its time stays as it was seen',
    body: setCostSchema,
    response: nothing,
  },
  resetCost: {
    method: 'post',
    path: '/api/ledger/costs/reset',
    caller: 'ledger.correct',
    summary: 'Let a labor line cost what its rate says again',
    body: resetCostSchema,
    response: nothing,
  },
  story: {
    method: 'get',
    path: '/api/story',
    caller: 'work.see',
    summary: 'What happened to an order, or in the shop on a day, as a story',
    query: storyQuery,
    response: storySchema,
  },
} as const satisfies Record<string, Route>;
