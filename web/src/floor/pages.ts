import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const floorPages: RouteRecordRaw[] = [
  { path: '/floor/jobs', name: 'floor-jobs', component: () => import('./JobsPage.vue') },
  { path: '/floor', name: 'floor', component: () => import('./FloorPage.vue') },
];
