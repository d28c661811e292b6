import { plannedSpan } from '@wergon/core/people';
import type { PersonDayJson } from '@wergon/contract/tape';
import { deriveAttendance, sumEntered } from '@wergon/core/ledger';
import type { Presence, Stint } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { planEdit, planPresence } from '@wergon/core/tape';
import type { TapeEdit } from '@wergon/core/tape';
import { ok } from '@wergon/core/result';
import { inForceAt, toInstant, toSeconds, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { mayCorrect } from '../access/index.ts';
import type { LedgerContext, Names } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import {
  findClosedUntil,
  loadPersonTimeline,
  loadNames,
  loadScan,
  loadHours,
  loadNotesOn,
  loadShiftDays,
  loadStages,
} from '../ledger/index.ts';
import { loadPlans } from '../people/index.ts';
import type { Plans } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { createEditService } from '../loose-ends/index.ts';
import type { EditPlanner, EditScope } from '../loose-ends/index.ts';
import { orderNumberOf, titleOf } from '../catalog/index.ts';
import { loadGround, refuseEdit } from './editContext.ts';

type Asked = Call<'editTape'>['body'];
type AskedPresence = Call<'editPresence'>['body'];

/** The tape of one person's day: how it is, and edits of it. */
export function mountPersonDay(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts } = context;
  const edits = createEditService(context);
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
    edits.preview(who, sceneOf(body, await facts.get(), clock.now()), planTape(body)),
  );

  mount('editTape', async ({ body, who }) =>
    edits.record(who, planTape(body), body.reason || 'put right on the tape'),
  );

  mount('previewPresence', async ({ body, who }) =>
    edits.preview(who, presenceScene(body, await facts.get(), clock.now()), planPresenceOf(body)),
  );

  mount('editPresence', async ({ body, who }) =>
    edits.record(who, planPresenceOf(body), body.reason || 'put right on the tape'),
  );
}

const presenceScene = (
  { technician, was, becomes }: AskedPresence,
  facts: ShopFacts,
  now: Instant,
): EditScope =>
  sceneAround(
    [was, becomes].flatMap((piece) => (piece ? { technician, ...piece } : [])),
    facts,
    now,
  );

const planPresenceOf =
  (edit: AskedPresence): EditPlanner =>
  (sql, known, now) => {
    if (!known.technicians.has(edit.technician))
      return refuse('input.invalid', [{ field: 'technician', message: 'no such technician' }]);
    const scope = presenceScene(edit, known, now);
    const planned = planPresence(edit, loadGround(sql, known, scope, [], now));
    return planned.ok
      ? ok({ ...scope, changes: planned.value })
      : refuseEdit(planned.code, planned.params, known);
  };

const sceneOf = ({ block, becomes }: TapeEdit, facts: ShopFacts, now: Instant): EditScope =>
  sceneAround([...(block ? [block] : []), ...becomes], facts, now);

type Stretch = { readonly technician: TechnicianId; readonly from: Instant; readonly to: Instant | null };
/** The people and the days that some stretches lie in; what goes on goes on until now. */
function sceneAround(stretches: readonly Stretch[], { zone }: ShopFacts, now: Instant): EditScope {
  const dayOf = (at: number) => zone.dayAt(toInstant(Math.min(at, now)));
  return {
    people: [...new Set(stretches.map(({ technician }) => technician))],
    firstDay: dayOf(Math.min(now, ...stretches.map(({ from }) => from))),
    lastDay: dayOf(Math.max(0, ...stretches.map(({ to }) => to ?? now))),
  };
}

const planTape =
  ({ block, becomes }: Asked): EditPlanner =>
  (sql, known, now) => {
    const edit: TapeEdit = { block, becomes };
    const scope = sceneOf(edit, known, now);
    const unknown = scope.people.find((id) => !known.technicians.has(id));
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
    const planned = planEdit(edit, loadGround(sql, known, scope, targets, now));
    return planned.ok
      ? ok({ ...scope, changes: planned.value })
      : refuseEdit(planned.code, planned.params, known);
  };

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
  const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
  const { stints, shifts, breaks } = loadPersonTimeline(sql, facts, technician, span, now);
  const hours = loadHours(sql, day, day).filter((entry) => entry.technician === technician);
  const { days } = deriveAttendance(
    { technician, stints, shifts, breaks, enteredByDay: sumEntered(hours) },
    facts,
  );
  const own = days.find((each) => each.day === day);
  const { plan } = plans(technician, day);
  const planned = plan && plannedSpan(facts.zone, day, plan);
  const presence = ({ from, to, open, capped }: Presence) => ({
    from,
    to,
    isOpen: open,
    isTorn: capped,
  });
  const closedUntil = findClosedUntil(sql);
  const [paid] = loadShiftDays(sql, facts, { firstDay: day, lastDay: day, people: [technician] }, now);
  return {
    asOf: now,
    technician,
    name: facts.technicians.get(technician)?.name ?? '',
    day,
    isClosed: closedUntil !== null && day <= closedUntil,
    planned: planned ? { from: planned.from, to: planned.to } : null,
    stints: stints.map((stint) => writeStint(sql, facts, names, stint)),
    shifts: shifts.map(presence),
    breaks: breaks.map(presence),
    hours: hours.flatMap(({ id, targets, workType = 'run', seconds }) =>
      targets.map((target) => ({
        id,
        target,
        title: titleOf(facts, target),
        workType,
        seconds,
        entry: loadScan(sql, id, names),
      })),
    ),
    notes: loadNotesOn(sql, technician, day).map(({ entry, isForCustomer }) => {
      const target = entry.targets?.[0] ?? null;
      const { author } = loadScan(sql, entry.id, names);
      const title = target === null ? '' : titleOf(facts, target);
      return { id: entry.id, at: entry.at, target, title, text: entry.text, isForCustomer, by: author };
    }),
    gapSeconds: inForceAt(facts.policy, now).gapMinutes * 60,
    attendedSeconds: own?.attendedSeconds ?? 0,
    chargedSeconds: own?.chargedSeconds ?? 0,
    overtimeSeconds: toSeconds(paid ? paid.classes.overtime + paid.classes.double : 0),
    stages: day === facts.zone.dayAt(now) ? (loadStages(sql, facts, [technician]).get(technician) ?? []) : [],
  };
}

const writeStint = (
  sql: Sql,
  facts: ShopFacts,
  names: Names,
  stint: Stint,
): PersonDayJson['stints'][number] => ({
  from: stint.from,
  to: stint.to,
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
