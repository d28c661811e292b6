import { defineEntity, p } from '@mikro-orm/core';
import type { TechnicianId } from '@wergon/core/people';
import type { HoursStyle, Instant } from '@wergon/core/time';
import type { InferEntity } from '@mikro-orm/core';
import type { Reach, Right } from '@wergon/contract/access';

/** Somebody who may sign in at the desk. */
export const UserEntity = defineEntity({
  name: 'User',
  tableName: 'desk_user',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    userName: p.string().unique(),
    passwordHash: p.string(),
    /** What they may do: roles that come with Wergon and the shop's own, by their ids. */
    roles: p.json<string[]>().columnType('text'),
    seesRates: p.boolean(),
    /** Who they are on the floor; nobody approves their own time. */
    technician: p.string().$type<TechnicianId>().nullable(),
    /** The departments whose time they put right and approve, by their ids in the list; absent for all. */
    departments: p.json<string[]>().nullable(),
    /** The crews whose time they put right and approve, in the same way. */
    crews: p.json<string[]>().nullable(),
    /** Whether they are told of nobody else. */
    seesOnlyTheirs: p.boolean().default(false),
    /** Switched off, they sign in no longer; what they did stays theirs. */
    isOff: p.boolean().default(false),
    /** Whether their password was given to them by somebody else. */
    mustChangePassword: p.boolean().default(false),
    /** How they like to read hours; absent until they have chosen. */
    hoursStyle: p.string().$type<HoursStyle>().nullable(),
  },
});
export type User = InferEntity<typeof UserEntity>;

/** A role of the shop's own. Those that come with Wergon are no rows. */
export const RoleEntity = defineEntity({
  name: 'Role',
  tableName: 'role',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    rights: p.json<Right[]>(),
    reach: p.string().$type<Reach>(),
  },
});

/** A session at the desk; only the hash of its cookie is kept. */
export const SessionEntity = defineEntity({
  name: 'Session',
  tableName: 'desk_session',
  properties: {
    tokenHash: p.string().primary(),
    user: p.string().index(),
    isTrusted: p.boolean(),
    lastSeenAt: p.integer().$type<Instant>(),
  },
});
