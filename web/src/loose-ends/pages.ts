import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const looseEndsPages: RouteRecordRaw[] = [
  { path: '/reconcile', name: 'reconcile', component: () => import('./ReconcilePage.vue') },
];
