import { z } from 'zod';
import { dayText } from '../wire/index.ts';
import type { Right } from '../access/index.ts';

/** Who may call a route: anybody, a paired station, whoever is signed in, or whoever has a right. */
export type Caller = 'public' | 'station' | 'signed-in' | Right;

export type Route = {
  readonly method: 'get' | 'post';
  readonly path: string;
  readonly caller: Caller;
  readonly summary: string;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  readonly response: z.ZodType;
  /** Whether the answer is the same for everybody who may ask. */
  readonly isShared?: boolean;
  /** The field of the body whose parts are read each on its own, so that a bad one holds up no other. */
  readonly readsEach?: string;
  /** How large a body may be, where it may be larger than others. */
  readonly bodyLimit?: string;
};

export const nothing = z.null();
/** The id of what was added. */
export const createdSchema = z.object({ id: z.string() });

/** After which place in the journal. */
export const after = z.strictObject({ after: z.coerce.number().int().min(0) });

/** From one day to another; the route says what holds without them. */
export const days = z.strictObject({ from: dayText.exactOptional(), to: dayText.exactOptional() });
