import {
  acceptSchema,
  answeredSchema,
  chosenAnswersSchema,
  effectSchema,
  looseEndsSchema,
  namedDaysSchema,
  undoSchema,
  withdrawSchema,
} from '../../loose-ends/index.ts';
import { days, nothing } from '../route.ts';
import type { Route } from '../route.ts';

export const LOOSE_ENDS_ROUTES = {
  looseEnds: {
    method: 'get',
    path: '/api/reconcile',
    caller: 'reconcile.see',
    summary: 'Loose ends: of labor, and what stations add to them',
    query: days,
    response: looseEndsSchema,
  },
  namedDays: {
    method: 'get',
    path: '/api/reconcile/named',
    caller: 'reconcile.see',
    summary: 'Days on which somebody was known by a name or a number alone',
    query: days,
    response: namedDaysSchema,
  },
  previewAnswer: {
    method: 'post',
    path: '/api/reconcile/preview',
    caller: 'ledger.correct',
    summary: 'What likely answers to loose ends would do; nothing is recorded',
    body: chosenAnswersSchema,
    response: effectSchema,
  },
  answerLooseEnd: {
    method: 'post',
    path: '/api/reconcile/answer',
    caller: 'ledger.correct',
    summary: 'Put loose ends right as one of their likely answers says, all or none',
    body: chosenAnswersSchema,
    response: answeredSchema,
  },
  acceptLooseEnd: {
    method: 'post',
    path: '/api/reconcile/accept',
    caller: 'ledger.correct',
    summary: 'Accept loose ends as they are, with a reason, until its facts change',
    body: acceptSchema,
    response: nothing,
  },
  withdrawAcceptance: {
    method: 'post',
    path: '/api/reconcile/withdraw',
    caller: 'ledger.correct',
    summary: 'Make an accepted loose end open again',
    body: withdrawSchema,
    response: nothing,
  },
  undoAnswer: {
    method: 'post',
    path: '/api/reconcile/undo',
    caller: 'ledger.correct',
    summary: 'Take entries and corrections of the desk back',
    body: undoSchema,
    response: answeredSchema,
  },
} as const satisfies Record<string, Route>;
