import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const payPages: RouteRecordRaw[] = [
  { path: '/pay', name: 'pay', component: () => import('./PayPage.vue') },
  { path: '/pay/time-off', name: 'pay-time-off', component: () => import('./TimeOffPage.vue') },
  { path: '/pay/file', name: 'pay-file', component: () => import('./PayFilePage.vue') },
  { path: '/pay/payroll', name: 'pay-payroll', component: () => import('./PayrollPage.vue') },
  { path: '/pay/overtime', name: 'pay-overtime', component: () => import('./OvertimePage.vue') },
];
