import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const tapePages: RouteRecordRaw[] = [
  { path: '/reconcile/written', name: 'written', component: () => import('./WrittenPage.vue') },
  {
    path: '/reconcile/day/:technician/:day?',
    name: 'person-day',
    component: () => import('./PersonDayPage.vue'),
  },
];
