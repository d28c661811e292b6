import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const catalogPages: RouteRecordRaw[] = [
  { path: '/shop', name: 'shop', component: () => import('./ChecklistPage.vue') },
  { path: '/shop/lists', name: 'lists', component: () => import('./ListsPage.vue') },
  { path: '/shop/units', name: 'units', component: () => import('./UnitsPage.vue') },
];
