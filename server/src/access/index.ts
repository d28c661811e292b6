export { UserEntity } from './entities.ts';
export { addUser } from './users.ts';
