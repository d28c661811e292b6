import { defineEntity, p } from '@mikro-orm/core';
import type { PayLayout } from '@wergon/core/pay';

/** What payroll calls a kind of paid time. */
export const PayCodeEntity = defineEntity({
  name: 'PayCode',
  tableName: 'pay_code',
  properties: { kind: p.string().primary(), code: p.string() },
});

/** A form of the pay file. */
export const PayLayoutEntity = defineEntity({
  name: 'PayLayoutRow',
  tableName: 'pay_layout',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    layout: p.json<PayLayout>(),
  },
});
