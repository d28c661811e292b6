import { toInstant } from '@wergon/core/time';
import { parseCookie } from 'cookie';
import type { EntityManager } from '@mikro-orm/libsql';
import { isCrewOnly } from '@wergon/contract/access';
import type { Right } from '@wergon/contract/access';
import type { Request, Response } from 'express';
import type { Context, CallingStation, DeskUser, Who } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import { SessionEntity, UserEntity } from './entities.ts';
import { findRoles, rightsOf } from './roles.ts';
import { hashToken, makeToken } from './token.ts';
import type { User } from './entities.ts';

export const COOKIES = { desk: 'wergon_desk', station: 'wergon_station' } as const;

const TRUSTED_IDLE_SECONDS = 30 * 86_400;
/** Sessions that one user may have open; the one that was not used for longest ends for a new one. */
const MOST_SESSIONS = 20;
/** What a page sends along while somebody is at it. */
const PERSON_HEADER = 'wergon-person';
/** A session's last use is written down at most this often. */
const TOUCH_SECONDS = 60;

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

/** Finds out who sent a request, from its cookies. */
export async function identify(context: Context, req: Request): Promise<Who> {
  const cookies = parseCookie(req.headers.cookie ?? '');
  const station = await findStation(context, cookies[COOKIES.station]);
  const desk = await findSession(context, cookies[COOKIES.desk], req.headers[PERSON_HEADER] !== undefined);
  if (desk) return { kind: 'desk', ...desk, station };
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
      'select "id", "name", "owner" from "station" where "token_hash" = ? and not "is_revoked"',
      [hashToken(token)],
    ),
  );
  return station;
}

/** How long a session may go unused: on a shared computer as long as the shop says. */
async function idleSeconds({ shop }: Context, isTrusted: boolean): Promise<number> {
  const settings = (await shop.find())?.settings;
  return isTrusted || !settings ? TRUSTED_IDLE_SECONDS : settings.desk.signOutMinutes * 60;
}

async function findSession(context: Context, token: string | undefined, isPersonThere: boolean) {
  if (!token) return undefined;
  const { database, clock, health } = context;
  const em = database.em.fork();
  const tokenHash = hashToken(token);
  const session = await em.findOne(SessionEntity, { tokenHash });
  if (!session) return undefined;
  const idle = clock.now() - session.lastSeenAt;
  if (idle > (await idleSeconds(context, session.isTrusted))) {
    await em.nativeDelete(SessionEntity, { tokenHash }).catch(health.cannotWrite);
    return undefined;
  }
  // A page that asks by itself keeps nobody signed in; and whoever only reads is not held up by a full disk.
  if (isPersonThere && idle > TOUCH_SECONDS)
    await em
      .nativeUpdate(SessionEntity, { tokenHash }, { lastSeenAt: clock.now() })
      .catch(health.cannotWrite);
  const user = await em.findOne(UserEntity, { id: session.user, isOff: false });
  return user ? { ...(await deskUserOf(em, user)), tokenHash, isTrusted: session.isTrusted } : undefined;
}

/** What routes are told of a user: what they may do, and nothing secret. */
export async function deskUserOf(
  em: EntityManager,
  {
    id,
    name,
    userName,
    seesRates,
    technician,
    departments,
    crews,
    seesOnlyTheirs,
    mustChangePassword,
    hoursStyle,
    ...kept
  }: User,
): Promise<{ readonly user: DeskUser; readonly rights: ReadonlySet<Right> }> {
  const roles = await findRoles(em, kept.roles);
  const user = {
    id,
    name,
    userName,
    roles: roles.map((role) => ({ id: role.id, name: role.name })),
    isCrewOnly: isCrewOnly(roles),
    seesRates,
    technician,
    departments,
    crews,
    seesOnlyTheirs,
    mustChangePassword,
    hoursStyle,
  };
  return { user, rights: rightsOf(roles, seesRates) };
}

/** Ends what a user's pages hear; they ask anew whether they may. */
export async function endStreams({ database, live }: Context, user: string): Promise<void> {
  const own = await database.em.fork().find(SessionEntity, { user });
  for (const { tokenHash } of own) live.end(tokenHash);
}

/** Ends the sessions of a user, but for one if it is named, and the streams that they hold. */
export async function endSessions({ database, live }: Context, user: string, butFor?: string): Promise<void> {
  const em = database.em.fork();
  const own = await em.find(SessionEntity, { user });
  for (const { tokenHash } of own) {
    if (tokenHash === butFor) continue;
    await em.nativeDelete(SessionEntity, { tokenHash });
    live.end(tokenHash);
  }
}

/** Takes away the sessions that ran out, and of one user those that are too many. */
async function pruneSessions(context: Context, user: string): Promise<void> {
  const em = context.database.em.fork();
  const now = context.clock.now();
  for (const isTrusted of [true, false]) {
    const before = toInstant(now - (await idleSeconds(context, isTrusted)));
    await em.nativeDelete(SessionEntity, { isTrusted, lastSeenAt: { $lt: before } });
  }
  const own = await em.find(SessionEntity, { user }, { orderBy: { lastSeenAt: -1 } });
  for (const { tokenHash } of own.slice(MOST_SESSIONS - 1)) {
    await em.nativeDelete(SessionEntity, { tokenHash });
    context.live.end(tokenHash);
  }
}

export async function openSession(
  context: Context,
  req: Request,
  res: Response,
  user: User,
  isTrusted: boolean,
): Promise<void> {
  const { database, clock } = context;
  await pruneSessions(context, user.id);
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
