import { z } from 'zod';
import { firstRunSchema, newUserSchema, sessionSchema, signInSchema, startSchema } from '../access/index.ts';
import type { Right } from '../access/index.ts';
import { floorSchema } from '../floor/index.ts';
import {
  createdSchema,
  leaveSchema,
  newGradeSchema,
  newRateSchema,
  newTechnicianSchema,
  peopleSchema,
} from '../people/index.ts';
import { looseEndsSchema } from '../reconcile/index.ts';
import { newActivitySchema, railSchema, shopSchema } from '../shop/index.ts';
import {
  batchResultSchema,
  batchSchema,
  directorySchema,
  newStationSchema,
  pairSchema,
  pairingSchema,
  stationsSchema,
} from '../station/index.ts';
import { dayText } from '../wire/index.ts';
import {
  changeOrderStateSchema,
  lineDetailSchema,
  lineQuerySchema,
  newOrderSchema,
  orderSchema,
  workSchema,
} from '../work/index.ts';

/** Who may call a route: anybody, a paired station, whoever is signed in, or whoever has a right. */
export type Caller = 'public' | 'station' | 'signed-in' | Right;

export type Route = {
  readonly method: 'get' | 'post';
  readonly path: string;
  readonly caller: Caller;
  readonly summary: string;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  readonly response: z.ZodType;
};

const nothing = z.null();
const day = z.strictObject({ day: dayText.exactOptional() });
const days = z.strictObject({ from: dayText.exactOptional(), to: dayText.exactOptional() });
const rate = z.strictObject({ rate: z.string() });

/** Every route, with the one right that it asks for. Server, pages and the OpenAPI document are made from it. */
export const ROUTES = {
  start: {
    method: 'get',
    path: '/api/start',
    caller: 'public',
    summary: 'Whether a first run is due',
    response: startSchema,
  },
  firstRun: {
    method: 'post',
    path: '/api/first-run',
    caller: 'public',
    summary: 'Set up the shop and its first supervisor',
    body: firstRunSchema,
    response: sessionSchema,
  },
  signIn: {
    method: 'post',
    path: '/api/sign-in',
    caller: 'public',
    summary: 'Sign in at the desk',
    body: signInSchema,
    response: sessionSchema,
  },
  signOut: {
    method: 'post',
    path: '/api/sign-out',
    caller: 'signed-in',
    summary: 'End the session',
    response: nothing,
  },
  session: {
    method: 'get',
    path: '/api/session',
    caller: 'signed-in',
    summary: 'Who is signed in',
    response: sessionSchema,
  },
  addUser: {
    method: 'post',
    path: '/api/users',
    caller: 'shop.change',
    summary: 'Add a desk user',
    body: newUserSchema,
    response: createdSchema,
  },
  rail: {
    method: 'get',
    path: '/api/rail',
    caller: 'signed-in',
    summary: 'Live figures of the places',
    response: railSchema,
  },

  floor: {
    method: 'get',
    path: '/api/floor',
    caller: 'floor.see',
    summary: 'Who is on what, with one day of stretches',
    query: day,
    response: floorSchema,
  },
  work: {
    method: 'get',
    path: '/api/work',
    caller: 'work.see',
    summary: 'All orders, actual against estimate',
    response: workSchema,
  },
  order: {
    method: 'get',
    path: '/api/work/:order',
    caller: 'work.see',
    summary: 'One order with its tasks and labor lines',
    response: orderSchema,
  },
  addOrder: {
    method: 'post',
    path: '/api/work',
    caller: 'work.change',
    summary: 'Add a work order',
    body: newOrderSchema,
    response: createdSchema,
  },
  changeOrderState: {
    method: 'post',
    path: '/api/work/:order/state',
    caller: 'work.change',
    summary: 'Release, hold or close an order',
    body: changeOrderStateSchema,
    response: nothing,
  },
  line: {
    method: 'get',
    path: '/api/ledger/line',
    caller: 'ledger.see',
    summary: 'What a labor line is made of',
    query: lineQuerySchema,
    response: lineDetailSchema,
  },
  deskEntries: {
    method: 'post',
    path: '/api/ledger/entries',
    caller: 'ledger.correct',
    summary: 'Record entries and corrections from the desk, all or none',
    body: batchSchema,
    response: batchResultSchema,
  },
  looseEnds: {
    method: 'get',
    path: '/api/reconcile',
    caller: 'reconcile.see',
    summary: 'Loose ends, refused entries and unread scans',
    query: days,
    response: looseEndsSchema,
  },

  people: {
    method: 'get',
    path: '/api/people',
    caller: 'people.see',
    summary: 'Technicians, their badges, and grades',
    response: peopleSchema,
  },
  addTechnician: {
    method: 'post',
    path: '/api/people',
    caller: 'people.change',
    summary: 'Add a technician with a badge',
    body: newTechnicianSchema,
    response: createdSchema,
  },
  leave: {
    method: 'post',
    path: '/api/people/:technician/leave',
    caller: 'people.change',
    summary: 'Say when a technician leaves',
    body: leaveSchema,
    response: nothing,
  },
  addRate: {
    method: 'post',
    path: '/api/people/:technician/rates',
    caller: 'rates.see',
    summary: 'Add a cost rate from a day on',
    body: newRateSchema,
    response: rate,
  },
  addGrade: {
    method: 'post',
    path: '/api/grades',
    caller: 'rates.see',
    summary: 'Add a grade with its standard rate',
    body: newGradeSchema,
    response: createdSchema,
  },

  shop: {
    method: 'get',
    path: '/api/shop',
    caller: 'shop.see',
    summary: 'Settings, activities and action codes',
    response: shopSchema,
  },
  addActivity: {
    method: 'post',
    path: '/api/shop/activities',
    caller: 'shop.change',
    summary: 'Add an indirect activity',
    body: newActivitySchema,
    response: createdSchema,
  },
  stations: {
    method: 'get',
    path: '/api/stations',
    caller: 'shop.see',
    summary: 'All stations',
    response: stationsSchema,
  },
  addStation: {
    method: 'post',
    path: '/api/stations',
    caller: 'shop.change',
    summary: 'Add a station and get its pairing code',
    body: newStationSchema,
    response: pairingSchema,
  },
  pairAgain: {
    method: 'post',
    path: '/api/stations/:station/pairing',
    caller: 'shop.change',
    summary: 'Get a new pairing code',
    response: pairingSchema,
  },
  revokeStation: {
    method: 'post',
    path: '/api/stations/:station/revoke',
    caller: 'shop.change',
    summary: 'Take a station its token',
    response: nothing,
  },

  pair: {
    method: 'post',
    path: '/api/station/pair',
    caller: 'public',
    summary: 'Pair this device with a code from the desk',
    body: pairSchema,
    response: z.strictObject({ id: z.string(), name: z.string() }),
  },
  directory: {
    method: 'get',
    path: '/api/station/directory',
    caller: 'station',
    summary: 'What a station must know',
    response: directorySchema,
  },
  stationEntries: {
    method: 'post',
    path: '/api/station/entries',
    caller: 'station',
    summary: 'Record a batch of entries',
    body: batchSchema,
    response: batchResultSchema,
  },
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
