import { config } from 'zod';
import type { core } from 'zod';

/** What is wrong with a field in the words of a shop: a text may end what begins with the field's name, as in “number is
 *  empty”. Texts of fields that have their own stand beside their schemas. */
function sayPlainly(issue: core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      if (issue.input === undefined || issue.input === null) return 'is missing';
      return KINDS.get(issue.expected);
    case 'too_small':
      return saySmall(issue.origin, Number(issue.minimum), issue.inclusive ?? true);
    case 'too_big':
      return sayBig(issue.origin, Number(issue.maximum), issue.inclusive ?? true);
    case 'invalid_value':
      return `is none of ${issue.values.map(String).join(', ')}`;
    case 'not_multiple_of':
      return 'is not a whole number';
    case 'invalid_format':
      return 'is not written as it should be';
    case 'invalid_union':
      return 'is nothing that is known here';
    default:
      return undefined;
  }
}

/** What a value is not, by the type that was expected. */
const KINDS: ReadonlyMap<string, string> = new Map([
  ['string', 'is not text'],
  ['number', 'is not a number'],
  ['int', 'is not a whole number'],
  ['boolean', 'is neither yes nor no'],
  ['array', 'is not a list'],
  ['object', 'is not a record'],
]);

const saySmall = (origin: string, least: number, isInclusive: boolean): string => {
  if (origin === 'string') return least === 1 ? 'is empty' : `has fewer than ${least} characters`;
  if (origin === 'array') return least === 1 ? 'is empty' : `has fewer than ${least} entries`;
  return isInclusive ? `is less than ${least}` : `is not above ${least}`;
};
const sayBig = (origin: string, most: number, isInclusive: boolean): string => {
  if (origin === 'string') return `has more than ${most} characters`;
  if (origin === 'array') return `has more than ${most} entries`;
  return isInclusive ? `is more than ${most}` : `is not below ${most}`;
};

config({ localeError: sayPlainly });
