import { defineAsyncComponent } from 'vue';
import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const accessPages: RouteRecordRaw[] = [
  { path: '/password', name: 'password', component: () => import('./PasswordPage.vue') },
  { path: '/shop/users', name: 'users', component: () => import('./UsersPage.vue') },
];

/** The same page where somebody must choose a password before anything else. */
export const PasswordDuePage = defineAsyncComponent(() => import('./PasswordPage.vue'));
