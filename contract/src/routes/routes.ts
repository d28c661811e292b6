import type { z } from 'zod';
import type { Route } from './route.ts';
import { ACCESS_ROUTES } from './table/access.ts';
import { EXCHANGE_ROUTES } from './table/exchange.ts';
import { FLOOR_ROUTES } from './table/floor.ts';
import { PAY_ROUTES } from './table/pay.ts';
import { RECONCILE_ROUTES } from './table/reconcile.ts';
import { PEOPLE_ROUTES } from './table/people.ts';
import { SHOP_ROUTES } from './table/shop.ts';
import { STATION_ROUTES } from './table/station.ts';
import { WORK_ROUTES } from './table/work.ts';

/** Every route, with the one right that it asks for. Server, pages and the OpenAPI document are made from it. */
export const ROUTES = {
  ...ACCESS_ROUTES,
  ...FLOOR_ROUTES,
  ...RECONCILE_ROUTES,
  ...PAY_ROUTES,
  ...WORK_ROUTES,
  ...PEOPLE_ROUTES,
  ...SHOP_ROUTES,
  ...EXCHANGE_ROUTES,
  ...STATION_ROUTES,
} as const satisfies Record<string, Route>;

export type RouteName = keyof typeof ROUTES;
type Of<Name extends RouteName> = (typeof ROUTES)[Name];
/** What a caller sends. */
export type BodyOf<Name extends RouteName> =
  Of<Name> extends { body: infer Body extends z.ZodType } ? z.input<Body> : undefined;
/** What a handler gets. */
export type ParsedBodyOf<Name extends RouteName> =
  Of<Name> extends { body: infer Body extends z.ZodType } ? z.output<Body> : undefined;
export type ParsedQueryOf<Name extends RouteName> =
  Of<Name> extends { query: infer Query extends z.ZodType } ? z.output<Query> : undefined;
export type ResponseOf<Name extends RouteName> = z.output<Of<Name>['response']>;

/** The live stream is no JSON route; it stands here so that its path and its callers are named once. */
export const STREAM_PATHS = { desk: '/api/stream', station: '/api/station/stream' } as const;
