import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Charge, ListName, Settings } from '@wergon/contract/shop';
import type { Policy, TargetId } from '@wergon/core/ledger';
import type { ResourceId } from '@wergon/core/station';
import type { Dated, Instant, LocalDay, Seconds } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';

/** Rules from an instant on, as they are kept: what came later may be missing, and who said them first is not known. */
export type StoredPolicy = {
  readonly from: Instant;
  readonly value: Partial<Policy>;
  readonly by?: string;
  readonly at?: Instant;
};

/** The one shop of this installation. */
export const ShopEntity = defineEntity({
  name: 'Shop',
  tableName: 'shop',
  properties: {
    id: p.integer().primary(),
    name: p.string(),
    zone: p.string(),
    currency: p.string(),
    policy: p.json<readonly StoredPolicy[]>(),
    /** What was chosen other than the defaults. */
    settings: p.json<Partial<Omit<Settings, 'name'>>>().nullable(),
  },
});
export type Shop = InferEntity<typeof ShopEntity>;

export const ActivityEntity = defineEntity({
  name: 'Activity',
  tableName: 'activity',
  properties: {
    id: p.string().$type<TargetId>().primary(),
    title: p.string(),
    /** What it is for, in the shop's own words. */
    description: p.string().default(''),
    counts: p.json<Dated<boolean>>(),
    code: p.string().unique(),
    isPaid: p.boolean().default(true),
    /** The kind of work that belongs here where an estimate leaves it out. */
    takesWork: p.string().$type<WorkType>().nullable(),
    division: p.string().default(''),
    isOff: p.boolean().default(false),
  },
});

export type Activity = InferEntity<typeof ActivityEntity>;

/** One word of one of the shop's lists. Where it is used it stands by its name, so renaming goes everywhere. */
export const ListItemEntity = defineEntity({
  name: 'ListItem',
  tableName: 'list_item',
  uniques: [{ properties: ['list', 'name'] }],
  properties: {
    id: p.string().primary(),
    list: p.string().$type<ListName>(),
    name: p.string(),
    isOff: p.boolean(),
  },
});

/** A work center, or a machine that stands at one. */
export const ResourceEntity = defineEntity({
  name: 'Resource',
  tableName: 'resource',
  uniques: [{ properties: ['kind', 'name'] }],
  properties: {
    id: p.string().$type<ResourceId>().primary(),
    kind: p.string().$type<'work-center' | 'machine'>(),
    name: p.string(),
    workCenter: p.string(),
    asksMachine: p.boolean().default(false),
    code: p.string().unique(),
    isOff: p.boolean(),
  },
});

export const CustomerEntity = defineEntity({
  name: 'Customer',
  tableName: 'customer',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    note: p.string(),
    charge: p.json<Charge>().nullable(),
    isOff: p.boolean(),
  },
});

/** A customer's machine. */
export const UnitEntity = defineEntity({
  name: 'Unit',
  tableName: 'unit',
  properties: {
    id: p.string().primary(),
    type: p.string(),
    maker: p.string(),
    serialNumber: p.string(),
    nameplate: p.string(),
    owner: p.string(),
  },
});
export type Unit = InferEntity<typeof UnitEntity>;

export const ClosedDayEntity = defineEntity({
  name: 'ClosedDay',
  tableName: 'closed_day',
  properties: {
    day: p.integer().$type<LocalDay>().primary(),
    name: p.string(),
    isPaid: p.boolean().default(false),
  },
});

/** How overtime is paid from a day on, as it was entered; without a group to whoever has no rule of their own group. */
export const OvertimeRuleEntity = defineEntity({
  name: 'OvertimeRule',
  tableName: 'overtime_rule',
  properties: {
    fromDay: p.integer().$type<LocalDay>().primary(),
    /** Empty for everybody. */
    payGroup: p.string().primary(),
    rule: p.text(),
    by: p.string().fieldName('said_by'),
    at: p.integer().$type<Instant>(),
  },
});

/** What stands on every station's idle screen, to the end of a day or until it is taken down. */
export const NoticeEntity = defineEntity({
  name: 'Notice',
  tableName: 'notice',
  properties: {
    id: p.string().primary(),
    at: p.integer().$type<Instant>(),
    by: p.string().fieldName('put_by'),
    text: p.string(),
    untilDay: p.integer().$type<LocalDay>().nullable(),
  },
});

/** The demo's clock, which stops with the server and goes on where it stopped. */
export const ClockEntity = defineEntity({
  name: 'Clock',
  tableName: 'demo_clock',
  properties: { id: p.integer().primary(), stoppedAt: p.integer().$type<Instant>() },
});

/** Hours of a machine, or person-hours of a work center, on each weekday from a day on; Monday first. */
export const CapacityEntity = defineEntity({
  name: 'Capacity',
  tableName: 'capacity',
  properties: {
    resource: p.string().$type<ResourceId>().primary(),
    fromDay: p.integer().$type<LocalDay>().primary(),
    seconds: p.json<Seconds[]>().columnType('text'),
  },
});
