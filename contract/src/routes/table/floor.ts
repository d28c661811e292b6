import { z } from 'zod';
import { floorSchema } from '../../floor/index.ts';
import {
  acceptSchema,
  answeredSchema,
  chosenAnswerSchema,
  effectSchema,
  looseEndsSchema,
  undoSchema,
  withdrawSchema,
} from '../../reconcile/index.ts';
import { answerSchema, batchResultSchema, batchSchema, requestsSchema } from '../../station/index.ts';
import { dayText } from '../../wire/index.ts';
import { nothing } from '../route.ts';
import type { Route } from '../route.ts';

const day = z.strictObject({ day: dayText.exactOptional() });
const days = z.strictObject({ from: dayText.exactOptional(), to: dayText.exactOptional() });

export const FLOOR_ROUTES = {
  floor: {
    method: 'get',
    path: '/api/floor',
    caller: 'floor.see',
    summary: 'Who is on what, with one day of stretches',
    query: day,
    response: floorSchema,
  },
  requests: {
    method: 'get',
    path: '/api/floor/requests',
    caller: 'floor.see',
    summary: 'What people ask for at stations, and what was answered',
    response: requestsSchema,
  },
  answerRequest: {
    method: 'post',
    path: '/api/floor/requests/:request/answer',
    caller: 'floor.answer',
    summary: 'Answer a request; it stands at the technician’s next badge',
    body: answerSchema,
    response: nothing,
  },
  deskEntries: {
    method: 'post',
    path: '/api/ledger/entries',
    caller: 'ledger.correct',
    summary: 'Record entries and corrections from the desk, all or none',
    body: batchSchema,
    response: batchResultSchema,
  },
  looseEnds: {
    method: 'get',
    path: '/api/reconcile',
    caller: 'reconcile.see',
    summary: 'Loose ends, refused entries and unread scans',
    query: days,
    response: looseEndsSchema,
  },
  previewAnswer: {
    method: 'post',
    path: '/api/reconcile/preview',
    caller: 'ledger.correct',
    summary: 'What a likely answer to a loose end would do; nothing is recorded',
    body: chosenAnswerSchema,
    response: effectSchema,
  },
  answerLooseEnd: {
    method: 'post',
    path: '/api/reconcile/answer',
    caller: 'ledger.correct',
    summary: 'Put a loose end right as one of its likely answers says',
    body: chosenAnswerSchema,
    response: answeredSchema,
  },
  acceptLooseEnd: {
    method: 'post',
    path: '/api/reconcile/accept',
    caller: 'ledger.correct',
    summary: 'Accept a loose end as it is, with a reason, until its facts change',
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
