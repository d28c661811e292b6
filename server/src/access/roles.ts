import type { EntityManager } from '@mikro-orm/libsql';
import { REACH_OF_ROLE, RIGHTS_OF_ROLE, ROLES, touchesTime } from '@wergon/contract/access';
import type { Reach, Right } from '@wergon/contract/access';
import type { DeskUser, DeskWho } from '../http/index.ts';
import { RoleEntity } from './entities.ts';
import type { User } from './entities.ts';

/** What a role lets do. Of those that come with Wergon each language has its own word. */
export type Role = {
  readonly id: string;
  readonly name: string | null;
  readonly rights: readonly Right[];
  readonly reach: Reach;
};

export const BUILT_IN: readonly Role[] = ROLES.map((id) => ({
  id,
  name: null,
  rights: RIGHTS_OF_ROLE[id],
  reach: REACH_OF_ROLE[id],
}));
export const isBuiltIn = (id: string): boolean => BUILT_IN.some((role) => role.id === id);

/** All roles there are, those that come with Wergon first, or those with these ids. */
export async function findRoles(em: EntityManager, ids?: readonly string[]): Promise<readonly Role[]> {
  if (ids?.every(isBuiltIn)) return BUILT_IN.filter(({ id }) => ids.includes(id));
  const own = await em.find(RoleEntity, ids ? { id: { $in: [...ids] } } : {}, { orderBy: { name: 1 } });
  const all = [...BUILT_IN, ...own.map(({ id, name, rights, reach }) => ({ id, name, rights, reach }))];
  return ids ? all.filter(({ id }) => ids.includes(id)) : all;
}

/** What several roles let do together; to see rates can also be given to one person by name. */
export const rightsOf = (roles: readonly Role[], seesRates: boolean): ReadonlySet<Right> =>
  new Set<Right>([...roles.flatMap(({ rights }) => rights), ...(seesRates ? (['rates.see'] as const) : [])]);

/** Whether somebody may hand out or change what lets do this much: they may do it all themselves, and who reaches the
 *  time of some people alone lets nobody touch any. An administrator who bound themselves is not locked out by that. */
export const mayGive = (wanted: Iterable<Right>, { user, rights }: DeskWho): boolean => {
  const given = [...wanted];
  const isAdministrator = user.roles.some(({ id }) => id === 'administrator');
  const reachesAll = isAdministrator || (!user.isCrewOnly && user.departments == null && user.crews == null);
  return given.every((right) => rights.has(right)) && (reachesAll || !touchesTime(given));
};

type Sight = Pick<DeskUser, 'seesOnlyTheirs' | 'departments' | 'crews'>;

/** Whether whoever is told of some people alone gives nobody sight of others. */
export const mayShow = (wanted: Sight, { user }: DeskWho): boolean => {
  if (!user.seesOnlyTheirs) return true;
  const within = (asked: readonly string[], own: readonly string[]) => asked.every((id) => own.includes(id));
  const [departments, crews] = [wanted.departments ?? [], wanted.crews ?? []];
  return (
    wanted.seesOnlyTheirs === true &&
    departments.length + crews.length > 0 &&
    within(departments, user.departments ?? []) &&
    within(crews, user.crews ?? [])
  );
};

/** What a user may do, by what is kept of them. */
export const rightsOfUser = async (em: EntityManager, { roles, seesRates }: User) =>
  rightsOf(await findRoles(em, roles), seesRates);
