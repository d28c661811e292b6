import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { ResourceId } from '@wergon/core/station';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Say } from '../../words/index.ts';

/** A sentence to be read from across the room, and one to be read from arm's length. */
export type Line = { readonly headline: string; readonly help: string };

/** Names of what ids stand for, and lengths and clock times as they are spoken. */
export type Names = {
  readonly target: (id: TargetId) => string;
  readonly person: (id: TechnicianId) => string;
  readonly machine: (id: ResourceId) => string;
  readonly clock: (at: Instant) => string;
  /** A day with its weekday. */
  readonly day: (day: LocalDay) => string;
  readonly length: (seconds: number) => string;
  /** Hours as this station writes them. */
  readonly hours: (seconds: number) => string;
};

/** How one language is spoken: its messages, lists of names, and lengths of time. */
export type Speech = {
  readonly say: Say;
  readonly and: (names: readonly string[]) => string;
  readonly length: (seconds: number) => string;
};
