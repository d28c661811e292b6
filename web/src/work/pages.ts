import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const workPages: RouteRecordRaw[] = [
  { path: '/work/estimates', name: 'estimates', component: () => import('./EstimatesPage.vue') },
  { path: '/work/due', name: 'recurring', component: () => import('./RecurringPage.vue') },
  { path: '/work/mails', name: 'mails', component: () => import('./MailsPage.vue') },
  { path: '/work/:order/offer/:offer', name: 'offer', component: () => import('./OfferPage.vue') },
  { path: '/work/new', name: 'new-order', component: () => import('./EditOrderPage.vue') },
  { path: '/work/:order/edit', name: 'edit-order', component: () => import('./EditOrderPage.vue') },
  { path: '/shop/standards', name: 'standards', component: () => import('./StandardsPage.vue') },
];
