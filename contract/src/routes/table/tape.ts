import { answeredSchema, effectSchema } from '../../loose-ends/index.ts';
import {
  findPersonSchema,
  foundPersonSchema,
  personDayQuery,
  personDaySchema,
  presenceEditSchema,
  recordsEditSchema,
  tapeEditSchema,
  targetsQuery,
  targetsSchema,
} from '../../tape/index.ts';
import type { Route } from '../route.ts';

export const TAPE_ROUTES = {
  personDay: {
    method: 'get',
    path: '/api/reconcile/day',
    caller: 'reconcile.see',
    summary: 'One person’s day: stints with their scans, shifts, breaks, hours written down',
    query: personDayQuery,
    response: personDaySchema,
  },
  findPerson: {
    method: 'post',
    path: '/api/reconcile/person',
    caller: 'ledger.correct',
    summary: 'The one person that a name, a number, initials or a badge stands for',
    body: findPersonSchema,
    response: foundPersonSchema,
  },
  targets: {
    method: 'get',
    path: '/api/reconcile/targets',
    caller: 'reconcile.see',
    summary: 'Tasks and activities that match some words, or that a code stands for',
    query: targetsQuery,
    response: targetsSchema,
  },
  previewEdit: {
    method: 'post',
    path: '/api/reconcile/tape/preview',
    caller: 'ledger.correct',
    summary: 'What an edit of the tape would do; nothing is recorded',
    body: tapeEditSchema,
    response: effectSchema,
  },
  editTape: {
    method: 'post',
    path: '/api/reconcile/tape',
    caller: 'ledger.correct',
    summary: 'Make a block of the tape into something else, all or none',
    body: tapeEditSchema,
    response: answeredSchema,
  },
  previewRecords: {
    method: 'post',
    path: '/api/reconcile/records/preview',
    caller: 'ledger.correct',
    summary: 'What one thing done to several records would do; nothing is recorded',
    body: recordsEditSchema,
    response: effectSchema,
  },
  editRecords: {
    method: 'post',
    path: '/api/reconcile/records',
    caller: 'ledger.correct',
    summary:
      'Take several records out, give them to somebody, put them on other work or move them, all or none',
    body: recordsEditSchema,
    response: answeredSchema,
  },
  previewPresence: {
    method: 'post',
    path: '/api/reconcile/presence/preview',
    caller: 'ledger.correct',
    summary: 'What another shift or break would do; nothing is recorded',
    body: presenceEditSchema,
    response: effectSchema,
  },
  editPresence: {
    method: 'post',
    path: '/api/reconcile/presence',
    caller: 'ledger.correct',
    summary: 'Make a shift or a break into another one, all or none',
    body: presenceEditSchema,
    response: answeredSchema,
  },
} as const satisfies Record<string, Route>;
