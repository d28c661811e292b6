export { findRoles } from './roles.ts';
export { RoleEntity, SessionEntity, UserEntity } from './entities.ts';
export { COOKIES, giveCookie, identify, openSession } from './identify.ts';
export { mountRoles } from './roleRoutes.ts';
export { mountAccess, viewOfUser } from './routes.ts';
export { covers, mayCorrect, sees } from './scope.ts';
export { hashToken, makeToken } from './token.ts';
export { addUser, mountUsers } from './users.ts';
export type { NewUser } from './users.ts';
