import { readEnvelope, readFloorEntry } from '../ledger/index.ts';
import type { FloorAnswer, LeaveRow } from '../ledger/index.ts';
import type { RequestsJson } from '@wergon/contract/station';
import type { EntryId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { RequestKind } from '@wergon/core/station';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { AroundLeave } from './leave.ts';

/** Requests that one page shows. */
const NEWEST = 100;

const load = <Type extends 'request' | 'answer'>(sql: Sql, type: Type, most: number) =>
  sql
    .all<{ body: string; envelope: string }>(
      `select "body", "envelope" from "journal" where "stream" = 'floor' and "type" = ? order by "seq" desc limit ?`,
      [type, most],
    )
    .map(({ body, envelope }) => ({ entry: readFloorEntry<Type>(body), envelope: readEnvelope(envelope) }));

/** Requests by their ids. */
const loadById = (sql: Sql, ids: readonly EntryId[]) =>
  sql
    .all<{ body: string; envelope: string }>(
      `select j."body", j."envelope" from json_each(?) t join "journal" j on j."id" = t."value"`,
      [JSON.stringify(ids)],
    )
    .map(({ body, envelope }) => ({
      entry: readFloorEntry<'request'>(body),
      envelope: readEnvelope(envelope),
    }));

/** What people asked for, newest first, each with its latest answer; of time off what waits for somebody. */
export function loadRequests(
  sql: Sql,
  facts: ShopFacts,
  stations: ReadonlyMap<string, string>,
  around: AroundLeave,
  waiting: readonly LeaveRow[],
): RequestsJson['requests'] {
  const answers = new Map(
    load(sql, 'answer', 3 * NEWEST)
      .reverse()
      .map(({ entry }) => [entry.request, tellAnswer(entry)]),
  );
  const newest = load(sql, 'request', NEWEST).filter(({ entry }) => entry.what !== 'time-off');
  const standings = new Map(waiting.map(({ request, standing }) => [request, standing]));
  const leave = loadById(sql, [...standings.keys()]);
  const answerTo = (id: EntryId) => answers.get(id) ?? findAnswers(sql, id).map(tellAnswer)[0] ?? null;
  const seen = [...leave, ...newest]
    .filter(({ entry }) => !facts.hidden?.has(entry.technician))
    .sort((a, b) => b.entry.at - a.entry.at);
  return seen.map(({ entry, envelope }) => {
    const task = entry.target === null ? undefined : facts.tasks.get(entry.target);
    const activity = entry.target === null ? undefined : facts.activities.get(entry.target);
    const order = task && facts.orders.get(task.order);
    return {
      id: entry.id,
      at: entry.at,
      technician: entry.technician,
      name: facts.technicians.get(entry.technician)?.name ?? '',
      what: entry.what,
      target: task ? `${order?.number ?? ''} ${task.title}` : (activity?.title ?? null),
      text: entry.text,
      // What was recorded before a part could be counted says nothing of it.
      quantity: entry.quantity ?? null,
      why: entry.why ?? '',
      leave: entry.leave ? around(entry.technician, entry.leave, standings.get(entry.id) ?? 'asked') : null,
      station: stations.get(envelope.author.id) ?? '',
      answer: answerTo(entry.id),
    };
  });
}

/** A request by its id; absent for one that was never made. */
export function findRequest(
  sql: Sql,
  id: EntryId,
): { readonly what: RequestKind; readonly technician: TechnicianId } | undefined {
  const [row] = sql.all<{ body: string }>(
    `select "body" from "journal" where "id" = ? and "stream" = 'floor' and "type" = 'request'`,
    [id],
  );
  return row && readFloorEntry<'request'>(row.body);
}

/** The answers to a request, the last first. */
export const findAnswers = (sql: Sql, request: EntryId): readonly FloorAnswer[] =>
  sql
    .all<{ body: string }>(
      `select j."body" from "entry_index" i join "journal" j on j."seq" = i."seq"
       where i."about" = ? and +i."stream" = 'floor' and +i."type" = 'answer' order by i."seq" desc`,
      [request],
    )
    .map(({ body }) => readFloorEntry<'answer'>(body));

const tellAnswer = ({ at, by, text, state }: FloorAnswer) => ({ at, by, text, state: state ?? null });

type AnswerRow = { readonly body: string; readonly technician: string; readonly asked: string };
/** Answers with what they are to and whom they are for; `i` is the answer's row in the index. */
const ANSWERS = `select a."body", asked."body" as "asked", r."technician" from "entry_index" i
  join "journal" a on a."seq" = i."seq"
  join "journal" asked on asked."id" = i."about" join "entry_index" r on r."seq" = asked."seq"`;

/** Of each request the latest answer alone, oldest first; `rows` come the last first. */
function latestOf(rows: readonly AnswerRow[]) {
  const latest = new Map<EntryId, ReturnType<typeof answerOf>>();
  for (const row of rows) {
    const answer = answerOf(row);
    if (!latest.has(answer.id)) latest.set(answer.id, answer);
  }
  return [...latest.values()].reverse();
}

/** Answers since an instant, with whom they are for, oldest first; of each request the latest alone. Those to requests for
 *  time off are `loadLeaveAnswers`. */
export const loadAnswers = (sql: Sql, since: Instant) =>
  latestOf(
    sql.all<AnswerRow>(
      `${ANSWERS} where +i."stream" = 'floor' and +i."type" = 'answer' and i."recorded_at" >= ?
       order by i."recorded_at" desc, i."seq" desc limit ${NEWEST}`,
      [since],
    ),
  ).filter(({ leave }) => leave === null);

/** The same of requests for time off, from a day on. */
export const loadLeaveAnswers = (sql: Sql, from: LocalDay) =>
  latestOf(
    sql.all<AnswerRow>(
      `${ANSWERS} where i."stream" = 'floor' and i."type" = 'answer' and i."day" >= ?
         and json_extract(asked."body", '$.what') = 'time-off' order by i."seq" desc`,
      [from],
    ),
  );

function answerOf({ body, asked, technician }: AnswerRow) {
  const { at, by, text, state } = readFloorEntry<'answer'>(body);
  const { id, what, text: wanted, leave = null } = readFloorEntry<'request'>(asked);
  return { id, technician, at, by, text, part: what === 'part' ? wanted : '', leave, state: state ?? null };
}
