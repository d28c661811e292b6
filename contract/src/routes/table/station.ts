import { z } from 'zod';
import { changePinSchema, checkPinSchema } from '../../people/index.ts';
import {
  batchResultSchema,
  batchSchema,
  benchSchema,
  confirmOwnTimeSchema,
  directorySchema,
  ownTimeSchema,
  pairSchema,
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
    response: batchResultSchema,
  },
  ownTime: {
    method: 'get',
    path: '/api/station/own-time',
    caller: 'station',
    summary: 'A technician’s own day and week',
    query: z.strictObject({ technician: z.string().min(1).max(80) }),
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
    response: nothing,
  },
} as const satisfies Record<string, Route>;
