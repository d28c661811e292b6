import { z } from 'zod';
import { PAY_BASES, PAY_PERIOD_KINDS } from '@wergon/core/pay';
import { parseDay } from '@wergon/core/time';
import { PAPERS, SYMBOLOGIES } from '@wergon/core/labels';
import { ACTIONS } from '@wergon/core/scan';
import { REASON_KINDS, SPARE_FIELDS, WORK_TYPES } from '@wergon/core/work';
import { amountText, day, dayText, instant, onceId } from '../wire/index.ts';

const name = z.string().trim().min(1).max(80);
const label = z.string().trim().max(80);

/** Lists of plain words that the shop keeps for itself. */
export const LISTS = [
  'department',
  'crew',
  'division',
  'job-type',
  'cost-code',
  'down-reason',
  'rework-reason',
  'scrap-reason',
  'pay-group',
] as const;
export type ListName = (typeof LISTS)[number];

export const newListItemSchema = z.strictObject({ list: z.enum(LISTS), name });
export const listItemSchema = z.strictObject({ name, isOff: z.boolean() });

export const activityFieldsSchema = z.strictObject({
  title: name,
  /** What it is for, shown where it is chosen. */
  description: z.string().trim().max(200).default(''),
  /** Whether the time counts as attended, and whether it is paid. */
  counts: z.boolean(),
  isPaid: z.boolean().default(true),
  /** Only for this division; empty for all. */
  division: label.default(''),
  /** The kind of work that belongs here where an order's estimate leaves it out. */
  takesWork: z.enum(WORK_TYPES).nullable().default(null),
  isOff: z.boolean().default(false),
});

export const RESOURCE_KINDS = ['work-center', 'machine'] as const;
export const resourceFieldsSchema = z
  .strictObject({
    kind: z.enum(RESOURCE_KINDS),
    name,
    /** Where a machine stands. */
    workCenter: label.default(''),
    /** Whether a start at this work center must say on which machine. */
    asksMachine: z.boolean().default(false),
    isOff: z.boolean().default(false),
  })
  .refine(({ kind, workCenter }) => kind === 'work-center' || workCenter !== '', {
    path: ['workCenter'],
    message: 'a machine stands at a work center',
  });

/** What a customer is charged; fields for later, never mixed with cost. */
export const chargeSchema = z.strictObject({
  isBillable: z.boolean(),
  per: z.enum(['hour', 'flat']),
  amount: amountText,
});
export const chargeJson = z.object({
  isBillable: z.boolean(),
  per: z.enum(['hour', 'flat']),
  amount: z.string(),
});
export type Charge = z.output<typeof chargeJson>;

export const customerFieldsSchema = z.strictObject({
  name,
  note: z.string().trim().max(500).default(''),
  charge: chargeSchema.nullable().default(null),
  isOff: z.boolean().default(false),
});

/** The customer's machine on the bench. */
export const unitFieldsSchema = z.strictObject({
  type: name,
  maker: label.default(''),
  serialNumber: label.default(''),
  nameplate: z.string().trim().max(500).default(''),
  owner: label.default(''),
});
/** A unit as it is told. */
export const unitJson = z.object({
  id: z.string(),
  type: z.string(),
  maker: z.string(),
  serialNumber: z.string(),
  nameplate: z.string(),
  owner: z.string(),
});
export const newUnitSchema = unitFieldsSchema.extend({ once: onceId });

export const closedDaySchema = z.strictObject({ day: dayText, name, isPaid: z.boolean().default(false) });
export const dayOnlySchema = z.strictObject({ day: dayText });

/** What stands on every station's screen while nobody does, until a day has gone by. */
export const noticeSchema = z.strictObject({
  text: z.string().trim().min(1).max(200),
  until: dayText.nullable().default(null),
  once: onceId,
});
export const noticesSchema = z.object({
  notices: z.array(
    z.object({
      id: z.string(),
      at: instant,
      by: z.string(),
      text: z.string(),
      until: day.nullable(),
    }),
  ),
});

/** Who may write down at a station what no task is there for. */
export const WRITERS = ['nobody', 'leads', 'everybody'] as const;

/** Where the time is entered that people are paid by. */
export const TIME_FROM = ['here', 'elsewhere'] as const;

const workSettings = z.strictObject({
  /** Whether a task that is assigned may be started by nobody else. */
  isAssignedOnly: z.boolean(),
  /** What stations ask the reason of. */
  asksWhy: z.array(z.enum(REASON_KINDS)).max(REASON_KINDS.length).default(['scrap']),
  /** Whether people may make a phone of their own a station for themselves. */
  ownPhones: z.boolean().default(false),
  /** Whether estimates are asked for and offered. */
  offers: z.boolean().default(false),
  /** Who may write down at a station what no task is there for. */
  writesDown: z.enum(WRITERS).default('nobody'),
  /** Whether the estimate of a new order includes travel, until its own choice is made. */
  includesTravel: z.boolean().default(false),
  /** What of `SPARE_FIELDS` the shop does without. */
  unusedFields: z.array(z.enum(SPARE_FIELDS)).max(SPARE_FIELDS.length).default([]),
});
const DEFAULT_WORK = workSettings.parse({ isAssignedOnly: false });

