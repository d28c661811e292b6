import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Policy } from '@wergon/core/ledger';
import type { Dated } from '@wergon/core/time';

/** The one shop of this installation. */
export const ShopEntity = defineEntity({
  name: 'Shop',
  tableName: 'shop',
  properties: {
    id: p.integer().primary(),
    name: p.string(),
    zone: p.string(),
    currency: p.string(),
    policy: p.json<Dated<Policy>>(),
  },
});
export type Shop = InferEntity<typeof ShopEntity>;

export const ActivityEntity = defineEntity({
  name: 'Activity',
  tableName: 'activity',
  properties: {
    id: p.string().primary(),
    title: p.string(),
    counts: p.json<Dated<boolean>>(),
    code: p.string().unique(),
  },
});

/** The demo's clock, which stops with the server and goes on where it stopped. */
export const ClockEntity = defineEntity({
  name: 'Clock',
  tableName: 'demo_clock',
  properties: { id: p.integer().primary(), stoppedAt: p.integer() },
});
