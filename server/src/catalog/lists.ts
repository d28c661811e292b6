import type { ResourceId } from '@wergon/core/station';
import { newId } from '../db/index.ts';
import type { TargetId } from '@wergon/core/ledger';
import { randomUUID } from 'node:crypto';
import { LISTS } from '@wergon/contract/shop';
import { ok, tableOf } from '@wergon/core/result';
import { ACTIONS, codeOfAction } from '@wergon/core/scan';
import { EVER, dated, inForceAt } from '@wergon/core/time';
import type { CatalogContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import {
  writeCharge,
  ActivityEntity,
  ClosedDayEntity,
  CustomerEntity,
  ListItemEntity,
  ResourceEntity,
  UnitEntity,
  ensureListItems,
  settingsOf,
} from '../shop/index.ts';
import { renameEverywhere } from './rename.ts';

const taken = (field: string, message: string) => refuse('record.taken', [{ field, message }]);

/** Routes of the shop's lists: departments, activities, work centers and machines, customers. A new name of one goes
 *  wherever the old one stands, in people, orders and standards too. */
export function mountLists(mount: Mount, context: CatalogContext): void {
  mountShop(mount, context);
  mountListItems(mount, context);
  mountActivities(mount, context);
  mountResources(mount, context);
  mountCustomers(mount, context);
}

function mountShop(mount: Mount, { database, clock, facts }: CatalogContext): void {
  mount('shop', async () => {
    const { shop, orders } = await facts.get();
    const ordersOf = new Map<string, number>();
    for (const { unit } of orders.values())
      if (unit != null) ordersOf.set(unit, (ordersOf.get(unit) ?? 0) + 1);
    const em = database.em.fork();
    const [items, activities, resources, customers, units, closedDays] = [
      await em.findAll(ListItemEntity, { orderBy: { name: 1 } }),
      await em.findAll(ActivityEntity, { orderBy: { title: 1 } }),
      await em.findAll(ResourceEntity, { orderBy: { kind: -1, name: 1 } }),
      await em.findAll(CustomerEntity, { orderBy: { name: 1 } }),
      await em.findAll(UnitEntity, { orderBy: { owner: 1, type: 1 } }),
      await em.findAll(ClosedDayEntity, { orderBy: { day: 1 } }),
    ];
    const lists = tableOf(LISTS, (list) =>
      items.filter((item) => item.list === list).map(({ id, name, isOff }) => ({ id, name, isOff })),
    );
    return ok({
      settings: settingsOf(shop),
      zone: shop.zone,
      currency: shop.currency,
      lists,
      activities: activities.map(
        ({ id, title, description, counts, code, isPaid, division, takesWork, isOff }) => ({
          id,
          title,
          description,
          counts: inForceAt(counts, clock.now()),
          code,
          isPaid,
          division,
          takesWork: takesWork ?? null,
          isOff,
        }),
      ),
      resources: resources.map(({ id, kind, name, workCenter, asksMachine, code, isOff }) => ({
        id,
        kind,
        name,
        workCenter,
        asksMachine,
        code,
        isOff,
      })),
      customers: customers.map(({ id, name, note, charge, isOff }) => ({
        id,
        name,
        note,
        charge: charge ?? null,
        isOff,
      })),
      units: units.map(({ id, type, maker, serialNumber, nameplate, owner }) => ({
        orderCount: ordersOf.get(id) ?? 0,
        id,
        type,
        maker,
        serialNumber,
        nameplate,
        owner,
      })),
      closedDays: closedDays.map(({ day, name, isPaid }) => ({ day, name, isPaid })),
      actions: ACTIONS.map((action) => ({ action, code: codeOfAction(action) })),
    });
  });
}

function mountListItems(mount: Mount, { database, setupChanged }: CatalogContext): void {
  mount('addListItem', async ({ body }) => {
    if (await database.em.fork().findOne(ListItemEntity, body))
      return taken('name', 'stands in this list already');
    const id = randomUUID();
    await database.em.fork().insert(ListItemEntity, { id, ...body, isOff: false });
    setupChanged('shop', 'orders');
    return ok({ id });
  });

  mount('saveListItem', async ({ param, body }) => {
    const em = database.em.fork();
    const item = await em.findOne(ListItemEntity, { id: param('item') });
    if (!item) return refuse('record.not_found');
    const other = await em.findOne(ListItemEntity, { list: item.list, name: body.name });
    if (other && other.id !== item.id) return taken('name', 'stands in this list already');
    await database.em.fork().transactional(async (inner) => {
      await renameEverywhere(inner, item.list, item.name, body.name);
      await inner.nativeUpdate(ListItemEntity, { id: item.id }, body);
    });
    setupChanged('shop', 'orders');
    return ok(null);
  });
}

function mountActivities(mount: Mount, { database, clock, deriveAnew, setupChanged }: CatalogContext): void {
  mount('addActivity', async ({ body: { counts, ...body } }) => {
    if (await database.em.fork().findOne(ActivityEntity, { title: body.title, division: body.division }))
      return taken('title', 'there is an activity of this name');
    const id = newId<TargetId>();
    const code = drawRandomCode('activity');
    await database.em.fork().insert(ActivityEntity, { id, code, counts: dated(counts), ...body });
    setupChanged('shop', 'orders');
    return ok({ id });
  });

  mount('saveActivity', async ({ param, body: { counts, ...body } }) => {
    const em = database.em.fork();
    const activity = await em.findOne(ActivityEntity, { id: param('activity') });
    if (!activity) return refuse('record.not_found');
    const other = await em.findOne(ActivityEntity, { title: body.title, division: body.division });
    if (other && other.id !== activity.id) return taken('title', 'there is an activity of this name');
    // Whether it counts is dated: what was attended before stays as it was.
    const isSame = inForceAt(activity.counts, clock.now()) === counts;
    const next = isSame ? activity.counts : [...activity.counts, { from: clock.now(), value: counts }];
    const write = () =>
      database.em.fork().nativeUpdate(ActivityEntity, { id: activity.id }, { ...body, counts: next });
    // Time on what is not paid costs nothing.
    if (body.isPaid === activity.isPaid) await write();
    else await deriveAnew(EVER, write);
    setupChanged('shop', 'orders');
    return ok(null);
  });
}

function mountResources(mount: Mount, { database, setupChanged }: CatalogContext): void {
  mount('addResource', async ({ body }) => {
    const { kind, name } = body;
    if (await database.em.fork().findOne(ResourceEntity, { kind, name }))
      return taken('name', 'is in use already');
    const id = newId<ResourceId>();
    await database.em.fork().transactional(async (em) => {
      await ensureListItems(em, { 'work-center': [body.workCenter] });
      await em.insert(ResourceEntity, { id, code: drawRandomCode('resource'), ...body });
    });
    setupChanged('shop', 'orders');
    return ok({ id });
  });

  mount('saveResource', async ({ param, body }) => {
    const em = database.em.fork();
    const resource = await em.findOne(ResourceEntity, { id: param('resource') });
    if (!resource || resource.kind !== body.kind) return refuse('record.not_found');
    const other = await em.findOne(ResourceEntity, { kind: body.kind, name: body.name });
    if (other && other.id !== resource.id) return taken('name', 'is in use already');
    await database.em.fork().transactional(async (inner) => {
      if (resource.kind === 'work-center')
        await renameEverywhere(inner, 'work-center', resource.name, body.name);
      await inner.nativeUpdate(ResourceEntity, { id: resource.id }, body);
    });
    setupChanged('shop', 'orders');
    return ok(null);
  });
}

function mountCustomers(mount: Mount, { database, setupChanged }: CatalogContext): void {
  mount('addCustomer', async ({ body: { charge, ...body } }) => {
    if (await database.em.fork().findOne(CustomerEntity, { name: body.name }))
      return taken('name', 'is in use already');
    const id = randomUUID();
    await database.em.fork().insert(CustomerEntity, { id, ...body, charge: writeCharge(charge) });
    setupChanged('shop', 'orders');
    return ok({ id });
  });

  mount('saveCustomer', async ({ param, body: { charge, ...body } }) => {
    const em = database.em.fork();
    const customer = await em.findOne(CustomerEntity, { id: param('customer') });
    if (!customer) return refuse('record.not_found');
    const other = await em.findOne(CustomerEntity, { name: body.name });
    if (other && other.id !== customer.id) return taken('name', 'is in use already');
    await database.em.fork().transactional(async (inner) => {
      await renameEverywhere(inner, 'customer', customer.name, body.name);
      await inner.nativeUpdate(CustomerEntity, { id: customer.id }, { ...body, charge: writeCharge(charge) });
    });
    setupChanged('shop', 'orders');
    return ok(null);
  });
}
