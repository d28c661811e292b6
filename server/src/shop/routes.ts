import { randomUUID } from 'node:crypto';
import { LISTS } from '@wergon/contract/shop';
import type { Charge, ListName, ShopJson } from '@wergon/contract/shop';
import { formatDecimal } from '@wergon/core/money';
import type { Fraction } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { ACTIONS, codeOfAction } from '@wergon/core/scan';
import { dated, formatDay, inForceAt } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { insertOnce } from '../db/insertOnce.ts';
import { drawRandomCode } from '../station/drawCode.ts';
import { mountChecklist } from './checklist.ts';
import { mountNotices } from './notices.ts';
import {
  ActivityEntity,
  ClosedDayEntity,
  CustomerEntity,
  ListItemEntity,
  ResourceEntity,
  ShopEntity,
  UnitEntity,
} from './entities.ts';
import { ensureLabels, renameEverywhere } from './labels.ts';
import { settingsOf } from './settings.ts';

type ChargeFields = {
  readonly isBillable: boolean;
  readonly per: 'hour' | 'flat';
  readonly amount: Fraction;
};

/** A charge as it is kept and told. */
export const writeCharge = (charge: ChargeFields | null): Charge | null =>
  charge && { ...charge, amount: formatDecimal(charge.amount) };

const taken = (field: string, message: string) => refuse('record.taken', [{ field, message }]);

