import { defineEntity, p } from '@mikro-orm/core';
import type { Rate } from '@wergon/core/money';
import type { LocalDay, Instant, Seconds } from '@wergon/core/time';
import type { InferEntity } from '@mikro-orm/core';
import type { AbsenceKind, PatternWeek, TechnicianId } from '@wergon/core/people';
import type { BadgeId, Language, PersonAct } from '@wergon/core/station';

export const TechnicianEntity = defineEntity({
  name: 'Technician',
  tableName: 'technician',
  properties: {
    id: p.string().$type<TechnicianId>().primary(),
    number: p.string().unique(),
    name: p.string(),
    department: p.string(),
    leftOn: p.integer().$type<LocalDay>().nullable(),
    crew: p.string().default(''),
    grade: p.string().nullable(),
    kind: p.string().$type<'own' | 'subcontractor'>().default('own'),
    payrollNumber: p.string().default(''),
    feedsPay: p.boolean().default(true),
    initials: p.string().default(''),
    isLead: p.boolean().default(false),
    language: p.string().$type<Language>().nullable(),
    hiredOn: p.integer().$type<LocalDay>().nullable(),
    billedSeconds: p.integer().$type<Seconds>().nullable(),
    /** An argon2 hash; absent where no PIN is asked. */
    pinHash: p.string().nullable(),
  },
});
export type Technician = InferEntity<typeof TechnicianEntity>;

/** A code by which a technician is known: one of ours, or what a card or fob of theirs sends. */
export const BadgeEntity = defineEntity({
  name: 'Badge',
  tableName: 'badge',
  properties: {
    id: p.string().$type<BadgeId>().primary(),
    technician: p.string().$type<TechnicianId>().index(),
    code: p.string().unique(),
    revokedAt: p.integer().$type<Instant>().nullable(),
    isBound: p.boolean().default(false),
  },
});

/** A person's own label that stands for their badge and an act; worthless when the badge is revoked. */
export const PersonLabelEntity = defineEntity({
  name: 'PersonLabel',
  tableName: 'person_label',
  properties: {
    code: p.string().primary(),
    badge: p.string().$type<BadgeId>().index(),
    action: p.string().$type<PersonAct>(),
  },
});

/** One dated rate record, kept as the decimal strings it was entered with. */
export const CostRateEntity = defineEntity({
  name: 'CostRate',
  tableName: 'cost_rate',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    fromDay: p.integer().$type<LocalDay>().primary(),
    record: p.text(),
  },
});

/** The pay group that somebody belongs to from a day on; empty for none. */
export const PayGroupEntity = defineEntity({
  name: 'PayGroupMember',
  tableName: 'pay_group_member',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    fromDay: p.integer().$type<LocalDay>().primary(),
    payGroup: p.string(),
  },
});

export const GradeEntity = defineEntity({
  name: 'Grade',
  tableName: 'grade',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    standardRate: p.integer().$type<Rate>(),
    /** Its standard rates by the day from which each holds; absent for one that never changed. */
    rates: p.json<readonly { readonly from: LocalDay; readonly rate: Rate }[]>().nullable(),
  },
});

/** The rotation that holds for a technician from a day on. */
export const PatternEntity = defineEntity({
  name: 'Pattern',
  tableName: 'work_pattern',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    fromDay: p.integer().$type<LocalDay>().primary(),
    weeks: p.json<PatternWeek[]>(),
  },
});

export const AbsenceEntity = defineEntity({
  name: 'Absence',
  tableName: 'absence',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    kind: p.string(),
    isPaid: p.boolean(),
    /** Absent where all that is planned of the day is off. */
    seconds: p.integer().$type<Seconds>().nullable(),
  },
});

/** Hours a year that somebody may be away, by kind. */
export const LeaveAllowanceEntity = defineEntity({
  name: 'LeaveAllowance',
  tableName: 'leave_allowance',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    year: p.integer().primary(),
    kind: p.string().$type<AbsenceKind>().primary(),
    seconds: p.integer().$type<Seconds>(),
  },
});
