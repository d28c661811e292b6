import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Cents } from '@wergon/core/money';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { OfferLine, WorkOrderId } from '@wergon/core/work';

/** An estimate that was asked for, with what of its offer stands in no task. */
export const EstimateAskEntity = defineEntity({
  name: 'EstimateAsk',
  tableName: 'estimate_ask',
  properties: {
    order: p.string().$type<WorkOrderId>().fieldName('work_order').primary(),
    at: p.integer().$type<Instant>(),
    by: p.string().fieldName('asked_by'),
    words: p.text(),
    untilDay: p.integer().$type<LocalDay>().nullable(),
    contact: p.string(),
    materials: p.json<readonly { readonly text: string; readonly price: Cents | null }[]>(),
    offerWords: p.text(),
    holdsUntilDay: p.integer().$type<LocalDay>().nullable(),
    /** When the customer took it or it was lost; absent while it is open. */
    answeredAt: p.integer().$type<Instant>().nullable().index(),
  },
});
export type EstimateAsk = InferEntity<typeof EstimateAskEntity>;

/** What was offered, as it was then. */
type OfferBody = {
  readonly title: string;
  readonly customer: string;
  readonly quantity: number;
  readonly words: string;
  readonly holdsUntil: LocalDay | null;
  readonly lines: readonly OfferLine[];
  readonly total: Cents;
};

/** An offer; it never changes but for the customer's answer. */
export const OfferEntity = defineEntity({
  name: 'Offer',
  tableName: 'offer',
  properties: {
    id: p.string().primary(),
    order: p.string().$type<WorkOrderId>().fieldName('work_order').index(),
    number: p.string().unique(),
    /** The first of its order is 1. */
    place: p.integer(),
    at: p.integer().$type<Instant>(),
    by: p.string().fieldName('made_by'),
    body: p.json<OfferBody>(),
    answer: p
      .json<{
        readonly at: Instant;
        readonly by: string;
        readonly accepted: readonly string[];
        readonly total: Cents;
      }>()
      .nullable(),
  },
});
export type Offer = InferEntity<typeof OfferEntity>;

/** Mail that the demo has put into its own mail box. */
export const MailEntity = defineEntity({
  name: 'Mail',
  tableName: 'mail',
  properties: {
    id: p.string().primary(),
    at: p.integer().$type<Instant>(),
    to: p.string(),
    subject: p.string(),
    text: p.text(),
    order: p.string().$type<WorkOrderId>().fieldName('work_order'),
    offer: p.string().index(),
  },
});
