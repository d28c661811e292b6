import { idText, instant, technicianId } from '../wire/index.ts';
import { SPARE_FIELDS } from '@wergon/core/work';
import { HOURS_STYLES } from '@wergon/core/time';
import { z } from 'zod';

/** What may be done at the desk; each route names one of these, or says that it is public or a station's. */
export const RIGHTS = [
  'own.time',
  'floor.see',
  'floor.answer',
  'work.see',
  'work.change',
  'offers.ask',
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

/** The roles that come with Wergon. They stay as they are; a shop makes its own as copies of them. */
export const ROLES = [
  'own',
  'technician',
  'lead',
  'supervisor',
  'planner',
  'bookkeeper',
  'administrator',
] as const;
export type Role = (typeof ROLES)[number];

/** What lets somebody touch the time of others. */
const TIME_RIGHTS: readonly Right[] = ['ledger.correct', 'time.approve'];
export const touchesTime = (rights: Iterable<Right>): boolean =>
  [...rights].some((right) => TIME_RIGHTS.includes(right));

/** Whether roles reach no time but that of the crew one leads: none of those that let touch time reaches further. */
export const isCrewOnly = (
  roles: readonly { readonly rights: readonly Right[]; readonly reach: Reach }[],
): boolean => !roles.some(({ rights, reach }) => reach === 'all' && touchesTime(rights));

/** Whose time a role may touch: everybody's, or that of the crew one leads on the floor. */
export const REACHES = ['all', 'crew'] as const;
export type Reach = (typeof REACHES)[number];

/** What only whoever owns the shop may do. */
const OF_THE_OWNER: ReadonlySet<Right> = new Set<Right>([
  'rates.see',
  'users.change',
  'pay.close',
  'pay.reopen',
]);

/** What each role may do. To see rates can also be given to one person, whatever their role. */
export const RIGHTS_OF_ROLE: Readonly<Record<Role, readonly Right[]>> = {
  own: ['own.time'],
  technician: ['own.time', 'floor.see'],
  lead: [
    'own.time',
    'floor.see',
    'floor.answer',
    'work.see',
    'ledger.see',
    'ledger.correct',
    'reconcile.see',
    'time.approve',
  ],
  supervisor: RIGHTS.filter((right) => !OF_THE_OWNER.has(right)),
  planner: [
    'own.time',
    'floor.see',
    'floor.answer',
    'work.see',
    'work.change',
    'offers.ask',
    'people.see',
    'shop.see',
  ],
  bookkeeper: [
    'own.time',
    'floor.see',
    'work.see',
    'offers.ask',
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
export const REACH_OF_ROLE: Readonly<Record<Role, Reach>> = {
  own: 'crew',
  technician: 'crew',
  lead: 'crew',
  supervisor: 'all',
  planner: 'all',
  bookkeeper: 'all',
  administrator: 'all',
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

const listIds = z.array(z.string().min(1).max(200)).max(100).nullable().default(null);
/** What the user may do, who they are on the floor, and whose time they put right and approve: all (`null`), or some
 *  departments and crews by their ids in the lists, so that a new name changes nobody's rights. */
const scope = {
  roles: z
    .array(z.string().min(1).max(60))
    .min(1)
    .max(10)
    .refine((roles) => new Set(roles).size === roles.length, 'has a role twice'),
  seesRates: z.boolean(),
  technician: idText<'TechnicianId'>().nullable().default(null),
  departments: listIds,
  crews: listIds,
  /** Whether they are told of no others either: neither where these are nor what they work on. */
  seesOnlyTheirs: z.boolean().default(false),
};

/** A role of the shop's own: what it may do, right by right. */
export const roleFieldsSchema = z.strictObject({
  name,
  rights: z
    .array(z.enum(RIGHTS))
    .min(1)
    .refine((rights) => new Set(rights).size === rights.length, 'has a right twice'),
  reach: z.enum(REACHES),
});

export const rolesSchema = z.object({
  roles: z.array(
    z.object({
      id: z.string(),
      /** What the shop calls it; of those that come with Wergon each language has its word. */
      name: z.string().nullable(),
      rights: z.array(z.enum(RIGHTS)),
      reach: z.enum(REACHES),
    }),
  ),
});

export const newUserSchema = z.strictObject({
  name,
  userName,
  password,
  ...scope,
});

/** A new password only where one is given. */
export const userFieldsSchema = z.strictObject({
  name,
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
      roles: z.array(z.string()),
      seesRates: z.boolean(),
      technician: technicianId.nullable(),
      departments: z.array(z.string()).nullable(),
      crews: z.array(z.string()).nullable(),
      seesOnlyTheirs: z.boolean(),
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
  /** What they are, each by its id and the shop's name for it. */
  roles: z.array(z.object({ id: z.string(), name: z.string().nullable() })),
  /** Whether they stand on the floor's list too, and so have time of their own. */
  isTechnician: z.boolean(),
  rights: z.array(z.enum(RIGHTS)),
  /** Whether they got their password from somebody else and must choose one of their own first. */
  mustChangePassword: z.boolean(),
  /** After so many minutes without a touch they are signed out; never on a computer of their own. */
  signOutMinutes: z.number().nullable(),
  shopName: z.string(),
  zone: z.string(),
  currency: z.string(),
  isDemo: z.boolean(),
  /** Whether estimates are asked for and offered here. */
  makesOffers: z.boolean(),
  /** Fields of orders and tasks that this shop does without. */
  unusedFields: z.array(z.enum(SPARE_FIELDS)),
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
