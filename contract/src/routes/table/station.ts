import { z } from 'zod';
import { changePinSchema, checkPinSchema } from '../../people/index.ts';
import {
  askOwnTimeSchema,
  batchResultSchema,
  batchSchema,
  benchSchema,
  confirmOwnTimeSchema,
  directorySchema,
  ownTimeSchema,
  pairSchema,
  proveSelfSchema,
  provedSchema,
  scannerProfileSchema,
} from '../../station/index.ts';
import { nothing } from '../route.ts';
import type { Route } from '../route.ts';

export const STATION_ROUTES = {
  pair: {
    method: 'post',
    path: '/api/station/pair',
    caller: 'public',
    summary: 'Pair this device with a code from the desk',
    body: pairSchema,
    response: z.strictObject({ id: z.string(), name: z.string() }),
  },
  directory: {
    method: 'get',
    path: '/api/station/directory',
    caller: 'station',
    summary: 'What a station must know',
    response: directorySchema,
  },
  stationEntries: {
    method: 'post',
    path: '/api/station/entries',
    caller: 'station',
    summary: 'Record a batch of entries',
    body: batchSchema,
    readsEach: 'entries',
    response: batchResultSchema,
  },
  ownTime: {
    method: 'post',
    path: '/api/station/own-time',
    caller: 'station',
    summary: 'A technician’s own day and week, for whoever has proved that he is this technician',
    body: askOwnTimeSchema,
    response: ownTimeSchema,
  },
  confirmOwnTime: {
    method: 'post',
    path: '/api/station/own-time/confirm',
    caller: 'station',
    summary: 'A technician confirms his own days as he saw them',
    body: confirmOwnTimeSchema,
    response: nothing,
  },
  proveSelf: {
    method: 'post',
    path: '/api/station/proof',
    caller: 'station',
    summary: 'Show the server a badge; what it answers speaks for its owner at this station for five minutes',
    body: proveSelfSchema,
    response: provedSchema,
  },
  bench: {
    method: 'get',
    path: '/api/station/bench',
    caller: 'station',
    summary: 'Sample badges, in the demo only',
    response: benchSchema,
  },
  changePin: {
    method: 'post',
    path: '/api/station/pin/change',
    caller: 'station',
    summary: 'Change one’s own PIN',
    body: changePinSchema,
    response: nothing,
  },
  calibrate: {
    method: 'post',
    path: '/api/station/scanner',
    caller: 'station',
    summary: 'Keep what a calibration taught of this station’s scanner',
    body: scannerProfileSchema,
    response: nothing,
  },
  checkPin: {
    method: 'post',
    path: '/api/station/pin',
    caller: 'station',
    summary: 'Whether a technician’s PIN is right',
    body: checkPinSchema,
    response: provedSchema,
  },
} as const satisfies Record<string, Route>;
