import type { DeepReadonly } from '@wergon/contract/wire';
import type { EntityManager } from '@mikro-orm/libsql';
import type { BoardChanges, BoardJson } from '@wergon/contract/floor';
import type { Directory } from '@wergon/contract/station';
import type { EntryId } from '@wergon/core/ledger';
import { plannedOn, plannedSpan } from '@wergon/core/people';
import type { TechnicianId } from '@wergon/core/people';
import { addDays, inForceAt, toDay, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import { loadAnswers, loadLeaveAnswers, loadOwnLeave } from '../floor/index.ts';
import { PatternEntity } from '../people/index.ts';
import { ActivityEntity, ListItemEntity, NoticeEntity, ResourceEntity, settingsOf } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { leaveOfRow, loadPieces } from '../ledger/index.ts';

const DAY_SECONDS = 86_400;
/** How long an answer from the desk stands at its technician's badge: the rest of any shift. */
const ANSWER_SECONDS = 16 * 3600;
/** That of time off stands longer: it may be granted while somebody is at home. */
const LEAVE_ANSWER_DAYS = 7;
/** How many proposals are read, newest first, to know which forgotten ends were answered already. */
const NEWEST_PROPOSALS = 200;
/** How far back a last entry is looked for; earlier ones hold nobody up. */
const LAST_SECONDS = 3 * DAY_SECONDS;

type Details = DeepReadonly<
  Pick<
    Directory,
    | 'briefs'
    | 'activityBriefs'
    | 'jobs'
    | 'proposed'
    | 'people'
    | 'resources'
    | 'belongs'
    | 'reasons'
    | 'isAssignedOnly'
    | 'notices'
  >
>;

/** What the journal says of tasks and people that stands on no board. */
export function loadMoves(
  sql: Sql,
  { zone }: ShopFacts,
  now: Instant,
  { tasks, technicians }: Pick<BoardChanges, 'tasks' | 'technicians'>,
) {
  const last = sql.all<{ technician: TechnicianId; at: Instant }>(
    `select t."value" as "technician", max(
       coalesce((select max("to_at") from "stint" where "technician" = t."value" and "settled_day" >= ?2), 0),
       coalesce((select max("to_at") from "presence" where "technician" = t."value" and "settled_day" >= ?2), 0)
     ) as "at" from json_each(?1) t`,
    [JSON.stringify(technicians.map(({ id }) => id)), zone.dayAt(toInstant(now - LAST_SECONDS))],
  );
  return {
    leave: loadOwnLeave(
      sql,
      technicians.map(({ id }) => id),
      zone.dayAt(now),
    ),
    counts: loadPieces(
      sql,
      tasks.map(({ id }) => id),
    ),
    lastAt: new Map(last.map(({ technician, at }) => [technician, at])),
    proposed: sql
      .all<{ about: EntryId }>(
        `select "about" from "entry_index" where "stream" = 'floor' and "type" = 'proposal' and "about" is not null
         order by "day" desc limit ${NEWEST_PROPOSALS}`,
      )
      .map(({ about }) => about),
    answers: [
      ...loadAnswers(sql, toInstant(now - ANSWER_SECONDS)),
      ...loadLeaveAnswers(sql, addDays(zone.dayAt(now), -LEAVE_ANSWER_DAYS)),
    ].sort((a, b) => a.at - b.at),
  };
}

/** What a station must know beside the board and the codes. */
export async function loadDetails(
  em: EntityManager,
  facts: ShopFacts,
  board: BoardJson,
  moves: ReturnType<typeof loadMoves>,
  now: Instant,
): Promise<Details> {
  const today = facts.zone.dayAt(now);
  const resources = await em.find(ResourceEntity, { isOff: false });
  const activities = await em.find(ActivityEntity, { isOff: false });
  const { isAssignedOnly, asksWhy } = settingsOf(facts.shop).work;
  const reasons = await em.find(
    ListItemEntity,
    { list: { $in: asksWhy.map((kind) => `${kind}-reason` as const) }, isOff: false },
    { orderBy: { name: 1 } },
  );
  const notices = (await em.findAll(NoticeEntity, { orderBy: { at: -1 } })).filter(
    ({ untilDay }) => untilDay == null || untilDay >= today,
  );
  return {
    briefs: writeBriefs(facts, board, moves),
    activityBriefs: activities.map(({ id, description, division }) => ({
      activity: id,
      description,
      division,
    })),
    jobs: board.orders.map(({ id }) => {
      const order = facts.orders.get(id);
      return {
        order: id,
        quantity: order?.quantity ?? 0,
        due: order?.dueDay == null ? null : toDay(order.dueDay),
        parts: (order?.parts ?? []).map(({ name }) => name),
      };
    }),
    people: await loadPeople(em, facts, board, moves, now),
    resources: resources.map(({ id, kind, name, workCenter, asksMachine }) => ({
      id,
      kind,
      name,
      workCenter,
      asksMachine,
    })),
    belongs: activities.flatMap(({ id, takesWork }) =>
      takesWork == null ? [] : [{ workType: takesWork, activity: id }],
    ),
    proposed: moves.proposed,
    reasons: asksWhy.map((kind) => ({
      kind,
      names: reasons.filter(({ list }) => list === `${kind}-reason`).map(({ name }) => name),
    })),
    isAssignedOnly,
    notices: notices.map(({ at, by, text }) => ({ at, by, text })),
  };
}

/** What has changed of it for the people and tasks of a part of the board. */
export const loadChangedDetails = async (
  em: EntityManager,
  facts: ShopFacts,
  board: BoardChanges,
  moves: ReturnType<typeof loadMoves>,
  now: Instant,
): Promise<Pick<Details, 'briefs' | 'people' | 'proposed'>> => ({
  briefs: writeBriefs(facts, board, moves),
  people: await loadPeople(em, facts, board, moves, now),
  proposed: moves.proposed,
});

const writeBriefs = (
  facts: ShopFacts,
  board: Pick<BoardChanges, 'tasks'>,
  { counts }: ReturnType<typeof loadMoves>,
): Details['briefs'] =>
  board.tasks.flatMap(({ id }) => {
    const task = facts.tasks.get(id);
    if (!task) return [];
    return [
      {
        task: id,
        workCenter: task.workCenter,
        position: task.position,
        description: task.description,
        instructions: (task.instructions ?? []).map(({ text }) => text),
        // A report that was made before it could be marked may be left out.
        reports: (task.reports ?? []).map((report) => ({ ...report, maySkip: report.maySkip ?? true })),
        assigned: task.assigned ?? [],
        ...(counts.get(id) ?? { good: 0, scrap: 0 }),
      },
    ];
  });

async function loadPeople(
  em: EntityManager,
  facts: ShopFacts,
  board: Pick<BoardChanges, 'technicians'>,
  { lastAt, answers, leave }: ReturnType<typeof loadMoves>,
  now: Instant,
): Promise<Details['people']> {
  const patterns = await em.findAll(PatternEntity);
  /** When the shift of a day was planned to end. */
  const plannedEnd = (technician: TechnicianId, day: LocalDay): Instant | null => {
    const own = patterns
      .filter((pattern) => pattern.technician === technician)
      .map(({ fromDay, weeks }) => ({ from: toDay(fromDay), weeks }));
    const planned = plannedOn(own, false, undefined, day);
    return planned.kind === 'work' ? plannedSpan(facts.zone, day, planned.plan).to : null;
  };
  return board.technicians.flatMap(({ id, state }) => {
    const technician = facts.technicians.get(id);
    if (!technician) return [];
    const since = state.shift?.since ?? (state.doing.status === 'nothing' ? undefined : state.doing.since);
    const starts = [state.shift, state.doing.status === 'nothing' ? null : state.doing].flatMap((each) =>
      each ? [each.since] : [],
    );
    const last = Math.max(...starts, lastAt.get(id) ?? 0);
    const hours = inForceAt(facts.policy, now).maxStintHours;
    const isOld = since !== undefined && now - since > hours * 3600;
    return [
      {
        technician: id,
        number: technician.number,
        crew: technician.crew,
        isLead: technician.isLead,
        hasPin: technician.pinHash != null,
        language: technician.language ?? null,
        lastAt: last === 0 ? null : toInstant(last),
        plannedEnd: isOld ? plannedEnd(id, facts.zone.dayAt(since)) : null,
        messages: answers
          .filter((answer) => answer.technician === id)
          .map(({ at, by, text, part, leave, state }) => ({ at, by, text, part, leave, state })),
        leave: leave
          .filter((row) => row.technician === id)
          .map((row) => ({
            ...{ request: row.request, leave: leaveOfRow(row), isGranted: row.standing === 'granted' },
          })),
      },
    ];
  });
}
