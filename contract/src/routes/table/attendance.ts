import {
  accountedSchema,
  askCardSchema,
  askOwnCardSchema,
  askOwnTimeSchema,
  cardSchema,
  confirmOwnDaysSchema,
  confirmOwnTimeSchema,
  ownTimeSchema,
} from '../../attendance/index.ts';
import { days, nothing } from '../route.ts';
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
  card: {
    method: 'get',
    path: '/api/reconcile/card',
    caller: 'reconcile.see',
    summary: 'A person’s card: in, out, stretches and sums of each day',
    query: askCardSchema,
    response: cardSchema,
  },
  ownTime: {
    method: 'post',
    path: '/api/station/own-time',
    caller: 'station',
    summary: 'A technician’s own card, for whoever has proved that they are this technician',
    body: askOwnTimeSchema,
    response: ownTimeSchema,
  },
  confirmOwnTime: {
    method: 'post',
    path: '/api/station/own-time/confirm',
    caller: 'station',
    summary: 'A technician confirms their own days as they saw them',
    body: confirmOwnTimeSchema,
    response: nothing,
  },
  ownCard: {
    method: 'get',
    path: '/api/own/card',
    caller: 'own.time',
    summary: 'One’s own card at the desk',
    query: askOwnCardSchema,
    response: ownTimeSchema,
  },
  confirmOwnDays: {
    method: 'post',
    path: '/api/own/confirm',
    caller: 'own.time',
    summary: 'Confirm one’s own days at the desk as one saw them',
    body: confirmOwnDaysSchema,
    response: nothing,
  },
} as const satisfies Record<string, Route>;
