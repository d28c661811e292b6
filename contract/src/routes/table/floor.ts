import { floorChangesSchema, floorSchema, latestSchema } from '../../floor/index.ts';
import { answerSchema, requestsSchema } from '../../station/index.ts';
import { dayText } from '../../wire/index.ts';
import { after, nothing } from '../route.ts';
import type { Route } from '../route.ts';
import { z } from 'zod';

const day = z.strictObject({ day: dayText.exactOptional() });

export const FLOOR_ROUTES = {
  floor: {
    method: 'get',
    path: '/api/floor',
    caller: 'floor.see',
    summary: 'Who is on what, with one day of stretches',
    query: day,
    response: floorSchema,
  },
  floorChanges: {
    method: 'get',
    path: '/api/floor/changes',
    caller: 'floor.see',
    summary: 'What has changed of one day of the floor since a place in the journal',
    query: after.extend({ day: dayText }),
    response: floorChangesSchema,
    isShared: true,
  },
  latest: {
    method: 'get',
    path: '/api/floor/latest',
    caller: 'floor.see',
    summary: 'The latest scans, with who and where',
    response: latestSchema,
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
} as const satisfies Record<string, Route>;
