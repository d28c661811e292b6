import type { Response } from 'express';
import type { EditErrorCode } from '@wergon/core/tape';
import { fail } from '@wergon/core/result';
import type { Refusal } from '@wergon/core/result';
import type { Problem, FieldProblem } from '@wergon/contract/wire';

/** Every refusal of a route, with its status and its words; RFC 9457 makes the answer of it. */
export const PROBLEMS = {
  'input.bad_request': [400, 'The request cannot be read'],
  'input.bad_range': [416, 'There is no such part of it'],
  'input.wrong_host': [403, 'This server is not called by that name'],
  'input.bad_json': [400, 'The body is not JSON'],
  'input.too_large': [413, 'The body is too large'],
  'input.wrong_type': [415, 'The body must be application/json'],
  'input.invalid': [422, 'Something in the input is not right'],
  'input.cross_site': [403, 'This request came from another site'],
  'access.not_signed_in': [401, 'Sign in first'],
  'access.wrong_password': [401, 'User name or password is not right'],
  'access.not_allowed': [403, 'You may not do this'],
  'access.password_due': [403, 'Choose a password of your own first'],
  'access.wrong_own_password': [422, 'Your password is not right'],
  'access.not_proved': [403, 'Scan your badge or give your PIN first'],
  'access.wrong_badge': [422, 'This badge is not right'],
  'access.already_set_up': [409, 'This shop is set up already'],
  'access.not_set_up': [409, 'This shop is not set up yet'],
  'access.too_many_tries': [429, 'Too many tries; wait a few minutes'],
  'access.wrong_pin': [422, 'This PIN is not right'],
  'access.last_administrator': [409, 'Somebody must stay administrator'],
  'station.not_paired': [401, 'This station is not paired, or no longer'],
  'station.bad_pairing_code': [422, 'This code is not valid, or not any more'],
  'reconcile.changed': [409, 'This has changed meanwhile: look at it as it is now'],
  'reconcile.other_people': [403, 'This is the time of somebody who is not yours to put right'],
  'edit.block_changed': [409, 'This block has changed meanwhile: look at it as it is now'],
  'edit.ends_before_start': [422, 'It would end before it starts'],
  'edit.future': [422, 'It would lie in the future'],
  'edit.overlap': [409, 'It would lie over other work of the same person'],
  'edit.on_break': [409, 'It would lie over a break'],
  'edit.too_long': [422, 'It would be longer than a stint may be in this shop'],
  'edit.closed_day': [409, 'It lies in a closed pay period'],
  'edit.closed_order': [409, 'Its order is closed'],
  'edit.nothing': [409, 'Nothing would change'],
  'edit.not_possible': [409, 'A rule cuts the time here: first say when the shift ended'],
  'edit.presence_overlap': [409, 'It would lie over another shift or break of the same person'],
  'edit.shift_too_long': [422, 'It would be longer than a shift may be in this shop'],
  'edit.work_is_there': [409, 'Other scans begin or end it there: put those right first'],
  'hours.day_full': [422, 'A day would hold more than it has'],
  'approve.own': [403, 'Nobody approves their own time'],
  'approve.changed': [409, 'This has changed since it was shown: look at it again'],
  'approve.open': [409, 'This is still going on'],
  'approve.closed': [409, 'This lies in a closed pay period'],
  'pay.no_such_period': [404, 'No pay period begins on this day'],
  'pay.not_over': [409, 'This pay period is not over yet'],
  'pay.earlier_open': [409, 'An earlier pay period is still open'],
  'pay.closed': [409, 'This pay period is closed already'],
  'pay.not_last_closed': [409, 'Only the last closed pay period can be reopened'],
  'entries.refused': [422, 'Nothing was recorded: some entries were refused'],
  'record.not_found': [404, 'There is no such record'],
  'record.taken': [409, 'This is in use already'],
  'record.sent_before': [409, 'This was recorded already, with something else in it'],
  'record.changed': [409, 'Somebody else has changed this meanwhile'],
  'order.no_such_move': [409, 'An order cannot go from this state to that one'],
  'order.no_tasks': [409, 'An order without tasks cannot be released'],
  'order.task_has_labor': [409, 'A task with labor is closed, never deleted'],
  'order.too_many_papers': [409, 'This order has as many pictures and papers as it can hold'],
  'rate.changes_past': [409, 'This rate changes the cost of days gone by'],
  'backup.off': [409, 'This server makes no backups'],
  'backup.running': [409, 'A backup is being made already'],
  'import.unknown': [404, 'This import is over; begin it anew'],
  'import.rows_wrong': [422, 'Nothing was stored: some rows are not right'],
  'route.not_found': [404, 'There is no such address'],
  'server.cannot_write': [503, 'The server’s disk cannot be written; nothing was recorded'],
  'server.busy': [503, 'The server has too much to read just now; try again'],
  'server.failed': [500, 'The server failed; nothing was recorded'],
} as const satisfies Record<EditErrorCode, readonly [status: number, title: string]> &
  Record<string, readonly [status: number, title: string]>;
export type ProblemCode = keyof typeof PROBLEMS;

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
