import {
  trailQuery,
  trailSchema,
  verifiedSchema,
  verifySchema,
  lineDetailSchema,
  lineQuerySchema,
} from '../../ledger/index.ts';
import { batchResultSchema, batchSchema } from '../../station/index.ts';
import type { Route } from '../route.ts';

export const LEDGER_ROUTES = {
  trail: {
    method: 'get',
    path: '/api/ledger/trail',
    caller: 'ledger.see',
    summary: 'The journal, newest first',
    query: trailQuery,
    response: trailSchema,
  },
  verifyChain: {
    method: 'post',
    path: '/api/ledger/verify',
    caller: 'ledger.see',
    summary: 'Walk a part of the chain of hashes',
    body: verifySchema,
    response: verifiedSchema,
  },
  deskEntries: {
    method: 'post',
    path: '/api/ledger/entries',
    caller: 'ledger.correct',
    summary: 'Record entries and corrections from the desk, all or none',
    body: batchSchema,
    readsEach: 'entries',
    response: batchResultSchema,
  },
  line: {
    method: 'get',
    path: '/api/ledger/line',
    caller: 'ledger.see',
    summary: 'What a labor line is made of',
    query: lineQuerySchema,
    response: lineDetailSchema,
  },
} as const satisfies Record<string, Route>;
