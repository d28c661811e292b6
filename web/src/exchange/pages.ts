import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const exchangePages: RouteRecordRaw[] = [
  { path: '/shop/import', name: 'import', component: () => import('./ExchangePage.vue') },
];
