import fc from 'fast-check';
import { toCents } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import { answerOffer, checkOffer, offerTotal } from './offer.ts';
import type { OfferLine } from './offer.ts';
import type { OrderState } from './orderState.ts';

const line = (id: string, price: number | null, kind: OfferLine['kind'] = 'task'): OfferLine => ({
  id,
  kind,
  text: id,
  seconds: kind === 'task' ? toSeconds(3600) : null,
  price: price === null ? null : toCents(price),
});
const LINES = [line('strip', 100), line('wind', 900), line('wire', 250, 'material'), line('test', null)];

test.each<[state: OrderState, lines: readonly OfferLine[], expected: unknown, why: string]>([
  ['asked', LINES, 1250, 'what has no price is included'],
  ['asked', [], 'offer.no_lines', 'nothing to offer'],
  ['asked', [line('wire', 250, 'material')], 'offer.no_lines', 'material alone is no work'],
  ['asked', [line('test', null)], 'offer.no_price', 'nobody knows what it costs'],
  ['offered', LINES, 'offer.not_asked', 'it is offered already'],
  ['draft', LINES, 'offer.not_asked', 'nobody has asked'],
])('%#: of a %s one', (state, lines, expected) => {
  const checked = checkOffer(state, lines);
  expect(checked.ok ? checked.value : checked.code).toBe(expected);
});

test.each<[state: OrderState, accepted: readonly string[], expected: unknown, why: string]>([
  ['offered', ['strip', 'wind', 'wire', 'test'], 1250, 'the whole'],
  ['offered', ['wind', 'wire'], 1150, 'a part'],
  ['offered', ['test'], 0, 'what was included'],
  ['offered', ['wire'], 'offer.nothing_accepted', 'material alone is no work'],
  ['offered', [], 'offer.nothing_accepted', 'nothing: that is a no'],
  ['offered', ['wind', 'gold'], 'offer.no_such_line', 'a line that was never offered'],
  ['asked', ['wind'], 'offer.not_offered', 'nothing is offered yet'],
  ['accepted', ['wind'], 'offer.not_offered', 'it was answered already'],
])('of a %s one with %j accepted it comes to %j: %s', (state, accepted, expected) => {
  const answered = answerOffer(state, LINES, accepted);
  expect(answered.ok ? answered.value.total : answered.code).toBe(expected);
});

test('what is taken and what is not come to the whole', () => {
  const anyLines = fc.uniqueArray(
    fc.record({
      id: fc.string({ minLength: 1 }),
      price: fc.option(fc.nat(1_000_000)),
      isTaken: fc.boolean(),
    }),
    { selector: ({ id }) => id, minLength: 1, maxLength: 12 },
  );
  fc.assert(
    fc.property(anyLines, (drawn) => {
      const lines = drawn.map(({ id, price }) => line(id, price));
      const accepted = drawn.filter(({ isTaken }) => isTaken).map(({ id }) => id);
      const answered = answerOffer('offered', lines, accepted);
      if (!answered.ok) return expect(accepted).toEqual([]);
      const left = lines.filter(({ id }) => !accepted.includes(id));
      return expect(answered.value.total + offerTotal(left)).toBe(offerTotal(lines));
    }),
  );
});
