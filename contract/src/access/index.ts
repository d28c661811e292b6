export {
  LEAST_PASSWORD,
  RIGHTS,
  RIGHTS_OF_ROLE,
  ROLES,
  changePasswordSchema,
  firstRunSchema,
  hoursStyleSchema,
  newUserSchema,
  sessionSchema,
  signInSchema,
  startSchema,
  userFieldsSchema,
  usersSchema,
} from './access.ts';
export type { Right, Role, SessionView } from './access.ts';
