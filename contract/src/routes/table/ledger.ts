import {
  trailQuery,
  trailSchema,
  verifiedSchema,
  verifySchema,
  lineDetailSchema,
  lineQuerySchema,
  rulesChangeSchema,
  rulesEffectSchema,
  rulesSchema,
  saveRulesSchema,
} from '../../ledger/index.ts';
import { batchResultSchema, batchSchema } from '../../station/index.ts';
import { nothing } from '../route.ts';
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
  rules: {
    method: 'get',
    path: '/api/rules',
    caller: 'shop.see',
    summary: 'The shop’s rules for time that does not add up, with the days from which they hold',
    response: rulesSchema,
  },
  rulesEffect: {
    method: 'post',
    path: '/api/rules/effect',
    caller: 'shop.change',
    summary: 'What rules would do to the days from theirs on',
    body: rulesChangeSchema,
    response: rulesEffectSchema,
  },
  saveRules: {
    method: 'post',
    path: '/api/rules',
    caller: 'shop.change',
    summary: 'Set rules from a day on, or take those of a day out again',
    body: saveRulesSchema,
    response: nothing,
  },
} as const satisfies Record<string, Route>;
