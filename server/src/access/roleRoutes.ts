import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { ok } from '@wergon/core/result';
import type { Reach, Right } from '@wergon/contract/access';
import type { Context, DeskWho, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { RoleEntity, UserEntity } from './entities.ts';
import { endStreams } from './identify.ts';
import { findRoles, isBuiltIn, mayGive } from './roles.ts';

type Fields = { readonly name: string; readonly rights: Right[]; readonly reach: Reach };

/** Routes of the roles: those that come with Wergon stay as they are, the shop's own are changed right by right. */
export function mountRoles(mount: Mount, context: Context): void {
  const { database } = context;

  mount('roles', async () => ok({ roles: [...(await findRoles(database.em.fork()))] }));

  mount('addRole', async ({ body, who }) => {
    const em = database.em.fork();
    const id = randomUUID();
    const denied = await denyFields(em, id, body, who);
    if (denied) return denied;
    await em.insert(RoleEntity, { id, ...body });
    return ok({ id });
  });

  mount('saveRole', async ({ param, body, who }) => {
    const em = database.em.fork();
    const id = param('role');
    const role = await em.findOne(RoleEntity, { id });
    if (!role) return refuse(isBuiltIn(id) ? 'access.built_in_role' : 'record.not_found');
    if (!mayGive(role.rights, who)) return refuse('access.beyond_own');
    const denied = await denyFields(em, id, body, who);
    if (denied) return denied;
    await em.nativeUpdate(RoleEntity, { id }, body);
    // What a page was let hear by the role as it was, it hears no longer.
    for (const user of await usersWith(em, id)) await endStreams(context, user);
    return ok(null);
  });

  mount('removeRole', async ({ param, who }) => {
    const em = database.em.fork();
    const id = param('role');
    const role = await em.findOne(RoleEntity, { id });
    if (!role) return refuse(isBuiltIn(id) ? 'access.built_in_role' : 'record.not_found');
    if (!mayGive(role.rights, who)) return refuse('access.beyond_own');
    if ((await usersWith(em, id)).length > 0) return refuse('access.role_in_use');
    await em.nativeDelete(RoleEntity, { id });
    return ok(null);
  });
}

const usersWith = async (em: EntityManager, role: string): Promise<readonly string[]> =>
  (await em.findAll(UserEntity)).filter(({ roles }) => roles.includes(role)).map(({ id }) => id);

/** Why a role cannot be like this. */
async function denyFields(em: EntityManager, id: string, fields: Fields, who: DeskWho) {
  const taken = await em.findOne(RoleEntity, { name: fields.name });
  if (taken && taken.id !== id)
    return refuse('record.taken', [{ field: 'name', message: 'another role has this name' }]);
  return mayGive(fields.rights, who) ? undefined : refuse('access.beyond_own');
}
