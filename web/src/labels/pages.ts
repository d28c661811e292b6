import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const labelsPages: RouteRecordRaw[] = [
  { path: '/shop/labels', name: 'labels', component: () => import('./LabelsPage.vue') },
];
