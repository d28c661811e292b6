import type { Response } from 'express';
import { fail } from '@wergon/core/result';
import type { Refusal } from '@wergon/core/result';
import { PROBLEMS } from '@wergon/contract/wire';
import type { FieldProblem, Problem, ProblemCode } from '@wergon/contract/wire';

/** A refusal with the fields at fault. */
export type RouteRefusal = Refusal<ProblemCode> & { readonly errors?: readonly FieldProblem[] };

export const refuse = (code: ProblemCode, errors?: readonly FieldProblem[]): RouteRefusal => ({
  ...fail(code),
  ...(errors ? { errors } : {}),
});

export function problemOf({ code, errors }: Pick<RouteRefusal, 'code' | 'errors'>): Problem {
  const [status, title] = PROBLEMS[code];
  return { type: `urn:wergon:${code}`, title, status, ...(errors ? { errors: [...errors] } : {}) };
}

/** Answers that count as a wrong try at somebody's secret. */
const WRONG_TRIES: ReadonlySet<ProblemCode> = new Set<ProblemCode>([
  'access.wrong_password',
  'access.wrong_own_password',
  'access.wrong_badge',
  'station.bad_pairing_code',
]);

export function sendProblem(res: Response, refusal: Pick<RouteRefusal, 'code' | 'errors'>): void {
  if (WRONG_TRIES.has(refusal.code)) res.locals['isWrongTry'] = true;
  const problem = problemOf(refusal);
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}
