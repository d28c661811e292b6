import { approvalsSchema, approveSchema, unapproveSchema } from '../../approval/index.ts';
import { confirmOwnTimeSchema } from '../../station/index.ts';
import { unapprovedWorkSchema } from '../../compare/index.ts';
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
    path: '/api/work/unapproved',
    caller: 'work.see',
    summary: 'What nobody has approved yet, by order',
    response: unapprovedWorkSchema,
  },
  confirmOwnTime: {
    method: 'post',
    path: '/api/station/own-time/confirm',
    caller: 'station',
    summary: 'A technician confirms his own days as he saw them',
    body: confirmOwnTimeSchema,
    response: nothing,
  },
} as const satisfies Record<string, Route>;
