import { looseEndKey } from '@wergon/core/reconcile';
import type { LikelyAnswer } from '@wergon/core/reconcile';
import { ok } from '@wergon/core/result';
import { atWallClock, formatDay, formatInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { RECONCILE_DAYS } from '../floor/routes.ts';
import type { FieldError } from '../ledger/incoming.ts';
import { StationEntity } from '../station/entities.ts';
import { loadAccepted } from './decisions.ts';
import { findClockJumps, findHints, loadProposals } from './floorEnds.ts';
import { PatternEntity } from '../people/entities.ts';
import { loadPlans } from '../people/planned.ts';
import type { Plans as AllPlans } from '../people/planned.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { answersTo, mountAnswers } from './answers.ts';
import { createDeskAct } from './deskAct.ts';
import { mountApprovals } from './approvals.ts';
import { mountDrafts } from './drafts.ts';
import { mountHours } from './hours.ts';
import { mountTape } from './tape.ts';
import { mountTargets } from './targets.ts';
import { mountAccounted } from './accounted.ts';
import { mountJobWeek } from './jobWeek.ts';
import { mountWeek } from './week.ts';
import { findLooseEnds, keepOpen } from './looseEnds.ts';
import type { DatedLooseEnd } from './looseEnds.ts';
import { patternsOf } from './surroundings.ts';

/** A loose end with where it happened, if that is a station, and its likely answers. */
type ToldLooseEnd = DatedLooseEnd & {
  readonly station?: string;
  readonly answers?: readonly LikelyAnswer[];
};

/** Whether a gap lies before the planned beginning or after the planned end: such gaps are told as one line a day. */
function isOutsidePlan(
  { zone }: ShopFacts,
  plans: AllPlans,
  { technician, day, from, to }: DatedLooseEnd,
): boolean {
  const plan = technician === undefined ? undefined : plans(technician, day).plan;
  if (!plan || from === undefined || to === undefined) return false;
  const isNight = plan.endMinute <= plan.startMinute;
  const start = atWallClock(zone, day, plan.startMinute * 60);
  const end = atWallClock(zone, (isNight ? day + 1 : day) as LocalDay, plan.endMinute * 60);
  return to <= start || from >= end;
}

/** The newest of the side lists that one page shows. */
const SIDE_LIST = 100;

export function mountReconcile(mount: Mount, context: Context): void {
  const { database, clock, facts } = context;
  const act = createDeskAct(context);
  mountAnswers(mount, context, act);
  mountTape(mount, context, act);
  mountTargets(mount, context);
  mountWeek(mount, context);
  mountJobWeek(mount, context);
  mountAccounted(mount, context);
  mountHours(mount, context, act);
  mountDrafts(mount, context);
  mountApprovals(mount, context);
  mount('looseEnds', async ({ query }) => {
    const known = await facts.get();
    const em = database.em.fork();
    const now = clock.now();
    const toDay = query.to ?? known.zone.dayAt(now);
    const fromDay = query.from ?? ((toDay - RECONCILE_DAYS + 1) as LocalDay);
    const stations = new Map((await em.findAll(StationEntity)).map(({ id, name }) => [id, name]));
    const patterns = patternsOf(await em.findAll(PatternEntity));
    const planned = await loadPlans(em, fromDay, toDay);
    const { looseEnds, accepted, jumps, proposals, hints, refused, unread } = await readSql(
      database,
      (sql) => {
        const plans = { patterns, proposals: loadProposals(sql) };
        const all = findLooseEnds(sql, known, fromDay, toDay, now);
        const accepted = loadAccepted(sql);
        const open = new Set(keepOpen(sql, known, all));
        return {
          accepted: all.flatMap((end) => {
            const decision = accepted.get(looseEndKey(end));
            return open.has(end) || !decision ? [] : [{ end, decision }];
          }),
          looseEnds: [...open].map((end) => ({
            ...end,
            answers: answersTo(sql, known, plans, end, now),
          })),
          jumps: findClockJumps(sql, known, fromDay, toDay),
          proposals: plans.proposals,
          hints: findHints(sql, known, fromDay, toDay, stations),
          refused: loadRefused(sql, stations),
          unread: loadUnread(sql, stations),
        };
      },
    );
    const text = (at: Instant | undefined) => (at === undefined ? null : formatInstant(at));
    return ok({
      asOf: formatInstant(now),
      fromDay: formatDay(fromDay),
      toDay: formatDay(toDay),
      looseEnds: [...looseEnds, ...jumps].map((end: ToldLooseEnd) => {
        const { kind, day, technician, target, from, to, seconds, entries, station, answers = [] } = end;
        const task = target === undefined ? undefined : known.tasks.get(target);
        const order = task && known.orders.get(task.order);
        return {
          kind,
          day: formatDay(day),
          technician: technician ?? null,
          name:
            station !== undefined
              ? (stations.get(station) ?? null)
              : technician === undefined
                ? null
                : (known.technicians.get(technician)?.name ?? null),
          target: task ? `${order?.number ?? ''} ${task.title}` : null,
          from: text(from),
          to: text(to),
          seconds: seconds ?? null,
          targetId: target ?? null,
          isOutsidePlan: kind === 'gap' && isOutsidePlan(known, planned, { ...end, day }),
          answers: answers.map(({ reason, at }) => ({ reason, at: at === null ? null : formatInstant(at) })),
          proposed: entries.map((id) => proposals.get(id)).find((ended) => ended !== undefined) ?? null,
        };
      }),
      accepted: accepted.map(({ end: { kind, day, technician }, decision: { id, reason, by, at } }) => ({
        id,
        kind,
        day: formatDay(day),
        name: technician === undefined ? null : (known.technicians.get(technician)?.name ?? null),
        reason,
        by,
        at,
      })),
      hints,
      refused,
      unread,
    });
  });
}

function loadRefused(sql: Sql, stations: ReadonlyMap<string, string>) {
  const rows = sql.all<{ received_at: Instant; station: string; body: string; errors: string }>(
    `select * from "refused_entry" order by "id" desc limit ${SIDE_LIST}`,
  );
  return rows.map(({ received_at, station, body, errors }) => ({
    receivedAt: formatInstant(received_at),
    station: stations.get(station) ?? station,
    body,
    errors: JSON.parse(errors) as FieldError[],
  }));
}

function loadUnread(sql: Sql, stations: ReadonlyMap<string, string>) {
  const rows = sql.all<{ at: string; text: string; reason: string; station: string; count: number }>(
    `select max(json_extract("body", '$.at')) as "at", json_extract("body", '$.text') as "text",
       json_extract("body", '$.reason') as "reason", json_extract("envelope", '$.author.id') as "station",
       count(*) as "count"
     from "journal" where "stream" = 'floor' and "type" = 'unread-scan'
     group by 2, 3, 4 order by max("seq") desc limit ${SIDE_LIST}`,
  );
  return rows.map((row) => ({ ...row, station: stations.get(row.station) ?? row.station }));
}
