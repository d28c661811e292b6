import { z } from 'zod';
import { floorSchema } from '../../floor/index.ts';
import { looseEndsSchema } from '../../reconcile/index.ts';
import { batchResultSchema, batchSchema } from '../../station/index.ts';
import { dayText } from '../../wire/index.ts';
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
} as const satisfies Record<string, Route>;