export const settingsSchema = z.strictObject({
  name,
  orderNumbers: z.strictObject({
    prefix: z
      .string()
      .trim()
      .max(10)
      .regex(/^[A-Za-z0-9/-]*$/, 'may hold letters, digits, / and -'),
    digits: z.int().min(1).max(10),
    first: z.int().min(1).max(1_000_000_000),
  }),
  labels: z.strictObject({ symbology: z.enum(SYMBOLOGIES), paper: z.enum(PAPERS) }),
  pay: z.strictObject({
    period: z.enum(PAY_PERIOD_KINDS),
    /** A first day of some period. */
    anchor: z.string().refine((text) => parseDay(text).ok, 'expected a calendar day such as 2026-03-02'),
    /** Whether time goes to pay only when somebody has approved it. */
    approval: z.enum(['person-day', 'none']),
    /** Whether technicians are asked at the station to confirm their own days. */
    isConfirmed: z.boolean(),
    /** Whether what is charged is paid, or what was attended as well. */
    basis: z.enum(PAY_BASES).default('labor'),
    /** Whether time is entered here and goes out to pay, or is entered elsewhere and comes in. */
    timeFrom: z.enum(TIME_FROM).default('here'),
  }),
  /** After so many minutes in which nobody touches a page at the desk, it signs itself out. */
  desk: z.strictObject({ signOutMinutes: z.int().min(5).max(720) }),
  /** At which full hour of the shop's day a backup is made, and how many of them are kept; none where no hour is set. */
  backup: z.strictObject({ hour: z.int().min(0).max(23).nullable(), keep: z.int().min(1).max(365) }),
  work: workSettings.default(DEFAULT_WORK),
  reconcile: z.strictObject({
    /** Gaps shorter than this are answered by the shop's rule: nobody has to decide on them. 0: none are. */
    answeredGapMinutes: z.int().min(0).max(60),
  }),
});
export type Settings = z.output<typeof settingsSchema>;

export const DEFAULT_SETTINGS: Omit<Settings, 'name'> = {
  orderNumbers: { prefix: '', digits: 4, first: 1001 },
  labels: { symbology: 'code128', paper: 'a4' },
  pay: {
    period: 'two-weekly',
    anchor: '2026-01-05',
    approval: 'person-day',
    isConfirmed: false,
    basis: 'labor',
    timeFrom: 'here',
  },
  desk: { signOutMinutes: 60 },
  backup: { hour: 2, keep: 14 },
  work: DEFAULT_WORK,
  reconcile: { answeredGapMinutes: 0 },
};

/** How the shop's backups are doing. Times are the computer's own, not a demo's. */
export const backupsSchema = z.object({
  folder: z.string().nullable(),
  isScheduled: z.boolean(),
  isRunning: z.boolean(),
  last: z
    .strictObject({ at: z.string(), file: z.string(), entries: z.number(), bytes: z.number() })
    .nullable(),
  failed: z.object({ at: z.string(), why: z.string() }).nullable(),
});

const coded = { id: z.string(), code: z.string(), isOff: z.boolean() };

export const shopSchema = z.object({
  settings: settingsSchema,
  zone: z.string(),
  currency: z.string(),
  lists: z.record(z.enum(LISTS), z.array(z.object({ id: z.string(), name: z.string(), isOff: z.boolean() }))),
  activities: z.array(
    z.object({
      ...coded,
      title: z.string(),
      description: z.string(),
      counts: z.boolean(),
      isPaid: z.boolean(),
      division: z.string(),
      takesWork: z.enum(WORK_TYPES).nullable(),
    }),
  ),
  resources: z.array(
    z.object({
      ...coded,
      kind: z.enum(RESOURCE_KINDS),
      name: z.string(),
      workCenter: z.string(),
      asksMachine: z.boolean(),
    }),
  ),
  customers: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      note: z.string(),
      charge: chargeJson.nullable(),
      isOff: z.boolean(),
    }),
  ),
  units: z.array(unitJson.extend({ orderCount: z.number() })),
  closedDays: z.array(z.object({ day, name: z.string(), isPaid: z.boolean() })),
  actions: z.array(z.object({ action: z.enum(ACTIONS), code: z.string() })),
});
export type ShopJson = z.output<typeof shopSchema>;

/** What is still missing before the shop can rely on its numbers, by name. */
export const checklistSchema = z.object({
  items: z.array(
    z.object({
      kind: z.enum([
        'no-people',
        'no-rate',
        'no-badge',
        'no-pattern',
        'no-grade',
        'no-order',
        'no-estimate',
        'no-station',
        'station-untested',
      ]),
      /** Whom or what it is about; empty where the whole shop lacks it. */
      names: z.array(z.string()),
      /** How many there are, which can be more than are named. */
      count: z.number(),
    }),
  ),
  hasScans: z.boolean(),
});
export type Checklist = z.output<typeof checklistSchema>;
