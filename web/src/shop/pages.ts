import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const shopPages: RouteRecordRaw[] = [
  { path: '/shop/stations', name: 'stations', component: () => import('./StationsPage.vue') },
  { path: '/shop/settings', name: 'settings', component: () => import('./SettingsPage.vue') },
];
