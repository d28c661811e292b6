import {
  activityFieldsSchema,
  backupsSchema,
  checklistSchema,
  closedDaySchema,
  customerFieldsSchema,
  dayOnlySchema,
  listItemSchema,
  newListItemSchema,
  newUnitSchema,
  noticeSchema,
  noticesSchema,
  resourceFieldsSchema,
  settingsSchema,
  shopSchema,
  unitFieldsSchema,
} from '../../shop/index.ts';
import { createdSchema, nothing } from '../route.ts';
import type { Route } from '../route.ts';
import type { z } from 'zod';

/** A thing that is added at `path` and changed at `path/:id`. */
const add = <Path extends string, Body extends z.ZodType>(path: Path, summary: string, body: Body) =>
  ({
    method: 'post',
    path,
    caller: 'shop.change',
    summary,
    body,
    response: createdSchema,
  }) as const;
const save = <Path extends string, Body extends z.ZodType>(path: Path, summary: string, body: Body) =>
  ({ ...add(path, summary, body), response: nothing }) as const;

export const SHOP_ROUTES = {
  backups: {
    method: 'get',
    path: '/api/backups',
    caller: 'shop.see',
    summary: 'When the last good backup was made, and what went wrong since',
    response: backupsSchema,
  },
  makeBackup: {
    method: 'post',
    path: '/api/backups',
    caller: 'shop.change',
    summary: 'Start a backup now',
    response: nothing,
  },
  shop: {
    method: 'get',
    path: '/api/shop',
    caller: 'shop.see',
    summary: 'Settings, lists, and the codes of what is not a person',
    response: shopSchema,
  },
  checklist: {
    method: 'get',
    path: '/api/shop/checklist',
    caller: 'shop.see',
    summary: 'What is still missing, by name',
    response: checklistSchema,
  },
  saveSettings: save('/api/shop/settings', 'Change the shop’s settings', settingsSchema),
  addListItem: add('/api/shop/lists', 'Add to one of the shop’s lists', newListItemSchema),
  saveListItem: save('/api/shop/lists/:item', 'Rename an item of a list, or switch it off', listItemSchema),
  addActivity: add('/api/shop/activities', 'Add an indirect activity', activityFieldsSchema),
  saveActivity: save('/api/shop/activities/:activity', 'Change an indirect activity', activityFieldsSchema),
  addResource: add('/api/shop/resources', 'Add a work center or a machine', resourceFieldsSchema),
  saveResource: save(
    '/api/shop/resources/:resource',
    'Change a work center or a machine',
    resourceFieldsSchema,
  ),
  addCustomer: add('/api/shop/customers', 'Add a customer', customerFieldsSchema),
  saveCustomer: save('/api/shop/customers/:customer', 'Change a customer', customerFieldsSchema),
  addUnit: add('/api/shop/units', 'Add a customer’s unit', newUnitSchema),
  saveUnit: save('/api/shop/units/:unit', 'Change a unit', unitFieldsSchema),
  addClosedDay: save('/api/shop/closed-days', 'Close the shop for a day', closedDaySchema),
  removeClosedDay: save('/api/shop/closed-days/remove', 'Open the shop on a day after all', dayOnlySchema),
  notices: {
    method: 'get',
    path: '/api/shop/notices',
    caller: 'shop.see',
    summary: 'What stands on the stations’ idle screens',
    response: noticesSchema,
  },
  addNotice: add('/api/shop/notices', 'Put a notice on every station', noticeSchema),
  removeNotice: {
    method: 'post',
    path: '/api/shop/notices/:notice/remove',
    caller: 'shop.change',
    summary: 'Take a notice down',
    response: nothing,
  },
} as const satisfies Record<string, Route>;