export function mountShop(mount: Mount, context: Context): void {
  const { database, clock, facts, live } = context;
  const fork = () => database.em.fork();
  const changed = () => {
    // A new name of a list stands in orders and tasks too.
    facts.forget('shop', 'orders');
    live.publishSetup();
  };
  mountChecklist(mount, context);
  mountNotices(mount, context);

  mount('shop', async () => {
    const { shop, orders } = await facts.get();
    const ordersOf = new Map<string, number>();
    for (const { unit } of orders.values())
      if (unit != null) ordersOf.set(unit, (ordersOf.get(unit) ?? 0) + 1);
    const em = fork();
    const [items, activities, resources, customers, units, closedDays] = [
      await em.findAll(ListItemEntity, { orderBy: { name: 1 } }),
      await em.findAll(ActivityEntity, { orderBy: { title: 1 } }),
      await em.findAll(ResourceEntity, { orderBy: { kind: -1, name: 1 } }),
      await em.findAll(CustomerEntity, { orderBy: { name: 1 } }),
      await em.findAll(UnitEntity, { orderBy: { owner: 1, type: 1 } }),
      await em.findAll(ClosedDayEntity, { orderBy: { day: 1 } }),
    ];
    const lists = Object.fromEntries(
      LISTS.map((list) => [
        list,
        items.filter((item) => item.list === list).map(({ id, name, isOff }) => ({ id, name, isOff })),
      ]),
    ) as Record<ListName, ShopJson['lists'][ListName]>;
    return ok({
      settings: settingsOf(shop),
      zone: shop.zone,
      currency: shop.currency,
      lists,
      activities: activities.map(({ id, title, counts, code, isPaid, division, takesWork, isOff }) => ({
        id,
        title,
        counts: inForceAt(counts, clock.now()),
        code,
        isPaid,
        division,
        takesWork: takesWork ?? null,
        isOff,
      })),
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
      closedDays: closedDays.map(({ day, name }) => ({ day: formatDay(day as LocalDay), name })),
      actions: ACTIONS.map((action) => ({ action, code: codeOfAction(action) })),
    });
  });

  mount('saveSettings', async ({ body: { name, ...settings } }) => {
    await fork().nativeUpdate(ShopEntity, { id: 1 }, { name, settings });
    changed();
    return ok(null);
  });

  mount('addListItem', async ({ body }) => {
    if (await fork().findOne(ListItemEntity, body)) return taken('name', 'stands in this list already');
    const id = randomUUID();
    await fork().insert(ListItemEntity, { id, ...body, isOff: false });
    changed();
    return ok({ id });
  });

  mount('saveListItem', async ({ param, body }) => {
    const em = fork();
    const item = await em.findOne(ListItemEntity, { id: param('item') });
    if (!item) return refuse('record.not_found');
    const other = await em.findOne(ListItemEntity, { list: item.list, name: body.name });
    if (other && other.id !== item.id) return taken('name', 'stands in this list already');
    await fork().transactional(async (inner) => {
      await renameEverywhere(inner, item.list, item.name, body.name);
      await inner.nativeUpdate(ListItemEntity, { id: item.id }, body);
    });
    changed();
    return ok(null);
  });

  mount('addActivity', async ({ body: { counts, ...body } }) => {
    if (await fork().findOne(ActivityEntity, { title: body.title, division: body.division }))
      return taken('title', 'there is an activity of this name');
    const id = randomUUID();
    const code = drawRandomCode('activity');
    await fork().insert(ActivityEntity, { id, code, counts: dated(counts), ...body });
    changed();
    return ok({ id });
  });

  mount('saveActivity', async ({ param, body: { counts, ...body } }) => {
    const em = fork();
    const activity = await em.findOne(ActivityEntity, { id: param('activity') });
    if (!activity) return refuse('record.not_found');
    const other = await em.findOne(ActivityEntity, { title: body.title, division: body.division });
    if (other && other.id !== activity.id) return taken('title', 'there is an activity of this name');
    // Whether it counts is dated: what was attended before stays as it was.
    const isSame = inForceAt(activity.counts, clock.now()) === counts;
    const next = isSame ? activity.counts : [...activity.counts, { from: clock.now(), value: counts }];
    await fork().nativeUpdate(ActivityEntity, { id: activity.id }, { ...body, counts: next });
    changed();
    return ok(null);
  });

  mount('addResource', async ({ body }) => {
    const { kind, name } = body;
    if (await fork().findOne(ResourceEntity, { kind, name })) return taken('name', 'is in use already');
    const id = randomUUID();
    await fork().transactional(async (em) => {
      await ensureLabels(em, { 'work-center': [body.workCenter] });
      await em.insert(ResourceEntity, { id, code: drawRandomCode('resource'), ...body });
    });
    changed();
    return ok({ id });
  });

  mount('saveResource', async ({ param, body }) => {
    const em = fork();
    const resource = await em.findOne(ResourceEntity, { id: param('resource') });
    if (!resource || resource.kind !== body.kind) return refuse('record.not_found');
    const other = await em.findOne(ResourceEntity, { kind: body.kind, name: body.name });
    if (other && other.id !== resource.id) return taken('name', 'is in use already');
    await fork().transactional(async (inner) => {
      if (resource.kind === 'work-center')
        await renameEverywhere(inner, 'work-center', resource.name, body.name);
      await inner.nativeUpdate(ResourceEntity, { id: resource.id }, body);
    });
    changed();
    return ok(null);
  });

  mount('addCustomer', async ({ body: { charge, ...body } }) => {
    if (await fork().findOne(CustomerEntity, { name: body.name })) return taken('name', 'is in use already');
    const id = randomUUID();
    await fork().insert(CustomerEntity, { id, ...body, charge: writeCharge(charge) });
    changed();
    return ok({ id });
  });

  mount('saveCustomer', async ({ param, body: { charge, ...body } }) => {
    const em = fork();
    const customer = await em.findOne(CustomerEntity, { id: param('customer') });
    if (!customer) return refuse('record.not_found');
    const other = await em.findOne(CustomerEntity, { name: body.name });
    if (other && other.id !== customer.id) return taken('name', 'is in use already');
    await fork().transactional(async (inner) => {
      await renameEverywhere(inner, 'customer', customer.name, body.name);
      await inner.nativeUpdate(CustomerEntity, { id: customer.id }, { ...body, charge: writeCharge(charge) });
    });
    changed();
    return ok(null);
  });

  mount('addUnit', async ({ body: { once, ...body } }) => {
    const id = once ?? randomUUID();
    const isKept = await fork().transactional(async (em) => {
      await ensureLabels(em, { customer: [body.owner] });
      return insertOnce(em, UnitEntity, { id, ...body }, body);
    });
    changed();
    return isKept ? ok({ id }) : refuse('record.sent_before');
  });

  mount('saveUnit', async ({ param, body }) => {
    const found = await fork().nativeUpdate(UnitEntity, { id: param('unit') }, body);
    changed();
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('addClosedDay', async ({ body }) => {
    await fork().upsert(ClosedDayEntity, body);
    changed();
    return ok(null);
  });

  mount('removeClosedDay', async ({ body }) => {
    const removed = await fork().nativeDelete(ClosedDayEntity, body);
    changed();
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}
