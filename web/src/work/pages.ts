import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const workPages: RouteRecordRaw[] = [
  { path: '/work/new', name: 'new-order', component: () => import('./EditOrderPage.vue') },
  { path: '/work/:order/edit', name: 'edit-order', component: () => import('./EditOrderPage.vue') },
  { path: '/shop/standards', name: 'standards', component: () => import('./StandardsPage.vue') },
];
