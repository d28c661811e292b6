import { hash, verify } from '@node-rs/argon2';
import type { Right } from '@wergon/contract/access';
import { ok } from '@wergon/core/result';
import type { Context, Mount, DeskUser } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { SessionEntity, UserEntity } from './entities.ts';
import { COOKIES, deskUserOf, endSessions, openSession } from './identify.ts';
import type { User } from './entities.ts';

/** A hash to hold a wrong user's password against, so that a wrong name takes as long as a wrong password. */
const NOBODY = hash('nobody has this password');

/** What a page is told of whoever is signed in, and of the shop. */
async function sessionView(
  { shop, clock, isDemo }: Context,
  { user, rights }: { readonly user: DeskUser; readonly rights: ReadonlySet<Right> },
  isTrusted: boolean,
) {
  const { name, zoneName, currency, settings } = await shop.get();
  return {
    name: user.name,
    roles: [...user.roles],
    isTechnician: user.technician != null,
    rights: [...rights],
    mustChangePassword: user.mustChangePassword ?? false,
    signOutMinutes: isTrusted ? null : settings.desk.signOutMinutes,
    shopName: name,
    zone: zoneName,
    currency,
    isDemo,
    makesOffers: settings.work.offers,
    unusedFields: settings.work.unusedFields,
    hoursStyle: user.hoursStyle ?? 'h:mm',
    now: clock.now(),
  };
}

/** The same for somebody who has just signed in. */
export const viewOfUser = async (context: Context, user: User, isTrusted: boolean) =>
  sessionView(context, await deskUserOf(context.database.em.fork(), user), isTrusted);

export function mountAccess(mount: Mount, context: Context): void {
  const { database, clock, health, isDemo, live } = context;

  mount('start', async () =>
    ok({
      isWritable: health.isWritable(),
      needsFirstRun: (await database.em.fork().count(UserEntity)) === 0,
      isDemo,
      now: clock.now(),
    }),
  );

  mount('signIn', async ({ body, req, res }) => {
    const user = await database.em
      .fork()
      .findOne(UserEntity, { userName: body.userName.toLowerCase(), isOff: false });
    const isRight = await verify(user?.passwordHash ?? (await NOBODY), body.password);
    if (!user || !isRight) return refuse('access.wrong_password');
    await openSession(context, req, res, user, body.isTrustedComputer);
    return ok(await viewOfUser(context, user, body.isTrustedComputer));
  });

  mount('signOut', async ({ who, res }) => {
    if (who.kind === 'desk') {
      await database.em.fork().nativeDelete(SessionEntity, { tokenHash: who.tokenHash });
      live.end(who.tokenHash);
    }
    res.clearCookie(COOKIES.desk, { path: '/api' });
    return ok(null);
  });

  mount('saveHoursStyle', async ({ body, who }) => {
    await database.em.fork().nativeUpdate(UserEntity, { id: who.user.id }, body);
    return ok(null);
  });

  mount('session', async ({ who }) => ok(await sessionView(context, who, who.isTrusted)));

  mount('changePassword', async ({ body, who }) => {
    const user = await database.em.fork().findOneOrFail(UserEntity, { id: who.user.id });
    if (!(await verify(user.passwordHash, body.password)))
      return refuse('access.wrong_own_password', [{ field: 'password', message: 'is not right' }]);
    if (body.newPassword === body.password)
      return refuse('input.invalid', [{ field: 'newPassword', message: 'must be another one' }]);
    const columns = { passwordHash: await hash(body.newPassword), mustChangePassword: false };
    await database.em.fork().nativeUpdate(UserEntity, { id: who.user.id }, columns);
    await endSessions(context, who.user.id, who.tokenHash);
    return ok(null);
  });
}
