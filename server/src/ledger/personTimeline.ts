import { addSettled, emptyTimeline, allocateStint, settleAt } from '@wergon/core/ledger';
import type { Allocation, PersonTimeline, Stint } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant, Span } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { findState, loadPresence, loadStates, loadStints, longestStint } from './timelineRows.ts';

/** One person's stints, shifts and breaks that reach into a span, with what runs at `now`. */
export function loadPersonTimeline(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  span: Span,
  now: Instant,
): PersonTimeline {
  const asked = { technician, ...span };
  const tail = emptyTimeline();
  const state = findState(sql, technician);
  if (state) addSettled(tail, settleAt(technician, state, now, facts.policy).settled);
  const within = <T extends Span>(items: readonly T[]) =>
    items.filter(({ from, to }) => to > span.from && from < span.to);
  return {
    stints: [...loadStints(sql, { ...asked, longest: longestStint(facts.policy) }), ...within(tail.stints)],
    shifts: [...loadPresence(sql, 'shift', asked), ...within(tail.shifts)],
    breaks: [...loadPresence(sql, 'break', asked), ...within(tail.breaks)],
    looseEnds: tail.looseEnds,
  };
}

/** Everybody's open stints at `now`. */
export const loadOpenStints = (sql: Sql, facts: ShopFacts, now: Instant): readonly Stint[] =>
  [...loadStates(sql)].flatMap(([technician, state]) => {
    const tail = emptyTimeline();
    addSettled(tail, settleAt(technician, state, now, facts.policy).settled);
    return tail.stints;
  });

/** What everybody's open work comes to at `now`, piece by piece: stored lines do not hold it. */
export const loadRunning = (sql: Sql, facts: ShopFacts, now: Instant): readonly Allocation[] =>
  loadOpenStints(sql, facts, now).flatMap((stint) => allocateStint(stint, facts));
