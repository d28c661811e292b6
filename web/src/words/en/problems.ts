import { PROBLEMS } from '@wergon/contract/wire';
import type { ProblemCode } from '@wergon/contract/wire';

/** What the server refuses with, by its code; the contract has the English. */
export const problems = Object.fromEntries(
  Object.entries(PROBLEMS).map(([code, [, title]]) => [code, title]),
) as Readonly<Record<ProblemCode, string>>;
