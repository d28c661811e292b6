import { z } from 'zod';
import { ABSENCE_KINDS } from '@wergon/core/people';
import { ANSWER_STATES, LANGUAGES, PERSON_ACTS } from '@wergon/core/station';
import { REASON_KINDS, WORK_TYPES } from '@wergon/core/work';
import { boardChangesSchema, boardSchema } from '../floor/index.ts';
import { REPORT_KINDS, REPORT_TIMES } from '../work/index.ts';
import {
  badgeId,
  day,
  entryId,
  idText,
  instant,
  onceId,
  resourceId,
  seconds,
  targetId,
  technicianId,
  workOrderId,
} from '../wire/index.ts';
import { WRITERS } from '../shop/index.ts';
import { scannerProfileSchema } from './station.ts';
import { stationSettingsSchema } from './settings.ts';

const code = z.string();
const said = z.object({ at: instant, by: z.string(), text: z.string() });
const leave = z.object({
  kind: z.enum(ABSENCE_KINDS),
  from: day,
  to: day,
  seconds: seconds.nullable().optional(),
});
const message = said.extend({
  /** A device may keep an older directory without these. */
  part: z.string().default(''),
  leave: leave.nullable().default(null),
  state: z.enum(ANSWER_STATES).nullable().default(null),
});

/** The board with everything else that a station must know to answer without the server. Of a badge it holds no code
 *  but a keyed form, and of nobody a rate or a cost. */
export const directorySchema = boardSchema.extend({
  station: z.object({ id: z.string(), name: z.string() }),
  settings: stationSettingsSchema,
  /** By which this station knows foreign cards. */
  cardKey: z.string(),
  codes: z.array(
    z.discriminatedUnion('kind', [
      z.object({ code, kind: z.literal('badge'), badge: badgeId, technician: technicianId }),
      z.object({ code, kind: z.literal('target'), target: targetId }),
      z.object({ code, kind: z.literal('order'), order: workOrderId }),
      z.object({ code, kind: z.literal('resource'), resource: resourceId }),
      z.object({
        code,
        kind: z.literal('traveler'),
        target: targetId,
        workType: z.enum(WORK_TYPES).exactOptional(),
        /** Whether the order has changed since this traveler was printed. */
        isOld: z.boolean(),
      }),
      z.object({
        code,
        kind: z.literal('person-act'),
        badge: badgeId,
        technician: technicianId,
        action: z.enum(PERSON_ACTS),
      }),
    ]),
  ),
  briefs: z.array(
    z.object({
      task: targetId,
      workCenter: z.string(),
      position: z.number(),
      description: z.string(),
      instructions: z.array(z.string()),
      reports: z.array(
        z.object({
          when: z.enum(REPORT_TIMES),
          kind: z.enum(REPORT_KINDS),
          label: z.string(),
          unit: z.string(),
          least: z.number().nullable(),
          most: z.number().nullable(),
          maySkip: z.boolean(),
        }),
      ),
      assigned: z.array(z.object({ kind: z.enum(['technician', 'crew']), id: z.string() })),
      good: z.number(),
      scrap: z.number(),
    }),
  ),
  /** What is said of indirect activities; a device may keep an older directory without it. */
  activityBriefs: z
    .array(z.object({ activity: targetId, description: z.string(), division: z.string() }))
    .default([]),
  jobs: z.array(
    z.object({
      order: workOrderId,
      quantity: z.number(),
      due: day.nullable(),
      parts: z.array(z.string()).default([]),
    }),
  ),
  people: z.array(
    z.object({
      technician: technicianId,
      /** A device may keep an older directory without it. */
      number: z.string().default(''),
      crew: z.string(),
      isLead: z.boolean(),
      hasPin: z.boolean(),
      language: z.enum(LANGUAGES).nullable(),
      lastAt: instant.nullable(),
      plannedEnd: instant.nullable(),
      messages: z.array(message),
      leave: z.array(z.object({ request: entryId, leave, isGranted: z.boolean() })).default([]),
    }),
  ),
  resources: z.array(
    z.object({
      id: resourceId,
      kind: z.enum(['work-center', 'machine']),
      name: z.string(),
      workCenter: z.string(),
      asksMachine: z.boolean(),
    }),
  ),
  belongs: z.array(z.object({ workType: z.enum(WORK_TYPES), activity: targetId })),
  /** A device may keep an older directory without it. */
  reasons: z.array(z.object({ kind: z.enum(REASON_KINDS), names: z.array(z.string()) })).default([]),
  /** Whether a task that is assigned may be started by nobody else; a device may keep an older directory without it. */
  isAssignedOnly: z.boolean().default(false),
  /** Whose own phone it is; a device may keep an older directory without it. */
  owner: technicianId.nullable().default(null),
  offersPhones: z.boolean().default(false),
  writesDown: z.enum(WRITERS).default('nobody'),
  /** Entries whose forgotten end somebody has spoken of already. */
  proposed: z.array(entryId),
  notices: z.array(said),
  scanner: scannerProfileSchema.nullable(),
  isDemo: z.boolean(),
});
/** What has changed of a directory since a place in the journal; `null` where that is not known any more, and the whole
 *  must be asked for. */
export const directoryChangesSchema = boardChangesSchema
  .extend({
    briefs: directorySchema.shape.briefs,
    people: directorySchema.shape.people,
    proposed: directorySchema.shape.proposed,
  })
  .nullable();
export type DirectoryChanges = NonNullable<z.output<typeof directoryChangesSchema>>;
export type Directory = z.output<typeof directorySchema>;

/** The badge that somebody holds in their hand, as it was read. */
export const proveSelfSchema = z.strictObject({
  technician: idText<'TechnicianId'>(),
  /** Empty on a phone that is the technician's own. */
  code: z.string().max(200),
});
/** Good for five minutes, for this technician at this station. */
export const provedSchema = z.object({ proof: z.string() });

/** A technician makes the phone in their hand a station of their own; the proof says that they stand here. */
export const ownPhoneSchema = z.strictObject({
  technician: idText<'TechnicianId'>(),
  proof: z.string().min(1).max(200),
});

/** Work that no task is there for: somebody writes down at a station what it is, and it is one. */
export const writeDownSchema = z.strictObject({
  technician: idText<'TechnicianId'>(),
  /** The number of its order, if anybody knows it. */
  order: z.string().trim().max(40).default(''),
  words: z.string().trim().min(1).max(120),
  workCenter: z.string().trim().max(120).default(''),
  once: onceId,
});
export const writtenDownSchema = z.object({ target: targetId });

/** Sample badges for the demo's bench; no other shop gives codes to a station. */
export const benchSchema = z.object({
  badges: z.array(z.object({ code: z.string(), name: z.string() })),
});
