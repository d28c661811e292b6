import type { FieldProblem } from '@wergon/contract/wire';
import { problemOf, refuse } from '../http/index.ts';
import type { RouteRefusal } from '../http/index.ts';
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

/** Why nothing was recorded, if one of the entries was refused. */
export function refusalOf(outcomes: readonly Outcome[]): RouteRefusal | undefined {
  const errors = outcomes.flatMap((outcome): readonly FieldProblem[] =>
    outcome.result === 'refused' ? outcome.errors : [],
  );
  return errors.length > 0 ? refuse('entries.refused', errors) : undefined;
}
