import { answeredSchema } from '../../loose-ends/index.ts';
import {
  draftsSchema,
  enterHoursSchema,
  jobWeekQuery,
  jobWeekSchema,
  recordSlipsSchema,
  saveDraftSchema,
  weekQuery,
  weekSchema,
} from '../../timesheet/index.ts';
import { nothing } from '../route.ts';
import type { Route } from '../route.ts';
import { z } from 'zod';

export const TIMESHEET_ROUTES = {
  week: {
    method: 'get',
    path: '/api/reconcile/week',
    caller: 'reconcile.see',
    summary: 'A person’s week, by task, activity and day',
    query: weekQuery,
    response: weekSchema,
  },
  jobWeek: {
    method: 'get',
    path: '/api/reconcile/job-week',
    caller: 'ledger.correct',
    summary: 'A week of one task or activity, by person and day',
    query: jobWeekQuery,
    response: jobWeekSchema,
  },
  enterHours: {
    method: 'post',
    path: '/api/reconcile/hours',
    caller: 'ledger.correct',
    summary: 'Write lengths of time down, change them or take them out, all or none',
    body: enterHoursSchema,
    response: answeredSchema,
  },
  recordSlips: {
    method: 'post',
    path: '/api/reconcile/slips',
    caller: 'ledger.correct',
    summary: 'Record rows of paper slips with their times, pieces and notes, all or none',
    body: recordSlipsSchema,
    response: answeredSchema,
  },
  drafts: {
    method: 'get',
    path: '/api/reconcile/drafts',
    caller: 'ledger.correct',
    summary: 'Rows of paper slips that still lack something, of all who write them',
    response: draftsSchema,
  },
  saveDraft: {
    method: 'post',
    path: '/api/reconcile/drafts',
    caller: 'ledger.correct',
    summary: 'Keep a row that still lacks something; it counts nowhere',
    body: saveDraftSchema,
    response: z.object({ id: z.string() }),
  },
  takeDraft: {
    method: 'post',
    path: '/api/reconcile/drafts/:draft/take',
    caller: 'ledger.correct',
    summary: 'Take over a row that somebody else has begun',
    response: nothing,
  },
  dropDraft: {
    method: 'post',
    path: '/api/reconcile/drafts/:draft/drop',
    caller: 'ledger.correct',
    summary: 'Drop a row that was never recorded',
    response: nothing,
  },
} as const satisfies Record<string, Route>;
