import { readEnvelope, readFloorEntry } from '../ledger/index.ts';
import type { RequestsJson } from '@wergon/contract/station';
import type { EntryId } from '@wergon/core/ledger';
import type { LeaveAsked, TechnicianId } from '@wergon/core/people';
import type { AnswerState, RequestKind } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
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

/** What people asked for, newest first, each with its latest answer. */
export function loadRequests(
  sql: Sql,
  facts: ShopFacts,
  stations: ReadonlyMap<string, string>,
  around: AroundLeave,
): RequestsJson['requests'] {
  const answers = new Map(
    load(sql, 'answer', 3 * NEWEST)
      .reverse()
      .map(({ entry: { request, at, by, text, state } }) => [
        request,
        { at, by, text, state: state ?? null },
      ]),
  );
  const seen = load(sql, 'request', NEWEST).filter(({ entry }) => !facts.hidden?.has(entry.technician));
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
      leave: entry.leave ? around(entry.technician, entry.leave) : null,
      station: stations.get(envelope.author.id) ?? '',
      answer: answers.get(entry.id) ?? null,
    };
  });
}

/** A request by its id; absent for one that was never made. */
export function findRequest(
  sql: Sql,
  id: EntryId,
):
  | {
      readonly what: RequestKind;
      readonly technician: TechnicianId;
      readonly leave?: LeaveAsked | null | undefined;
    }
  | undefined {
  const [row] = sql.all<{ body: string }>(
    `select "body" from "journal" where "id" = ? and "stream" = 'floor' and "type" = 'request'`,
    [id],
  );
  return row && readFloorEntry<'request'>(row.body);
}

/** What was said last of how a request stands; words alone say nothing of it. */
export function findAnswerState(sql: Sql, request: EntryId): AnswerState | null {
  const answers = sql.all<{ body: string }>(
    `select j."body" from "entry_index" i join "journal" j on j."seq" = i."seq"
     where i."about" = ? and i."stream" = 'floor' and i."type" = 'answer' order by i."seq" desc`,
    [request],
  );
  for (const { body } of answers) {
    const { state } = readFloorEntry<'answer'>(body);
    if (state) return state;
  }
  return null;
}

/** Answers since an instant, with whom they are for, oldest first; of each request the latest alone. */
export function loadAnswers(sql: Sql, since: Instant) {
  const rows = sql.all<{ body: string; technician: string; asked: string }>(
    `select a."body", asked."body" as "asked", r."technician" from "entry_index" i
     join "journal" a on a."seq" = i."seq"
     join "journal" asked on asked."id" = i."about" join "entry_index" r on r."seq" = asked."seq"
     where +i."stream" = 'floor' and +i."type" = 'answer' and i."recorded_at" >= ?
     order by i."recorded_at" desc, i."seq" desc limit ${NEWEST}`,
    [since],
  );
  const latest = new Map<EntryId, ReturnType<typeof answerOf>>();
  for (const row of rows) {
    const answer = answerOf(row);
    if (!latest.has(answer.id)) latest.set(answer.id, answer);
  }
  return [...latest.values()].reverse();
}

function answerOf({ body, asked, technician }: { body: string; asked: string; technician: string }) {
  const { at, by, text, state } = readFloorEntry<'answer'>(body);
  const { id, what, text: wanted, leave = null } = readFloorEntry<'request'>(asked);
  return { id, technician, at, by, text, part: what === 'part' ? wanted : '', leave, state: state ?? null };
}

/** Time off that people asked for, of the newest requests. */
export const loadLeaveAsked = (sql: Sql): readonly LeaveAsked[] =>
  load(sql, 'request', NEWEST).flatMap(({ entry }) => (entry.leave ? [entry.leave] : []));
