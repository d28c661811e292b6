import {
  changePasswordSchema,
  firstRunSchema,
  newUserSchema,
  sessionSchema,
  signInSchema,
  startSchema,
  userFieldsSchema,
  usersSchema,
} from '../../access/index.ts';
import { createdSchema, nothing } from '../route.ts';
import type { Route } from '../route.ts';

export const ACCESS_ROUTES = {
  start: {
    method: 'get',
    path: '/api/start',
    caller: 'public',
    summary: 'Whether a first run is due',
    response: startSchema,
  },
  firstRun: {
    method: 'post',
    path: '/api/first-run',
    caller: 'public',
    summary: 'Set up the shop and its first administrator',
    body: firstRunSchema,
    response: sessionSchema,
  },
  signIn: {
    method: 'post',
    path: '/api/sign-in',
    caller: 'public',
    summary: 'Sign in at the desk',
    body: signInSchema,
    response: sessionSchema,
  },
  signOut: {
    method: 'post',
    path: '/api/sign-out',
    caller: 'signed-in',
    summary: 'End the session',
    response: nothing,
  },
  session: {
    method: 'get',
    path: '/api/session',
    caller: 'signed-in',
    summary: 'Who is signed in',
    response: sessionSchema,
  },
  changePassword: {
    method: 'post',
    path: '/api/password',
    caller: 'signed-in',
    summary: 'Choose a password of one’s own; other sessions end',
    body: changePasswordSchema,
    response: nothing,
  },
  users: {
    method: 'get',
    path: '/api/users',
    caller: 'users.change',
    summary: 'Who may sign in at the desk',
    response: usersSchema,
  },
  addUser: {
    method: 'post',
    path: '/api/users',
    caller: 'users.change',
    summary: 'Add a desk user',
    body: newUserSchema,
    response: createdSchema,
  },
  saveUser: {
    method: 'post',
    path: '/api/users/:user',
    caller: 'users.change',
    summary: 'Change a desk user’s role or password',
    body: userFieldsSchema,
    response: nothing,
  },
} as const satisfies Record<string, Route>;
