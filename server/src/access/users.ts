import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Role } from '@wergon/contract/access';
import type { TechnicianId } from '@wergon/core/people';
import { UserEntity } from './entities.ts';
import type { User } from './entities.ts';

export type NewUser = {
  readonly name: string;
  readonly userName: string;
  readonly password: string;
  readonly role: Role;
  readonly seesRates: boolean;
  readonly technician?: TechnicianId | null;
  readonly departments?: string[] | null;
  /** Whether somebody else knows the password, so that they must choose another. */
  readonly mustChangePassword?: boolean;
};

/** Adds somebody who may sign in at the desk; of the password only its argon2id hash is kept. */
export async function addUser(em: EntityManager, newUser: NewUser): Promise<User> {
  const { password, ...columns } = newUser;
  const user: User = {
    technician: null,
    departments: null,
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
