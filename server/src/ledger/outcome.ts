import { problemOf } from '../http/index.ts';
import type { Outcome } from './incoming.ts';

/** An outcome as it is answered. */
export const writeOutcome = (outcome: Outcome) =>
  outcome.result === 'refused'
    ? {
        id: outcome.id,
        result: outcome.result,
        problem: problemOf({ code: 'input.invalid', errors: outcome.errors }),
      }
    : outcome;
