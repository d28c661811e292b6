import type { RouteRecordRaw } from 'vue-router';

/** The room's own pages, each fetched when somebody opens it. */
export const comparePages: RouteRecordRaw[] = [
  { path: '/work', name: 'work', component: () => import('./WorkPage.vue') },
  { path: '/work/unit/:unit', name: 'unit', component: () => import('./UnitPage.vue') },
  { path: '/work/:order', name: 'order', component: () => import('./OrderPage.vue') },
  { path: '/work/:order/why', name: 'why', component: () => import('./WhyPage.vue') },
  { path: '/work/:order/report', name: 'report', component: () => import('./ReportPage.vue') },
  { path: '/work/:order/story', name: 'story', component: () => import('./StoryPage.vue') },
  { path: '/compare', name: 'compare', component: () => import('./periods/JobsPage.vue') },
  { path: '/compare/causes', name: 'compare-causes', component: () => import('./periods/CausesPage.vue') },
  { path: '/compare/people', name: 'compare-people', component: () => import('./periods/PeoplePage.vue') },
  { path: '/compare/hours', name: 'compare-hours', component: () => import('./periods/HoursPage.vue') },
  {
    path: '/compare/machines',
    name: 'compare-machines',
    component: () => import('./periods/MachinesPage.vue'),
  },
  { path: '/compare/near', name: 'compare-near', component: () => import('./periods/NearPage.vue') },
  { path: '/floor/story/:day?', name: 'day-story', component: () => import('./StoryPage.vue') },
];
