import { z } from 'zod';
import {
  DATE_FORMS,
  DECIMALS,
  PAY_CLASSES,
  PAY_FIELDS,
  PAY_FILE_ROWS,
  SEPARATORS,
  WORKED_ON,
  findEmptyColumn,
  keyOfKind,
} from '@wergon/core/pay';
import type { PayKind, Separator } from '@wergon/core/pay';
import { ABSENCE_KINDS } from '@wergon/core/people';
import { day, dayText, instant, technicianId } from '../wire/index.ts';

/** All that is paid, as payroll may call it. */
export const PAY_KINDS: readonly PayKind[] = [
  ...PAY_CLASSES.flatMap((paidAs) => WORKED_ON.map((on): PayKind => ({ of: 'worked', class: paidAs, on }))),
  ...ABSENCE_KINDS.map((name): PayKind => ({ of: 'leave', name })),
  { of: 'closed' },
  { of: 'guarantee' },
];
const someId = z.string().min(1).max(200);
const KIND_KEYS = PAY_KINDS.map(keyOfKind);

/** The payroll's words for what is paid; what has no word is left out. */
export const savePayCodesSchema = z.strictObject({
  codes: z
    .array(
      z.strictObject({
        kind: z
          .string()
          .max(100)
          .refine((key) => KIND_KEYS.includes(key), 'is no kind of paid time'),
        code: z.string().trim().min(1).max(40),
      }),
    )
    .max(PAY_KINDS.length)
    .superRefine((codes, context) => {
      const seen = new Set<string>();
      codes.forEach(({ kind }, i) => {
        if (seen.has(kind))
          context.addIssue({ code: 'custom', path: [i, 'kind'], message: 'stands here twice' });
        seen.add(kind);
      });
    }),
});

const separator = z.enum(Object.keys(SEPARATORS) as Separator[]);
export const NEEDS_FINER_ROWS = 'needs finer rows: one a day, or one a day and task';
export const payLayoutSchema = z
  .strictObject({
    rows: z.enum(PAY_FILE_ROWS),
    columns: z
      .array(z.strictObject({ field: z.enum(PAY_FIELDS), heading: z.string().trim().max(60) }))
      .min(1)
      .max(20),
    separator,
    decimal: z.enum(Object.keys(DECIMALS) as (keyof typeof DECIMALS)[]),
    dates: z.enum(DATE_FORMS),
    hasHeadings: z.boolean(),
  })
  .superRefine((layout, context) => {
    const empty = findEmptyColumn(layout);
    if (empty !== undefined)
      context.addIssue({ code: 'custom', path: ['columns', empty, 'field'], message: NEEDS_FINER_ROWS });
  });
export type PayLayoutJson = z.output<typeof payLayoutSchema>;

/** A form of the file with its name; without an id it is a new one. */
export const savePayLayoutSchema = z.strictObject({
  id: someId.nullable(),
  name: z.string().trim().min(1).max(80),
  layout: payLayoutSchema,
});
export const removePayLayoutSchema = z.strictObject({ id: someId });

/** The payroll's words, and the forms of its file. */
export const payFormsSchema = z.object({
  codes: z.array(z.object({ kind: z.string(), code: z.string() })),
  layouts: z.array(z.object({ id: z.string(), name: z.string(), layout: payLayoutSchema })),
});

/** Of which period and group; an empty group is everybody who is in no file yet. */
const asked = { firstDay: dayText, group: z.string().trim().max(100).default('') };
export const payFileQuery = z.strictObject({ ...asked, layout: someId.optional() });
export const tryPayLayoutSchema = z.strictObject({ ...asked, layout: payLayoutSchema });
const cells = z.array(z.array(z.string()));
/** The first rows as they would stand in the file. */
export const triedPayLayoutSchema = z.object({ cells, rows: z.number() });

const sum = z.object({ code: z.string(), hundredths: z.number(), people: z.number() });
export type PayFileSum = z.output<typeof sum>;
const kind = z.string();

/** What a pay file of a period would hold, and what is in the way. */
export const payFileSchema = z.object({
  firstDay: day,
  lastDay: day,
  /** Why no file can be made now; `null` where one can, once what is missing is there or put off. */
  refusal: z.enum(['elsewhere', 'not-closed', 'no-layout', 'nothing']).nullable(),
  groups: z.array(z.string()),
  missing: z.array(
    z.object({
      /** By which it is put off. */
      key: z.string(),
      of: z.enum(['number', 'code', 'day']),
      technician: technicianId.nullable(),
      name: z.string(),
      kind: kind.nullable(),
      day: day.nullable(),
      seconds: z.number(),
    }),
  ),
  /** Whose time does not go to pay. */
  leftOut: z.array(z.object({ name: z.string(), seconds: z.number() })),
  rows: z.number(),
  people: z.number(),
  cells,
  sums: z.array(sum),
  /** Of earlier periods, paid with this one. */
  earlierSeconds: z.number(),
  /** Names what was seen. */
  stamp: z.string(),
  files: z.array(
    z.object({
      id: z.string(),
      by: z.string(),
      at: instant,
      layout: z.string(),
      group: z.string(),
      rows: z.number(),
      sums: z.array(sum),
      digest: z.string(),
      withdrawnBy: z.string().nullable(),
      reason: z.string().nullable(),
    }),
  ),
});
export type PayFileJson = z.output<typeof payFileSchema>;

export const makePayFileSchema = z.strictObject({
  ...asked,
  layout: someId,
  stamp: z.string().max(100),
  /** What is missing and was put off, by its keys. */
  putOff: z.array(z.string().max(250)).max(2_000),
});
export const madePayFileSchema = z.object({ id: z.string() });
export const payFileTextQuery = z.strictObject({ id: someId });
export const payFileTextSchema = z.object({
  text: z.string(),
  separator,
  name: z.string(),
  digest: z.string(),
});
export const withdrawPayFileSchema = z.strictObject({
  id: someId,
  reason: z.string().trim().min(1, 'say why').max(200),
});
