import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { toSeconds } from '@wergon/core/time';
import { PAY_CLASSES } from '@wergon/core/pay';
import { WORK_TYPES } from '@wergon/core/work';
import { usedSchema } from '../ledger/index.ts';
import { day, dayText, entryId, idText, instant, onceId, targetId, technicianId } from '../wire/index.ts';
import { comparisonSchema } from '../compare/index.ts';

const technician = idText<'TechnicianId'>();
const target = idText<'TargetId'>();
const workType = z.enum(WORK_TYPES);
const seconds = z
  .int()
  .min(0)
  .max(24 * 3600, 'a day holds no more than 24 hours')
  .transform(toSeconds);

/** One length of time written down for a day; of 0 seconds where what stands there is to go. */
const hoursRow = z.strictObject({
  /** The entry that it changes; absent for a new one. */
  entry: idText<'EntryId'>().nullable(),
  technician,
  target,
  workType,
  day: dayText,
  seconds,
});

/** Lengths of time written down together, all or none. */
export const enterHoursSchema = z.strictObject({
  rows: z.array(hoursRow).min(1).max(500),
  reason: z.string().trim().max(200).default(''),
  once: onceId,
});
export type EnterHours = z.input<typeof enterHoursSchema>;

/** Seconds of a clock time since midnight. */
const clockSeconds = z
  .int()
  .min(0)
  .max(24 * 3600 - 1, 'expected a time of day');
/** Most pieces that one row can say. */
const pieces = z.int().min(0).max(1_000_000).default(0);

/** A row of a paper slip: with a start and an end, which lies on the next day where it is not behind the start, or with
 *  a length alone. */
const slipRow = z
  .strictObject({
    technician,
    target,
    workType,
    day: dayText,
    from: clockSeconds.nullable().default(null),
    to: clockSeconds.nullable().default(null),
    seconds: seconds.nullable().default(null),
    good: pieces,
    scrap: pieces,
    note: z.string().trim().max(500).default(''),
  })
  .refine(({ from, to }) => (from === null) === (to === null), {
    path: ['to'],
    message: 'has only one of start and end',
  })
  .refine(({ from, seconds: length }) => (from === null) !== ((length ?? 0) === 0), {
    path: ['seconds'],
    message: 'expected a start and an end, or hours',
  });

/** Rows of paper slips recorded together, all or none. Drafts that they come from are gone with it. */
export const recordSlipsSchema = z.strictObject({
  rows: z.array(slipRow).min(1).max(500),
  drafts: z.array(z.string().max(100)).max(500).default([]),
  once: onceId,
});
export type RecordSlips = z.input<typeof recordSlipsSchema>;

export const weekQuery = z.strictObject({ technician, day: dayText });

const cell = z.object({
  day,
  /** Seconds of stints, which are put right on the tape. */
  scannedSeconds: z.number(),
  /** Lengths written down, each an entry of its own. */
  entered: z.array(z.object({ id: entryId, seconds: z.number(), workType })),
  /** Whether some of them came in from elsewhere, and are put right there. */
  isElsewhere: z.boolean(),
  isOpen: z.boolean(),
});

/** A person's week, Monday to Sunday: what each day was planned to hold and what it holds, by task and activity. */
export const weekSchema = z.object({
  asOf: instant,
  technician: technicianId,
  name: z.string(),
  /** Whether whoever asks may write this person's time down. */
  mayCorrect: z.boolean(),
  days: z.array(
    z.object({
      day,
      plannedSeconds: z.number(),
      attendedSeconds: z.number(),
      absence: z.string().nullable(),
      isClosed: z.boolean(),
      isFuture: z.boolean(),
      totalSeconds: z.number(),
      /** What of the shift that begins on it is paid beyond straight hours. */
      overtimeSeconds: z.number(),
      state: z.enum(['open', 'approved', 'changed']),
    }),
  ),
  rows: z.array(
    z.object({
      target: targetId,
      workType,
      title: z.string(),
      isTask: z.boolean(),
      cells: z.array(cell),
      totalSeconds: z.number(),
    }),
  ),
  /** How what runs is paid from when on, where that is not straight all the time. */
  stages: z.array(z.object({ class: z.enum(PAY_CLASSES), at: instant })),
  /** The last day before this week on which something is recorded of them. */
  lastDay: day.nullable(),
});
export type WeekJson = DeepReadonly<z.output<typeof weekSchema>>;

export const jobWeekQuery = z.strictObject({ target, day: dayText });

/** A week of one task or activity, by the people who were on it or may be. */
export const jobWeekSchema = z.object({
  asOf: instant,
  target: targetId,
  title: z.string(),
  days: z.array(z.object({ day, isClosed: z.boolean(), isFuture: z.boolean() })),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      department: z.string(),
      cells: z.array(cell),
      totalSeconds: z.number(),
    }),
  ),
  totalSeconds: z.number(),
  /** What a task comes to in all, up to now; `null` of an activity. */
  task: z
    .strictObject({ comparison: comparisonSchema, hasEstimate: z.boolean(), used: usedSchema })
    .nullable(),
});
export type JobWeekJson = DeepReadonly<z.output<typeof jobWeekSchema>>;

/** A row as far as it has been written: every field may still be missing. */
export const draftFieldsSchema = z.strictObject({
  technician: z.string().max(200).default(''),
  target: z.string().max(200).default(''),
  /** What was typed for the person and for the task, found or not. */
  personText: z.string().max(200).default(''),
  targetText: z.string().max(200).default(''),
  workType: workType.default('run'),
  day: z.string().max(10).default(''),
  from: z.string().max(20).default(''),
  to: z.string().max(20).default(''),
  hours: z.string().max(20).default(''),
  good: z.string().max(20).default(''),
  scrap: z.string().max(20).default(''),
  note: z.string().max(500).default(''),
});
export type DraftFields = z.output<typeof draftFieldsSchema>;
export const saveDraftSchema = z.strictObject({
  id: z.string().max(100).nullable(),
  fields: draftFieldsSchema,
  once: onceId,
});
export const draftsSchema = z.object({
  drafts: z.array(
    z.object({
      id: z.string(),
      at: instant,
      /** Who wrote it, and whether that is whoever asks. */
      by: z.string(),
      isOwn: z.boolean(),
      fields: draftFieldsSchema,
    }),
  ),
});
export type DraftJson = z.output<typeof draftsSchema>['drafts'][number];
