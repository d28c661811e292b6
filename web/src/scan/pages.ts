import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const scanPages: RouteRecordRaw[] = [
  { path: '/shop/scanner', name: 'scanner', component: () => import('./ScannerPage.vue') },
];
