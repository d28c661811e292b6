import { defineEntity, p } from '@mikro-orm/core';
import type { PayLayout } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay, Seconds } from '@wergon/core/time';

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

/** What of a week somebody is paid at the least, from a day on; none where it is nothing. */
export const GuaranteeEntity = defineEntity({
  name: 'Guarantee',
  tableName: 'guarantee',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    fromDay: p.integer().$type<LocalDay>().primary(),
    seconds: p.integer().$type<Seconds>(),
  },
});
