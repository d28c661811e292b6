import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const attendancePages: RouteRecordRaw[] = [
  { path: '/floor/days', name: 'floor-days', component: () => import('./DaysPage.vue') },
  { path: '/reconcile/accounted', name: 'accounted', component: () => import('./AccountedPage.vue') },
  { path: '/reconcile/card/:technician?', name: 'card', component: () => import('./CardPage.vue') },
  { path: '/own', name: 'own', component: () => import('./OwnPage.vue') },
];
