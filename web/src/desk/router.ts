import { createRouter, createWebHistory } from 'vue-router';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/floor' },
    { path: '/floor', name: 'floor', component: () => import('../floor/FloorPage.vue') },
    { path: '/work', name: 'work', component: () => import('../work/WorkPage.vue') },
    { path: '/work/new', name: 'new-order', component: () => import('../work/NewOrderPage.vue') },
    { path: '/work/:order', name: 'order', component: () => import('../work/OrderPage.vue') },
    { path: '/reconcile', name: 'reconcile', component: () => import('../reconcile/ReconcilePage.vue') },
    { path: '/shop', name: 'shop', component: () => import('../shop/ShopPage.vue') },
    { path: '/:path(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
});
