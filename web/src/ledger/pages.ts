import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const ledgerPages: RouteRecordRaw[] = [
  { path: '/reconcile/trail', name: 'trail', component: () => import('./TrailPage.vue') },
  { path: '/shop/rules', name: 'rules', component: () => import('./RulesPage.vue') },
];
