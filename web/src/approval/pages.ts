import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const approvalPages: RouteRecordRaw[] = [
  { path: '/reconcile/approve', name: 'approve', component: () => import('./ApprovePage.vue') },
];
