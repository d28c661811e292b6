import { z } from 'zod';
import { day, dayText, idText, instant, seconds, technicianId } from '../wire/index.ts';

/** A stretch of time; `to` is where it ends, or now where it goes on. */
const span = { from: instant, to: instant, isOpen: z.boolean(), isTorn: z.boolean() };

/** What a day or all of a card comes to. */
const sums = {
  attendedSeconds: seconds,
  chargedSeconds: seconds,
  jobSeconds: seconds,
  overtimeSeconds: seconds,
  doubleSeconds: seconds,
  awaySeconds: seconds,
  plannedSeconds: seconds,
  balanceSeconds: z.number(),
};

/** One person's card: no rate and no cost. Days are shift days; hours that were written down stand in the lines alone. */
export const cardSchema = z.object({
  asOf: instant,
  technician: technicianId,
  name: z.string(),
  number: z.string(),
  firstDay: day,
  lastDay: day,
  ...sums,
  days: z.array(
    z.object({
      day,
      shifts: z.array(z.object(span)),
      breaks: z.array(z.object(span)),
      stretches: z.array(z.object({ ...span, titles: z.array(z.string()) })),
      lines: z.array(z.object({ title: z.string(), order: z.string(), seconds })),
      /** Leave by its kind, paid or not, and a closed day that is paid. */
      away: z.array(z.object({ kind: z.string(), seconds, isPaid: z.boolean() })),
      ...sums,
    }),
  ),
});
export type CardJson = z.output<typeof cardSchema>;

/** Days that are over and that somebody is asked to confirm; none where the shop does not want that. */
const toConfirm = z.array(
  z.object({ day, stamp: z.string(), attendedSeconds: seconds, chargedSeconds: seconds }),
);
/** One person's own time, for themselves. */
export const ownTimeSchema = z.object({ card: cardSchema, toConfirm });
export type OwnTimeJson = z.output<typeof ownTimeSchema>;

/** The days of a card; a week up to today where nothing is said. */
const cardDays = { from: dayText.exactOptional(), to: dayText.exactOptional() };
export const askCardSchema = z.strictObject({ technician: idText<'TechnicianId'>(), ...cardDays });
export const askOwnCardSchema = z.strictObject(cardDays);

/** At a station somebody's own time is asked for, and confirmed, with what they have proved to the server. */
const self = { technician: idText<'TechnicianId'>(), proof: z.string().max(100) };
export const askOwnTimeSchema = z.strictObject({ ...self, ...cardDays });
const seenDays = z
  .array(z.strictObject({ day: dayText, stamp: z.string().max(100) }))
  .min(1)
  .max(31);
export const confirmOwnTimeSchema = z.strictObject({ ...self, days: seenDays });
export const confirmOwnDaysSchema = z.strictObject({ days: seenDays });
