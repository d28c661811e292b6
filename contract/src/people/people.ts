import { z } from 'zod';
import { checkPattern } from '@wergon/core/people';
import { LANGUAGES, OWN_LABEL_ACTS } from '@wergon/core/station';
import {
  badgeId,
  day,
  dayText,
  hoursText,
  idText,
  instant,
  onceId,
  rateText,
  seconds,
  technicianId,
} from '../wire/index.ts';

const label = z.string().trim().max(80);
const shortText = label.min(1);

/** Own staff, or somebody another firm sends. */
export const TECHNICIAN_KINDS = ['own', 'subcontractor'] as const;

const numberText = z.string().trim().min(1).max(20);

/** Everything about a technician that is no pay and no badge. What is left out is empty. */
export const technicianSchema = z
  .strictObject({
    number: numberText,
    name: shortText,
    department: label.default(''),
    crew: label.default(''),
    grade: z.string().nullable().default(null),
    kind: z.enum(TECHNICIAN_KINDS).default('own'),
    payrollNumber: z.string().trim().max(40).default(''),
    /** Whether their time goes to pay; not said, it does for own staff. */
    feedsPay: z.boolean().optional(),
    initials: z.string().trim().max(5).default(''),
    /** Whether they lead their crew: signs it on and off, and may let through what a station refuses. */
    isLead: z.boolean().default(false),
    /** What a station speaks while they stand there; none named: its own. */
    language: z.enum(LANGUAGES).nullable().default(null),
    hiredOn: dayText.nullable().default(null),
    leftOn: dayText.nullable().default(null),
    /** Billed hours expected of them on a planned day. */
    billedHours: hoursText
      .refine(({ numerator, denominator }) => numerator <= 24n * denominator, 'must not be above 24')
      .nullable()
      .default(null),
  })
  .refine(({ hiredOn, leftOn }) => hiredOn === null || leftOn === null || hiredOn <= leftOn, {
    path: ['leftOn'],
    message: 'must not be before the day of hiring',
  });
export type TechnicianFields = z.output<typeof technicianSchema>;

const badge = z.object({
  id: badgeId,
  /** `null` for whoever may not hand out badges: a code opens the station as its owner. */
  code: z.string().nullable(),
  isBound: z.boolean(),
  revokedAt: instant.nullable(),
});

const technicianRow = z.object({
  id: technicianId,
  number: z.string(),
  name: z.string(),
  department: z.string(),
  crew: z.string(),
  grade: z.string().nullable(),
  kind: z.enum(TECHNICIAN_KINDS),
  payrollNumber: z.string(),
  feedsPay: z.boolean(),
  initials: z.string(),
  isLead: z.boolean(),
  language: z.enum(LANGUAGES).nullable(),
  hiredOn: day.nullable(),
  leftOn: day.nullable(),
  billedHours: z.string().nullable(),
  hasPin: z.boolean(),
  badges: z.array(badge),
  /** Whether a cost rate holds today; the rate itself is not here. */
  hasRate: z.boolean(),
});
export type TechnicianRow = z.output<typeof technicianRow>;

export const peopleSchema = z.object({
  technicians: z.array(technicianRow),
  grades: z.array(z.object({ id: z.string(), name: z.string(), standardRate: z.string() })),
});

/** Everybody who works here now: what a page needs to name them. */
export const namesSchema = z.object({
  people: z.array(z.object({ id: technicianId, name: z.string(), department: z.string() })),
});

export const newGradeSchema = z.strictObject({ name: shortText, standardRate: rateText });

export const badgeCodeSchema = z.object({ id: badgeId, code: z.string() });
export const ownLabelSchema = z.strictObject({ action: z.enum(OWN_LABEL_ACTS) });
export const issueBadgeSchema = z.strictObject({ once: onceId });
export const bindBadgeSchema = z.strictObject({ text: z.string().min(1).max(200) });

/** Four to eight digits, or none any more. */
export const pinText = z.string().regex(/^\d{4,8}$/, 'must be four to eight digits');
export const setPinSchema = z.strictObject({ pin: pinText.nullable() });
export const checkPinSchema = z.strictObject({
  technician: idText<'TechnicianId'>(),
  pin: z.string().max(20),
});

export const changePinSchema = checkPinSchema.extend({ newPin: pinText });

const shiftPlan = z.strictObject({
  startMinute: z.int(),
  endMinute: z.int(),
  breakMinutes: z.int(),
});

const PATTERN_WORDS = {
  'pattern.weeks': 'must have one to four weeks',
  'pattern.days': 'must have seven days a week',
  'pattern.minute': 'a shift must begin and end within a day, as in 6:00 and 14:30',
  'pattern.break': 'the break must be shorter than its shift',
} as const;

export const patternSchema = z.strictObject({
  from: dayText,
  weeks: z.array(z.array(shiftPlan.nullable())).superRefine((weeks, context) => {
    const checked = checkPattern(weeks);
    if (checked.ok) return;
    const { week, day } = checked.params;
    const path = [week, day].filter((part) => part !== undefined);
    context.addIssue({ code: 'custom', path, message: PATTERN_WORDS[checked.code] });
  }),
});

/** What is planned of one person, and when they are away. */
export const planSchema = z.object({
  patterns: z.array(z.object({ from: day, weeks: z.array(z.array(shiftPlan.nullable())) })),
  absences: z.array(
    z.object({
      day,
      kind: z.string(),
      isPaid: z.boolean(),
      /** `null` for all that is planned of the day. */
      seconds: seconds.nullable(),
    }),
  ),
  days: z.array(
    z.object({
      day,
      kind: z.enum(['work', 'free', 'closed', 'absent', 'unplanned']),
      plannedSeconds: z.number(),
      /** What is planned of it, where it is a day of work. */
      plan: shiftPlan.nullable(),
      /** Why the shop is closed, or the kind of the absence; empty otherwise. */
      why: z.string(),
    }),
  ),
});
