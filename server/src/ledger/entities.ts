import { defineEntity, p } from '@mikro-orm/core';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant, LocalDay } from '@wergon/core/time';

/** The journal: one row an entry, never changed and never deleted (triggers see to it). `body` is the entry's JSON as
 *  first recorded; `envelope` is what stands around it, both in the form that the hash was taken of. */
export const JournalEntity = defineEntity({
  name: 'JournalRow',
  tableName: 'journal',
  indexes: [{ properties: ['stream', 'type'] }],
  properties: {
    seq: p.integer().primary(),
    id: p.string().unique(),
    stream: p.string(),
    type: p.string(),
    /** The entry that a correction names. */
    corrects: p.string().nullable().index(),
    body: p.text(),
    envelope: p.text(),
    hash: p.string(),
  },
});

/** Projection: what entries of the journal are looked up by. */
export const EntryIndexEntity = defineEntity({
  name: 'EntryIndexRow',
  tableName: 'entry_index',
  indexes: [{ properties: ['stream', 'type', 'day'] }],
  properties: {
    seq: p.integer().primary().autoincrement(false),
    stream: p.string(),
    type: p.string(),
    technician: p.string().$type<TechnicianId>().nullable().index(),
    day: p.integer().$type<LocalDay>().nullable(),
    recordedAt: p.integer().index(),
    author: p.string(),
    authorKind: p.string(),
    about: p.string().nullable().index(),
    isScanned: p.boolean(),
  },
});

/** Projection: entries of a later time than the server's, until their time has come. */
export const WaitingEntity = defineEntity({
  name: 'WaitingRow',
  tableName: 'waiting_entry',
  properties: { id: p.string().primary(), seq: p.integer(), due: p.integer().index(), body: p.text() },
});

/** Projection: pieces reported of a task. */
export const PieceCountEntity = defineEntity({
  name: 'PieceCountRow',
  tableName: 'piece_count',
  properties: { target: p.string().primary(), good: p.integer(), scrap: p.integer() },
});

/** What could not be recorded, kept whole. */
export const RefusedEntity = defineEntity({
  name: 'RefusedRow',
  tableName: 'refused_entry',
  properties: {
    id: p.integer().primary().autoincrement(),
    receivedAt: p.integer(),
    station: p.string().index(),
    body: p.text(),
    errors: p.text(),
  },
});

/** Projection: each labor entry as corrected; `day` is its local day, by which one day is derived anew. */
export const EffectiveEntity = defineEntity({
  name: 'EffectiveRow',
  tableName: 'effective_entry',
  indexes: [{ properties: ['technician', 'day'] }, { properties: ['type', 'day'] }],
  properties: {
    id: p.string().primary(),
    seq: p.integer(),
    type: p.string(),
    technician: p.string().$type<TechnicianId>().nullable(),
    day: p.integer().$type<LocalDay>(),
    /** The one task or activity that a note, a count or hours are about. */
    target: p.string().nullable().index(),
    body: p.text(),
  },
});

/** Projection: where a technician stood after the last entry of a day. */
export const LaborStateEntity = defineEntity({
  name: 'LaborStateRow',
  tableName: 'labor_state',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    state: p.text(),
    /** When that entry happened; absent where an older version has derived the day. */
    lastAt: p.integer().$type<Instant>().nullable(),
  },
});

const stretch = {
  technician: p.string().$type<TechnicianId>().primary(),
  from: p.integer().primary().fieldName('from_at'),
  to: p.integer().fieldName('to_at'),
  capped: p.boolean(),
  opened: p.string(),
  closed: p.string().nullable(),
  /** The local day of the entry that ended it, with which it is derived anew. */
  settledDay: p.integer().$type<LocalDay>(),
};

/** Projection: ended stints. */
export const StintEntity = defineEntity({
  name: 'StintRow',
  tableName: 'stint',
  indexes: [{ properties: ['technician', 'settledDay'] }, { properties: ['to'] }],
  properties: {
    ...stretch,
    running: p.text(),
    shiftSince: p.integer().nullable(),
    reason: p.string().nullable(),
  },
});

