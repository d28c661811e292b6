import { PROBLEMS } from '@wergon/contract/wire';
import { keysOf, tableOf } from '@wergon/core/result';

/** What the server refuses with, by its code; the contract has the English. */
export const problems = tableOf(keysOf(PROBLEMS), (code) => PROBLEMS[code][1]);
