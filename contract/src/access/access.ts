import { z } from 'zod';

/** What may be done at the desk; each route names one of these, or says that it is public or a station's. */
export const RIGHTS = [
  'floor.see',
  'work.see',
  'work.change',
  'people.see',
  'people.change',
  'rates.see',
  'ledger.see',
  'ledger.correct',
  'reconcile.see',
  'shop.see',
  'shop.change',
] as const;
export type Right = (typeof RIGHTS)[number];

export const ROLES = ['supervisor', 'administrator'] as const;
export type Role = (typeof ROLES)[number];

const SUPERVISOR: readonly Right[] = RIGHTS.filter((right) => right !== 'rates.see');

/** What each role may do. To see rates is given to a person, not to the role of a supervisor. */
export const RIGHTS_OF_ROLE: Readonly<Record<Role, readonly Right[]>> = {
  supervisor: SUPERVISOR,
  administrator: RIGHTS,
};

const name = z.string().trim().min(1).max(80);
const userName = z.string().trim().min(1).max(80);
const password = z.string().min(10, 'must have at least 10 characters').max(200);

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

export const newUserSchema = z.strictObject({
  name,
  userName,
  password,
  role: z.enum(ROLES),
  seesRates: z.boolean(),
});

/** Who is signed in at the desk, and the shop he is signed in to. */
export const sessionSchema = z.strictObject({
  name: z.string(),
  role: z.enum(ROLES),
  rights: z.array(z.enum(RIGHTS)),
  shopName: z.string(),
  zone: z.string(),
  currency: z.string(),
  isDemo: z.boolean(),
  now: z.string(),
});
export type SessionView = z.output<typeof sessionSchema>;

export const startSchema = z.strictObject({
  needsFirstRun: z.boolean(),
  isDemo: z.boolean(),
  now: z.string(),
});
