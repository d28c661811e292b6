import type { Response } from 'express';
import { fail } from '@wergon/core/result';
import type { Refusal } from '@wergon/core/result';
import type { Problem } from '@wergon/contract/station';
import type { FieldError } from '../ledger/incoming.ts';

/** Every refusal of a route, with its status and its words; RFC 9457 makes the answer of it. */
export const PROBLEMS = {
  'input.bad_json': [400, 'The body is not JSON'],
  'input.too_large': [413, 'The body is too large'],
  'input.wrong_type': [415, 'The body must be application/json'],
  'input.invalid': [422, 'Something in the input is not right'],
  'input.cross_site': [403, 'This request came from another site'],
  'access.not_signed_in': [401, 'Sign in first'],
  'access.wrong_password': [401, 'User name or password is not right'],
  'access.not_allowed': [403, 'You may not do this'],
  'access.already_set_up': [409, 'This shop is set up already'],
  'access.not_set_up': [409, 'This shop is not set up yet'],
  'access.too_many_tries': [429, 'Too many tries; wait a few minutes'],
  'access.wrong_pin': [422, 'This PIN is not right'],
  'access.last_administrator': [409, 'Somebody must stay administrator'],
  'station.not_paired': [401, 'This station is not paired, or no longer'],
  'station.bad_pairing_code': [422, 'No station waits for this code'],
  'reconcile.changed': [409, 'This has changed meanwhile: look at it as it is now'],
  'entries.refused': [422, 'Nothing was recorded: some entries were refused'],
  'record.not_found': [404, 'There is no such record'],
  'record.taken': [409, 'This is in use already'],
  'record.changed': [409, 'Somebody else has changed this meanwhile'],
  'order.no_such_move': [409, 'An order cannot go from this state to that one'],
  'order.no_tasks': [409, 'An order without tasks cannot be released'],
  'order.task_has_labor': [409, 'A task with labor is closed, never deleted'],
  'rate.changes_past': [409, 'This rate changes the cost of days gone by'],
  'import.unknown': [404, 'This import is over; begin it anew'],
  'import.rows_wrong': [422, 'Nothing was stored: some rows are not right'],
  'route.not_found': [404, 'There is no such address'],
  'server.failed': [500, 'The server failed; nothing was recorded'],
} as const satisfies Record<string, readonly [status: number, title: string]>;
export type ProblemCode = keyof typeof PROBLEMS;

/** A refusal with the fields at fault. */
export type RouteRefusal = Refusal<ProblemCode> & { readonly errors?: readonly FieldError[] };

export const refuse = (code: ProblemCode, errors?: readonly FieldError[]): RouteRefusal => ({
  ...fail(code),
  ...(errors ? { errors } : {}),
});

export function problemOf({ code, errors }: Pick<RouteRefusal, 'code' | 'errors'>): Problem {
  const [status, title] = PROBLEMS[code];
  return { type: `urn:wergon:${code}`, title, status, ...(errors ? { errors: [...errors] } : {}) };
}

export function sendProblem(res: Response, refusal: Pick<RouteRefusal, 'code' | 'errors'>): void {
  const problem = problemOf(refusal);
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}
