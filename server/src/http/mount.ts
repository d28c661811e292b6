import { isRecord } from '@wergon/core/result';
import { createShared } from './shared.ts';
import { whoOf } from './who.ts';
import type { StandardId, WorkOrderId } from '@wergon/core/work';
import type { BadgeId, ResourceId } from '@wergon/core/station';
import type { TechnicianId } from '@wergon/core/people';
import type { EntryId, TargetId } from '@wergon/core/ledger';
import type { DeepReadonly } from '@wergon/contract/wire';
import express from 'express';
import type { Express, Request, RequestHandler, Response } from 'express';
import { fieldProblemsOf, formatPath, findIllFormed, isIllFormed } from '@wergon/contract/wire';
import { ROUTES } from '@wergon/contract/routes';
import type {
  Caller,
  ParsedBodyOf,
  ParsedQueryOf,
  CallerOf,
  ResponseOf,
  Route,
  RouteName,
} from '@wergon/contract/routes';
import type { z } from 'zod';
import type { Who, WhoOf } from './who.ts';
import type { Context } from './context.ts';
import type { ReadAnswer, Readers } from './apart.ts';
import { plainWho } from './apart.ts';
import { refuse, sendProblem } from './problem.ts';
import type { RouteRefusal } from './problem.ts';

/** What the names in paths stand for; all others are ids of plain records. */
type Ids = {
  readonly order: WorkOrderId;
  readonly technician: TechnicianId;
  readonly task: TargetId;
  readonly activity: TargetId;
  readonly badge: BadgeId;
  readonly resource: ResourceId;
  readonly standard: StandardId;
  readonly request: EntryId;
  readonly entry: EntryId;
};
type IdOf<Param extends string> = Param extends keyof Ids ? Ids[Param] : string;
/** The names in a path, `order` in `/api/work/:order/unapproved`. */
type ParamOf<Path extends string> = Path extends `${string}:${infer Param}/${infer Rest}`
  ? Param | ParamOf<Rest>
  : Path extends `${string}:${infer Param}`
    ? Param
    : never;
type Path<Name extends RouteName> = (typeof ROUTES)[Name]['path'];

export type Call<Name extends RouteName> = {
  readonly body: ParsedBodyOf<Name>;
  readonly query: ParsedQueryOf<Name>;
  /** An id in the path by its name, well-formed and short. Whether there is such a record, whoever looks it up finds out. */
  readonly param: <Param extends ParamOf<Path<Name>>>(name: Param) => IdOf<Param>;
  /** Who calls: of a station's route a station, of the desk's whoever is signed in. */
  readonly who: WhoOf<CallerOf<Name>>;
  /** Whether whoever calls is told of a person. */
  readonly sees: Sees;
  readonly req: Request;
  readonly res: Response;
};

export type Handler<Name extends RouteName> = (
  call: Call<Name>,
) => Promise<{ readonly ok: true; readonly value: DeepReadonly<ResponseOf<Name>> } | RouteRefusal>;

export type Mount = <Name extends RouteName>(name: Name, handle: Handler<Name>) => void;

/** Finds out who sent a request. */
export type Identify = (req: Request) => Promise<Who>;

/** Whether a user is told of a person. */
export type Sees = (id: TechnicianId) => boolean;

type Around = {
  readonly identify: Identify;
  /** Of whom somebody is told. */
  readonly sightOf: (who: Who) => Promise<Sees>;
  readonly limits: Partial<Record<RouteName, readonly RequestHandler[]>>;
  /** Absent where no read is answered apart. */
  readonly readers?: Readers | undefined;
};

const MAX_BODY = '1mb';

/** Mounts routes of the contract: each asks for its one right, reads its input with its schema, and answers with its
 *  value or with a problem. */
export function createMount(
  app: Express,
  { clock, live }: Context,
  { identify, sightOf, limits, readers }: Around,
): Mount {
  const shared = createShared(live.version);
  return (name, handle) => {
    const route: Route = ROUTES[name];
    const before: RequestHandler[] = [];
    if (route.method === 'post') before.push(checkSite, checkType(route));
    before.push(checkPath);
    // Who may not call is turned away before a body of megabytes is read.
    before.push(admit(identify, route.caller));
    // Whoever has nothing to say may send anything, or nothing.
    if (route.body) before.push(readJson(route.bodyLimit ?? MAX_BODY));
    // What came from another site, or is no JSON, is nobody's try at a secret.
    before.push(...(limits[name] ?? []));
    app[route.method](route.path, ...before, async (req: Request, res: Response) => {
      const sent: unknown = req.body;
      const body = read(route.body, sent, route.readsEach);
      const query = read(route.query, req.query);
      if (!body.ok) return sendProblem(res, body);
      if (!query.ok) return sendProblem(res, query);
      const param = (key: string) => String(req.params[key] ?? '');
      // The schemas of this very route have just read both.
      const who = whoOf(res);
      const sees = await sightOf(who);
      // Of whom somebody is told nothing, of those they ask nothing.
      if (peopleAskedFor(req, query.value, body.value).some((id) => !sees(id)))
        return sendProblem(res, refuse('reconcile.other_people'));
      const call = { body: body.value, query: query.value, param, who, sees, req, res } as unknown as Call<
        typeof name
      >;
      const apart = readers?.read(
        { name, query: query.value, body: body.value, params: textParams(req), who: plainWho(who) },
        keyOf(who),
        (drop) => res.once('close', drop),
      );
      const own = () => writeAnswer(name, handle(call));
      const answer = await (apart ??
        (route.isShared && !isLimited(who) ? shared(req.originalUrl, own) : own()));
      if (res.closed) return;
      if (!answer.ok) return sendProblem(res, answer);
      res.set({ 'cache-control': 'no-store', 'wergon-now': String(clock.nowMs()) });
      res.type('json').send(answer.json);
    });
  };
}

