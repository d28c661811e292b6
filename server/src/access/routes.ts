import { hash, verify } from '@node-rs/argon2';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { createZone, dated, formatInstant } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { ShopEntity } from '../shop/entities.ts';
import { addStarterSet } from '../shop/starterSet.ts';
import { SessionEntity, UserEntity } from './entities.ts';
import type { User } from './entities.ts';
import { COOKIES, openSession, rightsOf } from './identify.ts';
import { addUser } from './users.ts';

/** A hash to hold a wrong user's password against, so that a wrong name takes as long as a wrong password. */
const NOBODY = hash('nobody has this password');

async function sessionView({ facts, clock, isDemo }: Context, user: User) {
  const { shop } = await facts.get();
  return {
    name: user.name,
    role: user.role,
    rights: [...rightsOf(user)],
    shopName: shop.name,
    zone: shop.zone,
    currency: shop.currency,
    isDemo,
    now: formatInstant(clock.now()),
  };
}

export function mountAccess(mount: Mount, context: Context): void {
  const { database, clock, facts, isDemo } = context;

  mount('start', async () =>
    ok({
      needsFirstRun: (await database.em.fork().count(UserEntity)) === 0,
      isDemo,
      now: formatInstant(clock.now()),
    }),
  );

  mount('firstRun', async ({ body, req, res }) => {
    if (!createZone(body.zone).ok)
      return refuse('input.invalid', [{ field: 'zone', message: 'no such time zone' }]);
    const user = await database.em.fork().transactional(async (em) => {
      if ((await em.count(UserEntity)) > 0) return undefined;
      const { shopName, zone, currency, ...person } = body;
      await em.insert(ShopEntity, {
        id: 1,
        name: shopName,
        zone,
        currency,
        policy: dated(DEFAULT_POLICY),
        settings: null,
      });
      await addStarterSet(em);
      return addUser(em, { ...person, role: 'administrator', seesRates: true });
    });
    if (!user) return refuse('access.already_set_up');
    facts.forget();
    await openSession(context, req, res, user, false);
    return ok(await sessionView(context, user));
  });

  mount('signIn', async ({ body, req, res }) => {
    const user = await database.em.fork().findOne(UserEntity, { userName: body.userName.toLowerCase() });
    const isRight = await verify(user?.passwordHash ?? (await NOBODY), body.password);
    if (!user || !isRight) return refuse('access.wrong_password');
    await openSession(context, req, res, user, body.isTrustedComputer);
    return ok(await sessionView(context, user));
  });

  mount('signOut', async ({ who, res }) => {
    if (who.kind === 'desk')
      await database.em.fork().nativeDelete(SessionEntity, { tokenHash: who.tokenHash });
    res.clearCookie(COOKIES.desk, { path: '/api' });
    return ok(null);
  });

  mount('session', async ({ who }) =>
    who.kind === 'desk' ? ok(await sessionView(context, who.user)) : refuse('access.not_signed_in'),
  );

  mount('users', async () => {
    const users = await database.em.fork().findAll(UserEntity, { orderBy: { name: 1 } });
    return ok({
      users: users.map(({ id, name, userName, role, seesRates, technician, departments }) => ({
        id,
        name,
        userName,
        role,
        seesRates,
        technician: technician ?? null,
        departments: departments ?? null,
      })),
    });
  });

  mount('addUser', async ({ body }) => {
    const em = database.em.fork();
    const userName = body.userName.toLowerCase();
    if (await em.findOne(UserEntity, { userName }))
      return refuse('record.taken', [{ field: 'userName', message: 'this user name is taken' }]);
    const { id } = await addUser(em, body);
    return ok({ id });
  });

  mount('saveUser', async ({ param, body: { password, ...body } }) => {
    const em = database.em.fork();
    const id = param('user');
    const user = await em.findOne(UserEntity, { id });
    if (!user) return refuse('record.not_found');
    const others = await em.count(UserEntity, { role: 'administrator', id: { $ne: id } });
    if (body.role !== 'administrator' && others === 0) return refuse('access.last_administrator');
    const passwordHash = password === null ? user.passwordHash : await hash(password);
    await em.nativeUpdate(UserEntity, { id }, { ...body, passwordHash });
    // Whoever knew the old password is not to stay signed in with it.
    if (password !== null) await em.nativeDelete(SessionEntity, { user: id });
    return ok(null);
  });
}
