import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const peoplePages: RouteRecordRaw[] = [
  { path: '/shop/people', name: 'people', component: () => import('./PeoplePage.vue') },
  { path: '/shop/people/:technician', name: 'person', component: () => import('./PersonPage.vue') },
  { path: '/shop/people/:technician/rates', name: 'rates', component: () => import('./RatesPage.vue') },
];
