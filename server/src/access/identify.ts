import { createHash, randomBytes } from 'node:crypto';
import { parseCookie } from 'cookie';
import type { Request, Response } from 'express';
import { RIGHTS_OF_ROLE } from '@wergon/contract/access';
import type { Right } from '@wergon/contract/access';
import type { Context } from '../app/context.ts';
import { readSql } from '../db/index.ts';
import { SessionEntity, UserEntity } from './entities.ts';
import type { User } from './entities.ts';

/** A paired station. */
type CallingStation = { readonly id: string; readonly name: string };

/** Who is calling. One browser can be a desk and a station at once. */
export type Who =
  | {
      readonly kind: 'desk';
      readonly user: User;
      readonly rights: ReadonlySet<Right>;
      readonly tokenHash: string;
      readonly station: CallingStation | undefined;
    }
  | { readonly kind: 'station'; readonly station: CallingStation }
  | { readonly kind: 'nobody'; readonly station: undefined };

export const COOKIES = { desk: 'wergon_desk', station: 'wergon_station' } as const;

const IDLE_SECONDS = 60 * 60;
const TRUSTED_IDLE_SECONDS = 30 * 86_400;
/** A session's last use is written down at most this often. */
const TOUCH_SECONDS = 60;

/** A token nobody can guess, and the hash under which it is kept. */
export const makeToken = () => randomBytes(32).toString('base64url');
export const hashToken = (token: string) => createHash('sha256').update(token).digest('hex');

/** Hands a token to the browser where no script and no other site can reach it. */
export function giveCookie(
  req: Request,
  res: Response,
  name: string,
  token: string,
  maxAgeSeconds?: number,
): void {
  res.cookie(name, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: req.secure,
    path: '/api',
    ...(maxAgeSeconds === undefined ? {} : { maxAge: maxAgeSeconds * 1000 }),
  });
}

export const rightsOf = ({ role, seesRates }: User): ReadonlySet<Right> =>
  new Set<Right>([...RIGHTS_OF_ROLE[role], ...(seesRates ? (['rates.see'] as const) : [])]);

/** Finds out who sent a request, from its cookies. */
export async function identify(context: Context, req: Request): Promise<Who> {
  const cookies = parseCookie(req.headers.cookie ?? '');
  const station = await findStation(context, cookies[COOKIES.station]);
  const desk = await findSession(context, cookies[COOKIES.desk]);
  if (desk) return { kind: 'desk', ...desk, rights: rightsOf(desk.user), station };
  return station ? { kind: 'station', station } : { kind: 'nobody', station: undefined };
}

/** Looked up with plain SQL, because every scan asks it. */
async function findStation(
  { database }: Context,
  token: string | undefined,
): Promise<CallingStation | undefined> {
  if (!token) return undefined;
  const [station] = await readSql(database, (sql) =>
    sql.all<CallingStation>(
      'select "id", "name" from "station" where "token_hash" = ? and not "is_revoked"',
      [hashToken(token)],
    ),
  );
  return station;
}

async function findSession({ database, clock }: Context, token: string | undefined) {
  if (!token) return undefined;
  const em = database.em.fork();
  const tokenHash = hashToken(token);
  const session = await em.findOne(SessionEntity, { tokenHash });
  if (!session) return undefined;
  const idle = clock.now() - session.lastSeenAt;
  if (idle > (session.isTrusted ? TRUSTED_IDLE_SECONDS : IDLE_SECONDS)) {
    await em.nativeDelete(SessionEntity, { tokenHash });
    return undefined;
  }
  if (idle > TOUCH_SECONDS) await em.nativeUpdate(SessionEntity, { tokenHash }, { lastSeenAt: clock.now() });
  const user = await em.findOne(UserEntity, { id: session.user });
  return user ? { user, tokenHash } : undefined;
}

export async function openSession(
  { database, clock }: Context,
  req: Request,
  res: Response,
  user: User,
  isTrusted: boolean,
): Promise<void> {
  const token = makeToken();
  const em = database.em.fork();
  await em.insert(SessionEntity, {
    tokenHash: hashToken(token),
    user: user.id,
    isTrusted,
    lastSeenAt: clock.now(),
  });
  giveCookie(req, res, COOKIES.desk, token, isTrusted ? TRUSTED_IDLE_SECONDS : undefined);
}
