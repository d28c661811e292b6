import { z } from 'zod';
import { ORDER_STATES } from '@wergon/core/work';
import type { DeepReadonly } from '../wire/index.ts';
import { day, dayText, instant, onceId, seconds, workOrderId } from '../wire/index.ts';
import { priceText } from './order.ts';

const shortText = z.string().trim().min(1).max(120);
const words = z.string().trim().max(2000).default('');
/** Where an answer goes: a mail address, or whom to call. */
const contact = z.string().trim().max(120).default('');

/** An estimate that the office asks the shop for: what, for whom, until when. */
export const askEstimateSchema = z.strictObject({
  title: shortText,
  customer: shortText,
  words,
  until: dayText.nullable().default(null),
  contact,
  once: onceId,
});

/** What of an offer stands in no task: material and the like in words, how long it holds, and what is said with it. */
export const offerDraftSchema = z.strictObject({
  materials: z.array(z.strictObject({ text: shortText, price: priceText.nullable().default(null) })).max(100),
  words,
  holdsUntil: dayText.nullable().default(null),
  contact,
});
export type OfferDraftInput = z.input<typeof offerDraftSchema>;

/** The lines that the customer takes; a no is a state of the order. */
export const answerOfferSchema = z.strictObject({ accepted: z.array(z.string().max(200)).max(300) });
export const mailOfferSchema = z.strictObject({
  to: z.email('expected a mail address').max(200),
  text: z.string().trim().min(1).max(4000),
  once: onceId,
});

/** Prices are decimal strings; `null`: included. */
const line = z.object({
  id: z.string(),
  kind: z.enum(['task', 'material']),
  text: z.string(),
  seconds: seconds.nullable(),
  price: z.string().nullable(),
});

/** Estimates that are asked for and offered, those due first, and the latest that were answered. */
export const estimatesSchema = z.object({
  estimates: z.array(
    z.object({
      order: workOrderId,
      number: z.string(),
      title: z.string(),
      customer: z.string(),
      state: z.enum(ORDER_STATES),
      askedAt: instant,
      askedBy: z.string(),
      until: day.nullable(),
      /** The latest one. */
      offer: z
        .object({ number: z.string(), at: instant, total: z.string(), holdsUntil: day.nullable() })
        .nullable(),
    }),
  ),
});
export type EstimateJson = DeepReadonly<z.output<typeof estimatesSchema>>['estimates'][number];

/** What was asked of an order, what would be offered now, and what has been offered, the latest first. */
export const orderOffersSchema = z.object({
  ask: z.object({
    at: instant,
    by: z.string(),
    words: z.string(),
    until: day.nullable(),
    contact: z.string(),
  }),
  draft: z.object({
    materials: z.array(z.object({ text: z.string(), price: z.string().nullable() })),
    words: z.string(),
    holdsUntil: day.nullable(),
  }),
  lines: z.array(line),
  total: z.string(),
  offers: z.array(
    z.object({
      id: z.string(),
      number: z.string(),
      at: instant,
      by: z.string(),
      title: z.string(),
      customer: z.string(),
      quantity: z.number(),
      words: z.string(),
      holdsUntil: day.nullable(),
      lines: z.array(line),
      total: z.string(),
      mails: z.array(z.object({ at: instant, to: z.string() })),
      /** What the customer said; `null` while they have not. */
      answer: z
        .object({ at: instant, by: z.string(), accepted: z.array(z.string()), total: z.string() })
        .nullable(),
    }),
  ),
});
export type OrderOffersJson = DeepReadonly<z.output<typeof orderOffersSchema>>;
export type OfferJson = OrderOffersJson['offers'][number];

/** What the demo's mail box holds: nothing leaves the computer. */
export const mailsSchema = z.object({
  mails: z.array(
    z.object({
      id: z.string(),
      at: instant,
      to: z.string(),
      subject: z.string(),
      text: z.string(),
      order: workOrderId,
      offer: z.string(),
    }),
  ),
});
