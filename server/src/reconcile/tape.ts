import type { PersonDayJson } from '@wergon/contract/reconcile';
import { deriveAttendance, sumEntered } from '@wergon/core/ledger';
import type { LaborEntry, LaborState, Presence, Stint, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { planEdit } from '@wergon/core/reconcile';
import type { TapeEdit, TapeGround, TimedEntry } from '@wergon/core/reconcile';
import { ok } from '@wergon/core/result';
import type { Params } from '@wergon/core/result';
import { atWallClock, formatDay, formatInstant, inForceAt, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { mayCorrect } from '../access/scope.ts';
import type { Context } from '../app/context.ts';
import type { Call, Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import type { RouteRefusal } from '../app/problem.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil } from '../ledger/decisionRows.ts';
import { loadPersonStrands } from '../ledger/personStrands.ts';
import { loadNames, loadScan } from '../ledger/scans.ts';
import type { Names } from '../ledger/scans.ts';
import { findStateBefore, loadHours } from '../ledger/strands.ts';
import { loadPlans } from '../people/planned.ts';
import type { Plans } from '../people/planned.ts';
import type { ShopFacts } from '../shop/facts.ts';
import type { DeskAct, Planner } from './deskAct.ts';
import { orderNumberOf, titleOf } from './effect.ts';
import type { Scene } from './effect.ts';

/** Days around an edit that are read along: longer than any stint or shift. */
const DAYS_AROUND = 2;

type Asked = Call<'editTape'>['body'];

/** The tape of one person's day: how it is, and edits of it. */
export function mountTape(mount: Mount, { database, clock, facts }: Context, act: DeskAct): void {
  mount('personDay', async ({ query: { technician, day }, who }) => {
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const names = await loadNames(database);
    const plans = await loadPlans(database.em.fork(), day, day);
    const now = clock.now();
    const told = await readSql(database, (sql) =>
      loadPersonDay({ sql, facts: known, names, plans, now }, technician, day),
    );
    return ok({ ...told, mayCorrect: mayCorrect(who, known, technician) });
  });

  mount('previewEdit', async ({ body, who }) =>
    act.preview(who, sceneOf(body, await facts.get(), clock.now()), planTape(body)),
  );

  mount('editTape', async ({ body, who }) =>
    act.record(who, planTape(body), body.reason || 'put right on the tape'),
  );
}

function sceneOf({ block, becomes }: TapeEdit, { zone }: ShopFacts, now: Instant): Scene {
  const pieces = [...(block ? [block] : []), ...becomes];
  const dayOf = (at: number) => zone.dayAt(toInstant(Math.min(at, now)));
  return {
    people: [...new Set(pieces.map(({ technician }) => technician))],
    firstDay: dayOf(Math.min(now, ...pieces.map(({ from }) => from))),
    lastDay: dayOf(Math.max(0, ...pieces.map(({ to }) => to ?? now))),
  };
}

const planTape =
  ({ block, becomes }: Asked): Planner =>
  (sql, known, now) => {
    const edit: TapeEdit = { block, becomes };
    const scene = sceneOf(edit, known, now);
    const unknown = scene.people.find((id) => !known.technicians.has(id));
    if (unknown !== undefined)
      return refuse('input.invalid', [{ field: 'technician', message: 'no such technician' }]);
    const place = becomes.findIndex(({ running }) =>
      running.some(({ target }) => !known.targets.has(target)),
    );
    if (place >= 0)
      return refuse('input.invalid', [
        { field: `becomes[${place}].running`, message: 'no such task or activity' },
      ]);
    const targets = becomes.flatMap(({ running }) => running.map(({ target }) => target));
    const planned = planEdit(edit, loadGround(sql, known, scene, targets, now));
    return planned.ok
      ? ok({ ...scene, changes: planned.value })
      : refuseEdit(planned.code, planned.params, known);
  };

/** A refused edit names the field, and what is there already. */
function refuseEdit(code: RouteRefusal['code'], params: Params, { zone }: ShopFacts): RouteRefusal {
  const { field, from, to, hours } = params;
  const clock = (at: string | number) => {
    const minutes = Math.floor(zone.clockAt(toInstant(Number(at))) / 60);
    return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
  };
  const message =
    from !== undefined && to !== undefined
      ? `there is something from ${clock(from)} to ${clock(to)}`
      : hours !== undefined
        ? `at most ${hours} hours`
        : 'not possible here';
  return refuse(code, field === undefined ? undefined : [{ field: String(field), message }]);
}

/** What an edit stands on: the entries of its people around it, and where they stood before. */
function loadGround(
  sql: Sql,
  facts: ShopFacts,
  { people, firstDay, lastDay }: Scene,
  targets: readonly TargetId[],
  now: Instant,
): TapeGround {
  const first = (firstDay - DAYS_AROUND) as LocalDay;
  const last = (lastDay + DAYS_AROUND) as LocalDay;
  const rows = people.flatMap((technician) =>
    sql.all<{ seq: number; body: string }>(
      `select "seq", "body" from "effective_entry"
       where "technician" = ? and "day" between ? and ? and "type" <> 'hours'`,
      [technician, first, last],
    ),
  );
  const states = new Map<TechnicianId, LaborState>();
  for (const technician of people) {
    const state = findStateBefore(sql, technician, first);
    if (state) states.set(technician, state);
  }
  const end = facts.zone.startOf((last + 1) as LocalDay);
  // Only what the edit names is asked for: a shop has many tasks behind it.
  const closedTargets = new Set(
    targets.filter((target) => {
      const task = facts.tasks.get(target);
      const states = task && facts.orders.get(task.order)?.states;
      return states !== undefined && inForceAt(states, now) === 'closed';
    }),
  );
  return {
    entries: rows
      .sort((a, b) => a.seq - b.seq)
      .map(({ body }) => JSON.parse(body) as LaborEntry)
      .filter((entry): entry is TimedEntry => entry.type !== 'hours'),
    states,
    facts,
    asOf: end < now ? end : now,
    closedUntil: findClosedUntil(sql),
    closedTargets,
  };
}

type Reading = {
  readonly sql: Sql;
  readonly facts: ShopFacts;
  readonly names: Names;
  readonly plans: Plans;
  readonly now: Instant;
};

function loadPersonDay(
  { sql, facts, names, plans, now }: Reading,
  technician: TechnicianId,
  day: LocalDay,
): Omit<PersonDayJson, 'mayCorrect'> {
  const span = { from: facts.zone.startOf(day), to: facts.zone.startOf((day + 1) as LocalDay) };
  const { stints, shifts, breaks } = loadPersonStrands(sql, facts, technician, span, now);
  const hours = loadHours(sql, day, day).filter((entry) => entry.technician === technician);
  const { days } = deriveAttendance(
    { technician, stints, shifts, breaks, enteredByDay: sumEntered(hours) },
    facts,
  );
  const own = days.find((each) => each.day === day);
  const { plan } = plans(technician, day);
  const at = (of: number, minute: number) =>
    formatInstant(atWallClock(facts.zone, of as LocalDay, minute * 60));
  const presence = ({ from, to, open }: Presence) => ({
    from: formatInstant(from),
    to: formatInstant(to),
    isOpen: open,
  });
  const closedUntil = findClosedUntil(sql);
  return {
    asOf: formatInstant(now),
    technician,
    name: facts.technicians.get(technician)?.name ?? '',
    day: formatDay(day),
    isClosed: closedUntil !== null && day <= closedUntil,
    planned: plan
      ? {
          from: at(day, plan.startMinute),
          to: at(plan.endMinute <= plan.startMinute ? day + 1 : day, plan.endMinute),
        }
      : null,
    stints: stints.map((stint) => writeStint(sql, facts, names, stint)),
    shifts: shifts.map(presence),
    breaks: breaks.map(presence),
    hours: hours.map(({ id, targets, workType = 'run', seconds }) => ({
      id,
      target: targets[0] ?? '',
      title: targets[0] === undefined ? '' : titleOf(facts, targets[0]),
      workType,
      seconds,
      entry: loadScan(sql, id, names),
    })),
    gapSeconds: inForceAt(facts.policy, now).gapMinutes * 60,
    attendedSeconds: own?.attendedSeconds ?? 0,
    chargedSeconds: own?.chargedSeconds ?? 0,
  };
}

const writeStint = (
  sql: Sql,
  facts: ShopFacts,
  names: Names,
  stint: Stint,
): PersonDayJson['stints'][number] => ({
  from: formatInstant(stint.from),
  to: formatInstant(stint.to),
  isOpen: stint.open,
  isTorn: stint.capped,
  running: stint.running.map((run) => ({
    ...run,
    title: titleOf(facts, run.target),
    order: orderNumberOf(facts, run.target),
  })),
  opened: loadScan(sql, stint.opened, names),
  closed: stint.closed === undefined ? null : loadScan(sql, stint.closed, names),
});
