import { idText, instant, technicianId } from '../wire/index.ts';
import { HOURS_STYLES } from '@wergon/core/time';
import { z } from 'zod';

/** What may be done at the desk; each route names one of these, or says that it is public or a station's. */
export const RIGHTS = [
  'floor.see',
  'floor.answer',
  'work.see',
  'work.change',
  'people.see',
  'people.change',
  'rates.see',
  'ledger.see',
  'ledger.correct',
  'reconcile.see',
  'time.approve',
  'pay.see',
  'pay.close',
  'pay.reopen',
  'shop.see',
  'shop.change',
  'users.change',
] as const;
export type Right = (typeof RIGHTS)[number];

export const ROLES = ['technician', 'lead', 'supervisor', 'planner', 'bookkeeper', 'administrator'] as const;
export type Role = (typeof ROLES)[number];

/** What only whoever owns the shop may do. */
const OF_THE_OWNER: ReadonlySet<Right> = new Set<Right>([
  'rates.see',
  'users.change',
  'pay.close',
  'pay.reopen',
]);

/** What each role may do. To see rates can also be given to one person, whatever their role. */
export const RIGHTS_OF_ROLE: Readonly<Record<Role, readonly Right[]>> = {
  technician: ['floor.see'],
  lead: [
    'floor.see',
    'floor.answer',
    'work.see',
    'ledger.see',
    'ledger.correct',
    'reconcile.see',
    'time.approve',
  ],
  supervisor: RIGHTS.filter((right) => !OF_THE_OWNER.has(right)),
  planner: ['floor.see', 'floor.answer', 'work.see', 'work.change', 'people.see', 'shop.see'],
  bookkeeper: [
    'floor.see',
    'work.see',
    'people.see',
    'rates.see',
    'ledger.see',
    'reconcile.see',
    'pay.see',
    'pay.close',
    'shop.see',
  ],
  administrator: RIGHTS,
};

const name = z.string().trim().min(1).max(80);
const userName = z.string().trim().min(1).max(80);
/** Characters that a password has at least. */
export const LEAST_PASSWORD = 10;
const password = z.string().min(LEAST_PASSWORD, `must have at least ${LEAST_PASSWORD} characters`).max(200);

export const signInSchema = z.strictObject({
  userName,
  password: z.string().min(1).max(200),
  isTrustedComputer: z.boolean().default(false),
});

export const firstRunSchema = z.strictObject({
  shopName: name,
  zone: z.string().min(1).max(60),
  currency: z.string().regex(/^[A-Z]{3}$/, 'expected a currency code of three letters'),
  name,
  userName,
  password,
});

/** Who the user is on the floor, and whose time they put right and approve: all (`null`), or some departments by their
 *  ids, so that a new name changes nobody's rights. */
const scope = {
  technician: idText<'TechnicianId'>().nullable().default(null),
  departments: z.array(z.string().min(1).max(200)).max(100).nullable().default(null),
};

export const newUserSchema = z.strictObject({
  name,
  userName,
  password,
  role: z.enum(ROLES),
  seesRates: z.boolean(),
  ...scope,
});

/** A new password only where one is given. */
export const userFieldsSchema = z.strictObject({
  name,
  role: z.enum(ROLES),
  seesRates: z.boolean(),
  ...scope,
  isOff: z.boolean().default(false),
  password: password.nullable().default(null),
});

export const usersSchema = z.object({
  users: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      userName: z.string(),
      role: z.enum(ROLES),
      seesRates: z.boolean(),
      technician: technicianId.nullable(),
      departments: z.array(z.string()).nullable(),
      isOff: z.boolean(),
      mustChangePassword: z.boolean(),
    }),
  ),
});

/** A password of one's own for the one that is known. */
export const changePasswordSchema = z.strictObject({
  password: z.string().min(1).max(200),
  newPassword: password,
});

/** Who is signed in at the desk, and the shop they are signed in to. */
export const sessionSchema = z.object({
  name: z.string(),
  role: z.enum(ROLES),
  rights: z.array(z.enum(RIGHTS)),
  /** Whether they got their password from somebody else and must choose one of their own first. */
  mustChangePassword: z.boolean(),
  /** After so many minutes without a touch they are signed out; never on a computer of their own. */
  signOutMinutes: z.number().nullable(),
  shopName: z.string(),
  zone: z.string(),
  currency: z.string(),
  isDemo: z.boolean(),
  /** How they like to read hours. */
  hoursStyle: z.enum(HOURS_STYLES),
  now: instant,
});
export type SessionView = z.output<typeof sessionSchema>;

export const hoursStyleSchema = z.strictObject({ hoursStyle: z.enum(HOURS_STYLES) });

export const startSchema = z.object({
  needsFirstRun: z.boolean(),
  isWritable: z.boolean(),
  isDemo: z.boolean(),
  now: instant,
});
