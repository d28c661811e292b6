import {
  approvalsSchema,
  approveSchema,
  unapproveSchema,
  unapprovedOrderSchema,
  unapprovedWorkSchema,
} from '../../approval/index.ts';
import { days, nothing } from '../route.ts';
import type { Route } from '../route.ts';

export const APPROVAL_ROUTES = {
  approvals: {
    method: 'get',
    path: '/api/reconcile/approvals',
    caller: 'reconcile.see',
    summary: 'Shift days by person, with what was approved',
    query: days,
    response: approvalsSchema,
  },
  approve: {
    method: 'post',
    path: '/api/reconcile/approve',
    caller: 'time.approve',
    summary: 'Approve shift days as they were seen, all or none',
    body: approveSchema,
    response: nothing,
  },
  unapprove: {
    method: 'post',
    path: '/api/reconcile/unapprove',
    caller: 'time.approve',
    summary: 'Take approvals of shift days back, all or none',
    body: unapproveSchema,
    response: nothing,
  },
  unapprovedWork: {
    method: 'get',
    path: '/api/unapproved',
    caller: 'work.see',
    summary: 'What nobody has approved yet, by order',
    response: unapprovedWorkSchema,
  },
  unapprovedOrder: {
    method: 'get',
    path: '/api/work/:order/unapproved',
    caller: 'work.see',
    summary: 'Of all the labor of an order, what nobody has approved yet',
    response: unapprovedOrderSchema,
  },
} as const satisfies Record<string, Route>;
