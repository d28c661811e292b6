import { createRouter, createWebHistory } from 'vue-router';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/floor' },
    { path: '/floor', name: 'floor', component: () => import('../floor/FloorPage.vue') },
    { path: '/work', name: 'work', component: () => import('../work/WorkPage.vue') },
    { path: '/work/new', name: 'new-order', component: () => import('../work/EditOrderPage.vue') },
    { path: '/work/:order', name: 'order', component: () => import('../work/OrderPage.vue') },
    { path: '/reconcile', name: 'reconcile', component: () => import('../reconcile/ReconcilePage.vue') },
    { path: '/work/:order/edit', name: 'edit-order', component: () => import('../work/EditOrderPage.vue') },
    { path: '/shop', name: 'shop', component: () => import('../shop/ChecklistPage.vue') },
    { path: '/shop/people', name: 'people', component: () => import('../people/PeoplePage.vue') },
    { path: '/shop/people/:technician', name: 'person', component: () => import('../people/PersonPage.vue') },
    {
      path: '/shop/people/:technician/rates',
      name: 'rates',
      component: () => import('../people/RatesPage.vue'),
    },
    { path: '/shop/standards', name: 'standards', component: () => import('../work/StandardsPage.vue') },
    { path: '/shop/lists', name: 'lists', component: () => import('../shop/ListsPage.vue') },
    { path: '/shop/units', name: 'units', component: () => import('../shop/UnitsPage.vue') },
    { path: '/shop/stations', name: 'stations', component: () => import('../shop/StationsPage.vue') },
    { path: '/shop/scanner', name: 'scanner', component: () => import('../scan/ScannerPage.vue') },
    { path: '/shop/labels', name: 'labels', component: () => import('../labels/LabelsPage.vue') },
    { path: '/shop/import', name: 'import', component: () => import('../exchange/ExchangePage.vue') },
    { path: '/shop/users', name: 'users', component: () => import('../access/UsersPage.vue') },
    { path: '/shop/settings', name: 'settings', component: () => import('../shop/SettingsPage.vue') },
    { path: '/:path(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
});
