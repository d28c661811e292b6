import { plannedSpan } from '@wergon/core/people';
import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import type { EntryId, LooseEnd } from '@wergon/core/ledger';
import { looseEndKey } from '@wergon/core/loose-ends';
import type { LikelyAnswer } from '@wergon/core/loose-ends';
import { findIn, ok } from '@wergon/core/result';
import { addDays } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { mayCorrect } from '../access/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { RECONCILE_DAYS, findLooseEnds, keepOpen } from './looseEnds.ts';
import { PatternEntity, loadPlans } from '../people/index.ts';
import type { Plans as PlannedDays } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { StationEntity } from '../shop/index.ts';
import { findAnswers } from './answers.ts';
import { loadAccepted } from '../ledger/index.ts';
import { findFloorEnds, loadProposals } from './floorEnds.ts';
import type { ToldFloorEnd } from './floorEnds.ts';
import type { DatedLooseEnd } from './looseEnds.ts';
import { patternsOf } from './answerContext.ts';

/** A loose end of the queue, with its likely answers. */
type Queued = (DatedLooseEnd | ToldFloorEnd) & { readonly answers?: readonly LikelyAnswer[] };

/** The queue of loose ends: of labor, and what stations add to them. */
export function mountQueue(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('looseEnds', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const em = database.em.fork();
    const now = clock.now();
    const toDay = query.to ?? known.zone.dayAt(now);
    const fromDay = query.from ?? addDays(toDay, 1 - RECONCILE_DAYS);
    const stations = new Map((await em.findAll(StationEntity)).map(({ id, name }) => [id, name]));
    const patterns = patternsOf(await em.findAll(PatternEntity));
    const planned = await loadPlans(em, fromDay, toDay);
    const read = await readSql(database, (sql) => {
      const plans = { patterns, proposals: loadProposals(sql) };
      const labor = findLooseEnds(sql, known, fromDay, toDay, now);
      const floor = findFloorEnds(sql, known, fromDay, toDay);
      const openLabor = keepOpen(sql, known, labor);
      const answers = findAnswers(sql, known, plans, openLabor, now);
      const open: readonly Queued[] = [
        ...openLabor.map((end) => ({ ...end, answers: answers.get(end) ?? [] })),
        ...keepOpen(sql, known, floor),
      ];
      return { open, accepted: findAccepted(sql, known, [...labor, ...floor]), proposals: plans.proposals };
    });
    const names = nameWith(known, stations);
    return ok({
      asOf: now,
      fromDay,
      toDay,
      looseEnds: read.open.map((end) => ({
        ...writeEnd(known, names, end),
        stations: stationsOf(end).map((id) => stations.get(id) ?? id),
        mayDecide: mayCorrect(who, known, end.technician),
        isOutsidePlan: isOutsidePlan(known, planned, end),
        proposed: proposedFor(read.proposals, end),
      })),
      accepted: read.accepted.map(({ end, decision: { id, reason, by, at } }) => ({
        id,
        kind: end.kind,
        day: end.day,
        name: names(end),
        reason,
        by,
        at,
      })),
    });
  });
}

const stationsOf = (end: Queued): readonly string[] => ('stations' in end ? end.stations : []);

/** Loose ends that are accepted as they are now, with the decision. */
function findAccepted<End extends DatedLooseEnd>(sql: Sql, facts: ShopFacts, all: readonly End[]) {
  const accepted = loadAccepted(sql);
  const open = new Set(keepOpen(sql, facts, all));
  return all.flatMap((end) => {
    const decision = accepted.get(looseEndKey(end));
    return open.has(end) || !decision ? [] : [{ end, decision }];
  });
}

/** Says whom a loose end is about: a person, both of a pair, or the stations at which it happened. */
const nameWith =
  ({ technicians }: ShopFacts, stations: ReadonlyMap<string, string>) =>
  (end: Queued): string | null => {
    const nameOf = (id: string) => findIn(technicians, id)?.name ?? '';
    if (end.technician !== undefined)
      return end.kind === 'badge-pair'
        ? [end.technician, end.about ?? ''].map(nameOf).join(', ')
        : nameOf(end.technician) || null;
    return (
      stationsOf(end)
        .map((id) => stations.get(id) ?? id)
        .join(', ') || null
    );
  };

function writeEnd(
  facts: ShopFacts,
  names: (end: Queued) => string | null,
  end: Queued,
): Omit<LooseEndsJson['looseEnds'][number], 'stations' | 'mayDecide' | 'isOutsidePlan' | 'proposed'> {
  const { kind, day, technician, target, about, from, to, seconds, answers = [] } = end;
  return {
    kind,
    day,
    technician: technician ?? null,
    name: names(end),
    target: writeTarget(facts, target),
    from: from ?? null,
    to: to ?? null,
    seconds: seconds ?? null,
    targetId: target ?? null,
    about: about ?? null,
    times: 'times' in end ? end.times : 1,
    refused: 'refused' in end && end.refused ? { ...end.refused, errors: [...end.refused.errors] } : null,
    answers,
  };
}

function writeTarget(facts: ShopFacts, target: LooseEnd['target']): string | null {
  const task = target === undefined ? undefined : facts.tasks.get(target);
  return task ? `${facts.orders.get(task.order)?.number ?? ''} ${task.title}` : null;
}

/** When somebody said that what they forgot had ended. */
function proposedFor(proposals: ReadonlyMap<EntryId, Instant>, { entries }: Queued): Instant | null {
  const ended = entries.map((id) => proposals.get(id)).find((each) => each !== undefined);
  return ended ?? null;
}

/** Whether a gap lies before the planned beginning or after the planned end: such gaps are told as one line a day. */
function isOutsidePlan(
  { zone }: ShopFacts,
  plans: PlannedDays,
  { kind, technician, day, from, to }: Queued,
): boolean {
  const plan = kind !== 'gap' || technician === undefined ? undefined : plans(technician, day).plan;
  if (!plan || from === undefined || to === undefined) return false;
  const planned = plannedSpan(zone, day, plan);
  return to <= planned.from || from >= planned.to;
}
