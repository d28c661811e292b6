import { hash, verify } from '@node-rs/argon2';
import { ok } from '@wergon/core/result';
import type { Context, Mount, DeskUser } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { SessionEntity, UserEntity } from './entities.ts';
import { COOKIES, endSessions, endStreams, openSession, rightsOf } from './identify.ts';
import { addUser } from './users.ts';

/** A hash to hold a wrong user's password against, so that a wrong name takes as long as a wrong password. */
const NOBODY = hash('nobody has this password');

/** What a page is told of whoever is signed in, and of the shop. */
export async function sessionView({ shop, clock, isDemo }: Context, user: DeskUser, isTrusted: boolean) {
  const { name, zoneName, currency, settings } = await shop.get();
  return {
    name: user.name,
    role: user.role,
    rights: [...rightsOf(user)],
    mustChangePassword: user.mustChangePassword ?? false,
    signOutMinutes: isTrusted ? null : settings.desk.signOutMinutes,
    shopName: name,
    zone: zoneName,
    currency,
    isDemo,
    hoursStyle: user.hoursStyle ?? 'h:mm',
    now: clock.now(),
  };
}

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
    return ok(await sessionView(context, user, body.isTrustedComputer));
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

  mount('session', async ({ who }) => ok(await sessionView(context, who.user, who.isTrusted)));

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

  mount('users', async () => {
    const users = await database.em.fork().findAll(UserEntity, { orderBy: { name: 1 } });
    return ok({
      users: users.map(
        ({ id, name, userName, role, seesRates, technician, departments, isOff, mustChangePassword }) => ({
          id,
          name,
          userName,
          role,
          seesRates,
          technician: technician ?? null,
          departments: departments ?? null,
          isOff: isOff ?? false,
          mustChangePassword: mustChangePassword ?? false,
        }),
      ),
    });
  });

  mount('addUser', async ({ body }) => {
    const em = database.em.fork();
    const userName = body.userName.toLowerCase();
    if (await em.findOne(UserEntity, { userName }))
      return refuse('record.taken', [{ field: 'userName', message: 'this user name is taken' }]);
    const { id } = await addUser(em, { ...body, mustChangePassword: true });
    return ok({ id });
  });

  mount('saveUser', async ({ param, body: { password, ...body }, who }) => {
    const em = database.em.fork();
    const id = param('user');
    const user = await em.findOne(UserEntity, { id });
    if (!user) return refuse('record.not_found');
    const others = await em.count(UserEntity, { role: 'administrator', isOff: false, id: { $ne: id } });
    const staysAdministrator = body.role === 'administrator' && !body.isOff;
    if (!staysAdministrator && others === 0) return refuse('access.last_administrator');
    const isOwn = who.user.id === id;
    const given = password === null ? {} : { passwordHash: await hash(password), mustChangePassword: !isOwn };
    await em.nativeUpdate(UserEntity, { id }, { ...body, ...given });
    // Whoever knew the old password is not to stay signed in with it, and what a page was let hear by another role it
    // hears no longer.
    if (password !== null || body.isOff) await endSessions(context, id);
    else await endStreams(context, id);
    return ok(null);
  });
}
