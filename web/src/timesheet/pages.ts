import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const timesheetPages: RouteRecordRaw[] = [
  { path: '/reconcile/week/:technician?/:day?', name: 'week', component: () => import('./WeekPage.vue') },
  { path: '/reconcile/job/:target?', name: 'job-hours', component: () => import('./JobHoursPage.vue') },
  { path: '/reconcile/slips', name: 'slips', component: () => import('./SlipsPage.vue') },
];
