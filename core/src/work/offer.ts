import type { Cents } from '../money/index.ts';
import { sumCents } from '../money/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import type { Seconds } from '../time/index.ts';
import type { OrderState } from './orderState.ts';

/** A line of an offer: a task with its hours, or material and the like in words. Without a price it is included. */
export type OfferLine = {
  readonly id: string;
  readonly kind: 'task' | 'material';
  readonly text: string;
  /** Estimated; `null` of material, and of a task without an estimate. */
  readonly seconds: Seconds | null;
  /** In cents. */
  readonly price: Cents | null;
};

export const OFFER_ERROR_CODES = [
  'offer.no_lines',
  'offer.no_price',
  'offer.not_asked',
  'offer.not_offered',
  'offer.nothing_accepted',
  'offer.no_such_line',
] as const;
export type OfferErrorCode = (typeof OFFER_ERROR_CODES)[number];

/** What lines come to, in cents. Source: docs/orders.md, offers. */
export const offerTotal = (lines: readonly OfferLine[]): Cents =>
  sumCents(lines.map(({ price }) => ({ cost: price })));

/** Whether an estimate can be offered, and for how much: it was asked for, has a task, and says what it costs. */
export function checkOffer(state: OrderState, lines: readonly OfferLine[]): Result<Cents, OfferErrorCode> {
  if (state !== 'asked') return fail('offer.not_asked');
  if (!lines.some(({ kind }) => kind === 'task')) return fail('offer.no_lines');
  return lines.some(({ price }) => price !== null) ? ok(offerTotal(lines)) : fail('offer.no_price');
}

/** What a customer takes of an offer: the lines, and what they come to. At least one task is among them, or there is
 *  nothing to do. `accepted` names lines. */
export function answerOffer(
  state: OrderState,
  lines: readonly OfferLine[],
  accepted: readonly string[],
): Result<{ readonly taken: readonly OfferLine[]; readonly total: Cents }, OfferErrorCode> {
  if (state !== 'offered') return fail('offer.not_offered');
  const unknown = accepted.findIndex((id) => !lines.some((line) => line.id === id));
  if (unknown >= 0) return fail('offer.no_such_line', { field: `accepted[${unknown}]` });
  const taken = lines.filter(({ id }) => accepted.includes(id));
  if (!taken.some(({ kind }) => kind === 'task'))
    return fail('offer.nothing_accepted', { field: 'accepted' });
  return ok({ taken, total: offerTotal(taken) });
}
