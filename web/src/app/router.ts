import { createRouter, createWebHistory } from 'vue-router';
import { scanPages } from '../scan/index.ts';
import { accessPages } from '../access/index.ts';
import { shopPages } from '../shop/index.ts';
import { peoplePages } from '../people/index.ts';
import { workPages } from '../work/index.ts';
import { catalogPages } from '../catalog/index.ts';
import { ledgerPages } from '../ledger/index.ts';
import { comparePages } from '../compare/index.ts';
import { floorPages } from '../floor/index.ts';
import { looseEndsPages } from '../loose-ends/index.ts';
import { tapePages } from '../tape/index.ts';
import { timesheetPages } from '../timesheet/index.ts';
import { approvalPages } from '../approval/index.ts';
import { attendancePages } from '../attendance/index.ts';
import { payPages } from '../pay/index.ts';
import { exchangePages } from '../exchange/index.ts';
import { labelsPages } from '../labels/index.ts';

/** Every room brings its own pages. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/floor' },
    ...scanPages,
    ...accessPages,
    ...shopPages,
    ...peoplePages,
    ...workPages,
    ...catalogPages,
    ...ledgerPages,
    ...comparePages,
    ...floorPages,
    ...looseEndsPages,
    ...tapePages,
    ...timesheetPages,
    ...approvalPages,
    ...attendancePages,
    ...payPages,
    ...exchangePages,
    ...labelsPages,
    { path: '/:path(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
});
