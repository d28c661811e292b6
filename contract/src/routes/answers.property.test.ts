import fc from 'fast-check';
import { z } from 'zod';
import { cents, day, instant, seconds } from '../wire/index.ts';
import { ROUTES } from './routes.ts';
import type { Route } from './route.ts';

// What the server writes is what a page reads: any answer that a route's schema allows is the same after it has crossed the
// wire both ways.

const instants = fc
  .integer({ min: 0, max: 7_000_000_000 })
  .map((at) => new Date(at * 1000).toISOString().replace('.000', ''));
const days = instants.map((text) => text.slice(0, 10));
const ids = fc.string({ unit: 'grapheme-ascii', minLength: 1, maxLength: 8 });

/** Any JSON that a schema reads. */
function jsonOf(schema: z.core.$ZodType): fc.Arbitrary<unknown> {
  if (schema === instant) return instants;
  if (schema === day) return days;
  if (schema === cents)
    return fc.integer({ min: -9_999_999, max: 9_999_999 }).map((count) => (count / 100).toFixed(2));
  if (schema === seconds) return fc.integer({ min: 0, max: 10_000_000 });
  const { def } = (schema as z.core.$ZodTypes)._zod;
  switch (def.type) {
    case 'object':
      return fc.record(
        Object.fromEntries(Object.entries(def.shape).map(([key, part]) => [key, jsonOf(part)])),
        {
          requiredKeys: Object.entries(def.shape).flatMap(([key, part]) => (isOptional(part) ? [] : [key])),
        },
      );
    case 'array':
      return fc.array(jsonOf(def.element), { maxLength: 2 });
    case 'record': {
      const keys = (def.keyType as z.core.$ZodTypes)._zod.def;
      const key = keys.type === 'enum' ? fc.constantFrom(...Object.values(keys.entries).map(String)) : ids;
      const isWhole = keys.type === 'enum' && !isOptional(def.valueType) && !('mode' in def);
      return isWhole
        ? fc.record(
            Object.fromEntries(Object.values(keys.entries).map((each) => [each, jsonOf(def.valueType)])),
          )
        : fc.dictionary(key, jsonOf(def.valueType), { maxKeys: 2 });
    }
    case 'enum':
      return fc.constantFrom(...Object.values(def.entries));
    case 'literal':
      return fc.constantFrom(...def.values);
    case 'union':
      return fc.oneof(...def.options.map(jsonOf));
    case 'nullable':
      return fc.option(jsonOf(def.innerType));
    case 'optional':
    case 'default':
    case 'readonly':
      return jsonOf(def.innerType);
    // Ids are the only other codecs of answers.
    case 'pipe':
      return ids;
    case 'string':
      // Some are read as days, though they stay text.
      return fc.oneof(fc.string({ unit: fc.constantFrom(...'abcXYZ09'), minLength: 1, maxLength: 6 }), days);
    case 'number':
      return fc.integer({ min: 5, max: 10 });
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    default:
      throw new Error(`no answer holds a ${def.type}`);
  }
}
const isOptional = (schema: z.core.$ZodType): boolean =>
  (schema as z.core.$ZodTypes)._zod.def.type === 'optional';

/** Answers hold settings, which are asked for with limits; what breaks one of them is no answer. */
const isAnswer = (schema: z.ZodType, json: unknown) => schema.safeParse(json).success;

const routes = Object.entries(ROUTES).map(([name, route]): [string, Route] => [name, route]);
test.each(routes)(
  `%s: an answer is the same after it has crossed the wire both ways`,
  (_name, { response }) => {
    let count = 0;
    fc.assert(
      fc.property(jsonOf(response), (json) => {
        if (!isAnswer(response, json)) return;
        count += 1;
        const read: unknown = response.parse(json);
        const written: unknown = JSON.parse(JSON.stringify(z.encode(response, read)));
        expect(response.parse(written)).toEqual(read);
      }),
      { numRuns: 30 },
    );
    expect(count).toBeGreaterThan(0);
  },
);
