export { SessionEntity, UserEntity } from './entities.ts';
export { COOKIES, giveCookie, identify, openSession } from './identify.ts';
export { mountAccess, sessionView } from './routes.ts';
export { covers, mayCorrect } from './scope.ts';
export { hashToken, makeToken } from './token.ts';
export { addUser } from './users.ts';
