import { z } from 'zod';
import { HIDEABLE_ACTS, IDENTITIES, LANGUAGES, STATION_KINDS, THEMES } from '@wergon/core/station';
import { HOURS_STYLES } from '@wergon/core/time';
import type { StationSettings } from '@wergon/core/station';
import { idText } from '../wire/index.ts';

const names = z.array(z.string().trim().min(1).max(80)).max(100).readonly();

/** How one station behaves, as it is set at the desk. */
export const stationSettingsSchema = z.strictObject({
  kind: z.enum(STATION_KINDS),
  identity: z.enum(IDENTITIES),
  people: names,
  workCenters: names,
  divisions: names.default([]),
  machine: idText<'ResourceId'>().nullable(),
  mayType: z.boolean(),
  takesNumbers: z.boolean().default(false),
  goesOut: z.boolean().default(false),
  signsIn: z.boolean(),
  maxEarlierMinutes: z.int().min(0).max(720),
  mayReopen: z.boolean(),
  mayOverride: z.boolean(),
  clearAfterBadge: z.int().min(5).max(600),
  clearAfterDone: z.int().min(2).max(60),
  language: z.enum(LANGUAGES),
  theme: z.enum(THEMES),
  hoursStyle: z.enum(HOURS_STYLES).default('h:mm'),
  isMuted: z.boolean(),
  hiddenActs: z.array(z.enum(HIDEABLE_ACTS)).max(HIDEABLE_ACTS.length).readonly().default([]),
}) satisfies z.ZodType<StationSettings>;
