import type { z } from 'zod';
import type { Route } from './route.ts';
import { ACCESS_ROUTES } from './table/access.ts';
import { SHOP_ROUTES } from './table/shop.ts';
import { PEOPLE_ROUTES } from './table/people.ts';
import { WORK_ROUTES } from './table/work.ts';
import { LEDGER_ROUTES } from './table/ledger.ts';
import { COMPARE_ROUTES } from './table/compare.ts';
import { FLOOR_ROUTES } from './table/floor.ts';
import { STATION_ROUTES } from './table/station.ts';
import { LOOSE_ENDS_ROUTES } from './table/looseEnds.ts';
import { TAPE_ROUTES } from './table/tape.ts';
import { TIMESHEET_ROUTES } from './table/timesheet.ts';
import { APPROVAL_ROUTES } from './table/approval.ts';
import { ATTENDANCE_ROUTES } from './table/attendance.ts';
import { PAY_ROUTES } from './table/pay.ts';
import { EXCHANGE_ROUTES } from './table/exchange.ts';
import { LABELS_ROUTES } from './table/labels.ts';
import { APP_ROUTES } from './table/app.ts';

/** Every route, with the one right that it asks for. Server, pages and the OpenAPI document are made from it. */
export const ROUTES = {
  ...ACCESS_ROUTES,
  ...SHOP_ROUTES,
  ...PEOPLE_ROUTES,
  ...WORK_ROUTES,
  ...LEDGER_ROUTES,
  ...COMPARE_ROUTES,
  ...FLOOR_ROUTES,
  ...STATION_ROUTES,
  ...LOOSE_ENDS_ROUTES,
  ...TAPE_ROUTES,
  ...TIMESHEET_ROUTES,
  ...APPROVAL_ROUTES,
  ...ATTENDANCE_ROUTES,
  ...PAY_ROUTES,
  ...EXCHANGE_ROUTES,
  ...LABELS_ROUTES,
  ...APP_ROUTES,
} as const satisfies Record<string, Route>;

export type RouteName = keyof typeof ROUTES;
type Of<Name extends RouteName> = (typeof ROUTES)[Name];
/** What a route asks of its caller. */
export type CallerOf<Name extends RouteName> = Of<Name>['caller'];
/** What a caller sends. */
export type BodyOf<Name extends RouteName> =
  Of<Name> extends { body: infer Body extends z.ZodType } ? z.input<Body> : undefined;
/** What a handler gets. */
export type ParsedBodyOf<Name extends RouteName> =
  Of<Name> extends { body: infer Body extends z.ZodType } ? z.output<Body> : undefined;
export type ParsedQueryOf<Name extends RouteName> =
  Of<Name> extends { query: infer Query extends z.ZodType } ? z.output<Query> : undefined;
export type ResponseOf<Name extends RouteName> = z.output<Of<Name>['response']>;

/** An answer that is not of this build's contract: the page is older than the server, or newer. */
export class UnreadableAnswer extends Error {
  override readonly name = 'UnreadableAnswer';
}

/** Reads an answer with the schema of its route. Throws `UnreadableAnswer`. */
export function readResponse<Name extends RouteName>(name: Name, json: unknown): ResponseOf<Name> {
  const { response }: Route = ROUTES[name];
  const read = response.safeParse(json);
  if (!read.success) throw new UnreadableAnswer(`${name}: ${read.error.message}`);
  // It is the schema of this very route that has read it.
  return read.data as ResponseOf<Name>;
}

/** The live stream is no JSON route; it stands here so that its path and its callers are named once. */
export const STREAM_PATHS = { desk: '/api/stream', station: '/api/station/stream' } as const;
