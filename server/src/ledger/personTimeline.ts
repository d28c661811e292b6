import { addSettled, emptyTimeline, allocateStint, settleAt } from '@wergon/core/ledger';
import type { Allocation, LaborState, PersonTimeline, Presence, Stint } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
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
  return withRunning(facts, technician, findState(sql, technician), span, now, {
    stints: loadStints(sql, { ...asked, longest: longestStint(facts.policy) }),
    shifts: loadPresence(sql, 'shift', asked),
    breaks: loadPresence(sql, 'break', asked),
  });
}

/** The same of everybody who has any: read at once, which takes half as long as one after the other. */
export function loadTimelines(
  sql: Sql,
  facts: ShopFacts,
  span: Span,
  now: Instant,
): ReadonlyMap<TechnicianId, PersonTimeline> {
  const states = loadStates(sql);
  const of = ({ technician }: { readonly technician: TechnicianId }) => technician;
  const stints = groupBy(loadStints(sql, { ...span, longest: longestStint(facts.policy) }), of);
  const shifts = groupBy(loadPresence(sql, 'shift', span), of);
  const breaks = groupBy(loadPresence(sql, 'break', span), of);
  const people = new Set([...states.keys(), ...stints.keys(), ...shifts.keys(), ...breaks.keys()]);
  return new Map(
    [...people].map((id) => [
      id,
      withRunning(facts, id, states.get(id), span, now, {
        stints: stints.get(id) ?? [],
        shifts: shifts.get(id) ?? [],
        breaks: breaks.get(id) ?? [],
      }),
    ]),
  );
}

type Ended = {
  readonly stints: readonly Stint[];
  readonly shifts: readonly Presence[];
  readonly breaks: readonly Presence[];
};

/** What has ended, and what runs of somebody who stands so. */
function withRunning(
  facts: ShopFacts,
  technician: TechnicianId,
  state: LaborState | undefined,
  span: Span,
  now: Instant,
  ended: Ended,
): PersonTimeline {
  const tail = emptyTimeline();
  if (state) addSettled(tail, settleAt(technician, state, now, facts.policy).settled);
  const within = <T extends Span>(items: readonly T[]) =>
    items.filter(({ from, to }) => to > span.from && from < span.to);
  return {
    stints: [...ended.stints, ...within(tail.stints)],
    shifts: [...ended.shifts, ...within(tail.shifts)],
    breaks: [...ended.breaks, ...within(tail.breaks)],
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
