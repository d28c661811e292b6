export { addUser } from './users.ts';