/** Projection: ended shifts and breaks. */
export const PresenceEntity = defineEntity({
  name: 'PresenceRow',
  tableName: 'presence',
  indexes: [{ properties: ['technician', 'settledDay'] }, { properties: ['to'] }],
  properties: { kind: p.string().primary(), ...stretch },
});

/** Projection: loose ends that come from one entry or from what it ended. */
export const LooseEndEntity = defineEntity({
  name: 'LooseEndRow',
  tableName: 'loose_end',
  indexes: [{ properties: ['technician', 'settledDay'] }],
  properties: {
    kind: p.string().primary(),
    entry: p.string().primary(),
    from: p.integer().primary().fieldName('from_at'),
    technician: p.string().$type<TechnicianId>(),
    to: p.integer().nullable().fieldName('to_at'),
    seconds: p.integer().nullable(),
    settledDay: p.integer().$type<LocalDay>().index(),
  },
});

/** Projection: labor lines of ended stints and entered hours. */
export const LaborLineEntity = defineEntity({
  name: 'LaborLineRow',
  tableName: 'labor_line',
  indexes: [{ properties: ['target'] }, { properties: ['day'] }],
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    target: p.string().primary(),
    workType: p.string().primary(),
    measuredSeconds: p.integer(),
    sharedSeconds: p.integer(),
    enteredSeconds: p.integer(),
    /** In cents, with what overtime adds; `null` where no rate holds. */
    cost: p.integer().nullable(),
    premium: p.integer().default(0),
    trueUp: p.integer().default(0),
  },
});

/** Projection: what overtime of a shift day adds to a labor line, in cents. */
export const LinePremiumEntity = defineEntity({
  name: 'LinePremiumRow',
  tableName: 'line_premium',
  indexes: [{ properties: ['day'] }],
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    target: p.string().primary(),
    workType: p.string().primary(),
    premium: p.integer(),
  },
});

/** Projection: ended shift days as they are paid, in seconds by class; only where a rule says how, or what was attended
 *  is paid too. */
export const PayDayEntity = defineEntity({
  name: 'PayDayRow',
  tableName: 'pay_day',
  indexes: [{ properties: ['shiftDay'] }],
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
    paid: p.integer(),
    straight: p.integer(),
    overtime: p.integer(),
    double: p.integer(),
    unallocated: p.integer(),
    /** What of it counts towards the tiers of its week. */
    counted: p.integer(),
    /** What its overtime adds in cents, whoever bears it. */
    premium: p.integer(),
    split: p.string().$type<'none' | 'decided' | 'changed'>(),
  },
});

/** Projection: of labor lines the parts that were done at a machine or had a reason; the rest of a line had neither. */
export const LinePartEntity = defineEntity({
  name: 'LinePartRow',
  tableName: 'line_part',
  indexes: [{ properties: ['day'] }],
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    target: p.string().primary(),
    workType: p.string().primary(),
    /** Empty where there is none. */
    machine: p.string().primary(),
    reason: p.string().primary(),
    measuredSeconds: p.integer(),
    sharedSeconds: p.integer(),
  },
});

/** Projection: time off that people asked for, and how it stands. */
export const LeaveRequestEntity = defineEntity({
  name: 'LeaveRequestRow',
  tableName: 'leave_request',
  indexes: [{ properties: ['technician'] }, { properties: ['lastDay'] }],
  properties: {
    request: p.string().primary(),
    technician: p.string().$type<TechnicianId>(),
    kind: p.string(),
    firstDay: p.integer().$type<LocalDay>(),
    lastDay: p.integer().$type<LocalDay>(),
    /** Of each day; absent for all that is planned of it. */
    seconds: p.integer().nullable(),
    standing: p.string(),
  },
});

/** Projection: what was said of a task's being finished. */
export const TaskMarkEntity = defineEntity({
  name: 'TaskMarkRow',
  tableName: 'task_mark',
  indexes: [{ properties: ['target'] }, { properties: ['at'] }],
  properties: {
    entry: p.string().primary(),
    target: p.string().primary(),
    at: p.integer().$type<Instant>(),
    seq: p.integer(),
    isDone: p.boolean(),
  },
});
