import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { ok } from '@wergon/core/result';
import type { Context, DeskWho, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { endSessions, endStreams } from './identify.ts';
import { findRoles, mayGive, mayShow, rightsOf, rightsOfUser } from './roles.ts';
import type { TechnicianId } from '@wergon/core/people';
import { UserEntity } from './entities.ts';
import type { User } from './entities.ts';

export type NewUser = {
  readonly name: string;
  readonly userName: string;
  readonly password: string;
  readonly roles: string[];
  readonly seesRates: boolean;
  readonly technician?: TechnicianId | null;
  readonly departments?: string[] | null;
  readonly crews?: string[] | null;
  readonly seesOnlyTheirs?: boolean;
  /** Whether somebody else knows the password, so that they must choose another. */
  readonly mustChangePassword?: boolean;
};

/** Adds somebody who may sign in at the desk; of the password only its argon2id hash is kept. */
export async function addUser(em: EntityManager, newUser: NewUser): Promise<User> {
  const { password, ...columns } = newUser;
  const user: User = {
    technician: null,
    departments: null,
    crews: null,
    seesOnlyTheirs: false,
    isOff: false,
    hoursStyle: null,
    mustChangePassword: false,
    ...columns,
    id: randomUUID(),
    userName: newUser.userName.toLowerCase(),
    passwordHash: await hash(password),
  };
  await em.insert(UserEntity, user);
  return user;
}

/** Routes of who may sign in at the desk. Nobody gives more than they may do themselves, nor changes whoever may do
 *  more. */
export function mountUsers(mount: Mount, context: Context): void {
  const { database } = context;

  mount('users', async () => {
    const users = await database.em.fork().findAll(UserEntity, { orderBy: { name: 1 } });
    return ok({
      users: users.map(
        ({ id, name, userName, roles, seesRates, technician, departments, crews, ...states }) => ({
          id,
          name,
          userName,
          roles,
          seesRates,
          technician: technician ?? null,
          departments: departments ?? null,
          crews: crews ?? null,
          seesOnlyTheirs: states.seesOnlyTheirs ?? false,
          isOff: states.isOff ?? false,
          mustChangePassword: states.mustChangePassword ?? false,
        }),
      ),
    });
  });

  mount('addUser', async ({ body, who }) => {
    const em = database.em.fork();
    const denied = await denyRoles(em, body, who);
    if (denied) return denied;
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
    if (!mayGive(await rightsOfUser(em, user), who) || !mayShow(user, who))
      return refuse('access.beyond_own');
    const denied = await denyRoles(em, body, who);
    if (denied) return denied;
    const all = await em.find(UserEntity, { isOff: false });
    const isAdministrator = ({ roles }: { roles: readonly string[] }) => roles.includes('administrator');
    const others = all.filter((each) => each.id !== id && isAdministrator(each));
    if ((body.isOff || !isAdministrator(body)) && others.length === 0)
      return refuse('access.last_administrator');
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

/** Why these roles cannot be given by whoever asks. */
async function denyRoles(
  em: EntityManager,
  wanted: { readonly roles: readonly string[]; readonly seesRates: boolean } & Parameters<typeof mayShow>[0],
  who: DeskWho,
) {
  const { roles, seesRates } = wanted;
  const found = await findRoles(em, roles);
  const unknown = roles.findIndex((id) => !found.some((role) => role.id === id));
  if (unknown >= 0) return refuse('input.invalid', [{ field: `roles.${unknown}`, message: 'is no role' }]);
  return mayGive(rightsOf(found, seesRates), who) && mayShow(wanted, who)
    ? undefined
    : refuse('access.beyond_own');
}
