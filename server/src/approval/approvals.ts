import { ok } from '@wergon/core/result';
import { toSeconds, mondayOf, addDays, earliestOf, latestOf } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { DeskUser, Mount, RouteRefusal } from '../http/index.ts';
import { covers } from '../access/index.ts';
import type { LedgerContext, ShiftDay } from '../ledger/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, loadShiftDays, writeDecision } from '../ledger/index.ts';
import { loadPlans } from '../people/index.ts';
import { settingsOf } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { findOpenLooseEnds } from '../loose-ends/index.ts';

const WEEK = 7;
type Day = { readonly technician: ShiftDay['technician']; readonly day: LocalDay };

/** Approval by person and shift day. Source: docs/reconcile.md, approval. */
export function mountApprovals(mount: Mount, { database, clock, facts, journal }: LedgerContext): void {
  mount('approvals', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    const today = known.zone.dayAt(now);
    const firstDay = query.from ?? mondayOf(today);
    const lastDay = query.to ?? addDays(firstDay, WEEK - 1);
    const plans = await loadPlans(database.em.fork(), firstDay, lastDay);
    const { days, ends, closedUntil } = await readSql(database, (sql) => ({
      days: loadShiftDays(sql, known, { firstDay, lastDay }, now),
      ends: findOpenLooseEnds(sql, known, firstDay, lastDay, now),
      closedUntil: findClosedUntil(sql),
    }));
    const mayApprove = who.rights.has('time.approve');
    const refusalFor = (id: Day['technician']) =>
      who.user.technician === id
        ? ('own' as const)
        : !mayApprove
          ? ('right' as const)
          : covers(who.user, known, id)
            ? null
            : ('other-department' as const);
    return ok({
      asOf: now,
      firstDay,
      lastDay,
      approval: settingsOf(known.shop).pay.approval,
      people: [...known.technicians.values()]
        .map(({ id, name, department }) => ({
          technician: id,
          name,
          department,
          refusal: refusalFor(id),
          days: days
            .filter(({ technician }) => technician === id)
            .map((each) => ({
              day: each.day,
              stamp: each.stamp,
              plannedSeconds: plans(id, each.day).seconds,
              attendedSeconds: each.attendedSeconds,
              chargedSeconds: each.chargedSeconds,
              overtimeSeconds: toSeconds(each.classes.overtime + each.classes.double),
              split: each.split,
              looseEnds: ends.filter((end) => end.technician === id && end.day === each.day).length,
              state: each.state,
              by: each.approvedBy,
              isConfirmed: each.isConfirmed,
              isClosed: closedUntil !== null && each.day <= closedUntil,
              isOpen: each.isOpen,
            })),
        }))
        .filter((person) => person.days.length > 0),
    });
  });

  mount('approve', async ({ body: { days }, who }) => {
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const now = clock.now();
      const found = findSeen(sql, known, who.user, days, now);
      if (!found.ok) return found;
      return ok(
        found.value
          .filter(({ state }) => state !== 'approved')
          .map(({ technician, day, facts: seen }) =>
            writeDecision({ type: 'approve', technician, day, facts: seen, by: who.user.name }, now),
          ),
      );
    });
    return done.ok ? ok(null) : done;
  });

  mount('unapprove', async ({ body: { days }, who }) => {
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const closedUntil = findClosedUntil(sql);
      const refusal = days
        .map(({ technician, day }) =>
          closedUntil !== null && day <= closedUntil
            ? refuse('approve.closed')
            : refusalOf(known, who.user, technician),
        )
        .find((each) => each !== undefined);
      if (refusal) return refusal;
      const now = clock.now();
      return ok(
        findApproved(sql, days).map(({ technician, day }) =>
          writeDecision({ type: 'unapprove', technician, day, by: who.user.name }, now),
        ),
      );
    });
    return done.ok ? ok(null) : done;
  });
}

/** Those of some days that are approved, each once: said again it leaves nothing to take back. */
function findApproved(sql: Sql, days: readonly Day[]): readonly Day[] {
  const known = new Map(days.map((each) => [`${each.technician} ${each.day}`, each]));
  return [...known.values()].filter(
    ({ technician, day }) =>
      sql.all(`select 1 from "approval" where "kind" = 'approve' and "technician" = ? and "shift_day" = ?`, [
        technician,
        day,
      ]).length > 0,
  );
}

function refusalOf(
  facts: ShopFacts,
  user: DeskUser,
  technician: Day['technician'],
): RouteRefusal | undefined {
  if (user.technician === technician) return refuse('approve.own');
  return covers(user, facts, technician) ? undefined : refuse('reconcile.other_people');
}

/** Shift days as the user saw them; refused where one of them may not be approved by this user, or is another now. */
export function findSeen(
  sql: Sql,
  facts: ShopFacts,
  user: DeskUser,
  seen: readonly (Day & { readonly stamp: string })[],
  now: Instant,
): { readonly ok: true; readonly value: readonly ShiftDay[] } | RouteRefusal {
  const all = seen.map(({ day }) => day);
  const asked = {
    firstDay: earliestOf(all),
    lastDay: latestOf(all),
    people: new Set(seen.map(({ technician }) => technician)),
  };
  const days = new Map(
    loadShiftDays(sql, facts, asked, now).map((each) => [`${each.technician} ${each.day}`, each]),
  );
  const found: ShiftDay[] = [];
  for (const { technician, day, stamp } of seen) {
    const own = days.get(`${technician} ${day}`);
    const refusal = refusalOf(facts, user, technician);
    if (refusal) return refusal;
    if (own?.stamp !== stamp) return refuse('approve.changed');
    if (own.isOpen) return refuse('approve.open');
    found.push(own);
  }
  return ok(found);
}
