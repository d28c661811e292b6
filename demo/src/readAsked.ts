import { parseArgs } from 'node:util';

/** What `npm run demo` was asked for. */
export type Asked = {
  /** A shop of another size than the usual one. */
  readonly size: { readonly people: number; readonly weeks: number } | undefined;
  readonly isFresh: boolean;
  readonly isDataOnly: boolean;
};

const LIMITS = { people: [1, 500], weeks: [1, 260] } as const;
const USUAL = { people: 26, weeks: 10 };

const wholeOf = (name: keyof typeof LIMITS, text: string | undefined): number => {
  const [least, most] = LIMITS[name];
  const count = text === undefined ? USUAL[name] : Number(text);
  if (!Number.isInteger(count) || count < least || count > most)
    throw new RangeError(`--${name} takes a whole number from ${least} to ${most}`);
  return count;
};

/** Reads the options of the demo: `--people 200 --weeks 52`, `--fresh`, `--only-data`. Throws what to say of one that cannot
 *  be read. */
export function readAsked(args: readonly string[]): Asked {
  const { values } = parseArgs({
    args: [...args],
    options: {
      people: { type: 'string' },
      weeks: { type: 'string' },
      fresh: { type: 'boolean' },
      'only-data': { type: 'boolean' },
    },
  });
  const { people, weeks } = values;
  return {
    size:
      people === undefined && weeks === undefined
        ? undefined
        : { people: wholeOf('people', people), weeks: wholeOf('weeks', weeks) },
    isFresh: values.fresh ?? false,
    isDataOnly: values['only-data'] ?? false,
  };
}