/** Writes what a handler answers with the schema of its route: what the contract does not name goes to nobody. */
export async function writeAnswer<Name extends RouteName>(
  name: Name,
  handled: ReturnType<Handler<Name>>,
): Promise<ReadAnswer> {
  const answer = await handled;
  const { response }: Route = ROUTES[name];
  return answer.ok ? { ok: true, json: JSON.stringify(response.encode(answer.value)) } : answer;
}

/** The people that a request names: in its path, its query or its body. */
const peopleAskedFor = ({ params }: Request, ...inputs: readonly unknown[]): readonly TechnicianId[] =>
  [params, ...inputs].flatMap((input) =>
    isRecord(input) && typeof input['technician'] === 'string' ? [input['technician'] as TechnicianId] : [],
  );

/** What is told to one of them is not what is told to all. */
const isLimited = (who: Who): boolean => who.kind === 'desk' && who.user.seesOnlyTheirs === true;

const textParams = ({ params }: Request): Readonly<Record<string, string>> =>
  Object.fromEntries(Object.entries(params).map(([key, value]) => [key, String(value)]));

/** Who has so many reads under way. */
const keyOf = (who: Who): string =>
  who.kind === 'desk' ? who.tokenHash : who.kind === 'station' ? who.station.id : '';

/** Lets through whoever may call, and says to the handler who it is. */
const admit =
  (identify: Identify, caller: Caller): RequestHandler =>
  async (req, res, next) => {
    const who = await identify(req);
    const denied = checkCaller(caller, who);
    if (denied) return sendProblem(res, denied);
    res.locals['who'] = who;
    next();
  };

const readJson = (limit: string): RequestHandler => express.json({ limit, type: 'application/json' });

/** A request that changes something must come from our own pages. Browsers that do not say so name the page's origin. */
const checkSite: RequestHandler = (req, res, next) => {
  const site = req.headers['sec-fetch-site'];
  const isOurs = site === undefined || site === 'same-origin' || site === 'none';
  if (isOurs && isOwnOrigin(req)) next();
  else sendProblem(res, refuse('input.cross_site'));
};

function isOwnOrigin({ headers: { origin, host } }: Request): boolean {
  if (origin === undefined) return true;
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** Ids in a path are short and well-formed, whatever they name. */
const LONGEST_ID = 200;
const checkPath: RequestHandler = (req, res, next) => {
  const isBad = Object.values(req.params).some(
    (part) => String(part).length > LONGEST_ID || isIllFormed(String(part)),
  );
  if (isBad) sendProblem(res, refuse('input.bad_request'));
  else next();
};

const checkType =
  ({ body }: Route): RequestHandler =>
  (req, res, next) => {
    if (!body || req.is('application/json')) next();
    else sendProblem(res, refuse('input.wrong_type'));
  };

export function checkCaller(caller: Caller, who: Who): RouteRefusal | undefined {
  if (caller === 'public') return undefined;
  if (caller === 'station')
    return who.kind === 'station' || who.station ? undefined : refuse('station.not_paired');
  if (who.kind !== 'desk') return refuse('access.not_signed_in');
  // Whoever got their password from somebody else does nothing until it is their own.
  if (caller !== 'signed-in' && who.user.mustChangePassword) return refuse('access.password_due');
  return caller === 'signed-in' || who.rights.has(caller) ? undefined : refuse('access.not_allowed');
}

type Read = { readonly ok: true; readonly value: unknown } | RouteRefusal;

/** Reads input with its schema. Text that cannot be kept is refused wherever it stands, but in the field whose parts are
 *  read each on its own. */
function read(schema: z.ZodType | undefined, input: unknown, readsEach?: string): Read {
  if (!schema) return { ok: true, value: undefined };
  const parsed = schema.safeParse(input);
  if (!parsed.success) return refuse('input.invalid', fieldProblemsOf(parsed.error));
  const checked = readsEach === undefined ? input : { ...(isRecord(input) ? input : {}), [readsEach]: null };
  const illFormed = findIllFormed(checked);
  return illFormed
    ? refuse('input.invalid', [
        { field: formatPath(illFormed), message: 'holds text that cannot be kept (NUL or half a character)' },
      ])
    : { ok: true, value: parsed.data };
}
