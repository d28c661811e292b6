export {
  RIGHTS,
  RIGHTS_OF_ROLE,
  ROLES,
  firstRunSchema,
  newUserSchema,
  sessionSchema,
  signInSchema,
  startSchema,
} from './access.ts';
export type { Right, Role, SessionView } from './access.ts';
