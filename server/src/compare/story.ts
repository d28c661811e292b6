import type { StoryJson } from '@wergon/contract/compare';
import type { LaborEntry, LaborLine, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { loadRunning, loadLinesOf, loadLinesOn, readFloorEntry, readLaborEntry } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { OrderChangeEntity } from '../work/index.ts';

type Event = StoryJson['days'][number]['events'][number] & { readonly day: LocalDay };
/** The readable story of a job, or of a day of the shop. */
export function mountStory(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('story', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const order = query.order === undefined ? undefined : known.orders.get(query.order);
    if (query.order !== undefined && !order) return refuse('record.not_found');
    const targets = new Set(((order && known.tasksByOrder.get(order.id)) ?? []).map(({ id }) => id));
    const changes = order
      ? await database.em.fork().find(OrderChangeEntity, { order: order.id }, { orderBy: { at: 1 } })
      : [];
    const events = await readSql(database, (sql) => [
      ...laborEvents(
        known,
        // What still runs belongs to the story as much as what has ended.
        [
          ...(query.day === undefined ? loadLinesOf(sql, [...targets]) : loadLinesOn(sql, query.day)),
          ...loadRunning(sql, known, clock.now()).filter(({ day, target }) =>
            query.day === undefined ? targets.has(target) : day === query.day,
          ),
        ],
      ),
      ...entryEvents(sql, known, query.day, order && targets),
      ...floorEvents(sql, known, query.day, order && targets),
    ]);
    const orderEvents = changes.map(({ at, by, changes: fields }): Event => ({
      kind: 'order',
      day: known.zone.dayAt(at),
      at,
      who: by,
      technician: null,
      about: '',
      text: fields
        .map(({ field, before, after }) =>
          field === 'Order' ? after : `${field} ${before || 'none'} → ${after || 'none'}`,
        )
        .join('; '),
      seconds: null,
    }));
    const title = order
      ? `${order.number} ${order.title}, ${order.customer}`
      : query.day === undefined
        ? ''
        : formatDay(query.day);
    return ok({ title, days: byDay([...events, ...orderEvents]) });
  });
}

const byDay = (events: readonly Event[]): StoryJson['days'] => {
  const days = new Map<LocalDay, Event[]>();
  for (const event of events) days.set(event.day, [...(days.get(event.day) ?? []), event]);
  return [...days]
    .sort(([a], [b]) => a - b)
    .map(([day, own]) => ({
      day,
      events: own.sort((a, b) => (a.at ?? 0) - (b.at ?? 0)).map(({ day: _, ...event }) => event),
    }));
};

const nameOf = (facts: ShopFacts, id: TechnicianId | undefined): string | null =>
  id === undefined ? '' : facts.hidden?.has(id) ? null : (facts.technicians.get(id)?.name ?? id);

function aboutOf(facts: ShopFacts, targets: readonly (TargetId | null | undefined)[]): string {
  return targets
    .flatMap((target) => {
      const task = target == null ? undefined : facts.tasks.get(target);
      const order = task && facts.orders.get(task.order);
      return task
        ? `${order?.number ?? ''} ${task.title}`
        : target == null
          ? []
          : (facts.activities.get(target)?.title ?? '');
    })
    .join(', ');
}

type Worked = Pick<LaborLine, 'technician' | 'target' | 'day' | 'seconds'>;
/** Who worked how long on what, summed over the kinds of work. */
function laborEvents(facts: ShopFacts, lines: readonly Worked[]): Event[] {
  const sums = new Map<string, { line: Worked; seconds: number }>();
  for (const line of lines) {
    const who = facts.hidden?.has(line.technician) ? '' : line.technician;
    const key = `${line.day} ${who} ${line.target}`;
    sums.set(key, { line, seconds: (sums.get(key)?.seconds ?? 0) + line.seconds });
  }
  return [...sums.values()].map(({ line, seconds }) => ({
    kind: 'labor',
    day: line.day,
    at: null,
    who: nameOf(facts, line.technician),
    technician: facts.hidden?.has(line.technician) ? null : line.technician,
    about: aboutOf(facts, [line.target]),
    text: '',
    seconds,
  }));
}

const KINDS = { note: 'note', count: 'pieces', 'task-done': 'done', 'task-reopen': 'reopened' } as const;
type About = Event & { readonly targets: readonly (TargetId | null | undefined)[] };

/** What was noted, reported and finished: on one day, or of some tasks. The database looks which entries name them, so
 *  that of a long history only those are read. */
function entryEvents(
  sql: Sql,
  facts: ShopFacts,
  day: LocalDay | undefined,
  tasks: ReadonlySet<TargetId> | undefined,
): About[] {
  const which =
    tasks === undefined
      ? `"type" in ('note', 'count', 'task-done', 'task-reopen') and "day" = ?1`
      : `"id" in (select "id" from "effective_entry" where "target" in (select "value" from json_each(?1))
           union select "entry" from "task_mark" where "target" in (select "value" from json_each(?1)))
         and "type" in ('note', 'count', 'task-done', 'task-reopen')`;
  const rows = sql.all<{ body: string }>(`select "body" from "effective_entry" where ${which}`, [
    tasks === undefined ? (day ?? 0) : JSON.stringify([...tasks]),
  ]);
  return rows.flatMap(({ body }): About[] => {
    const entry = readLaborEntry(body);
    if (!isToldEntry(entry)) return [];
    const text =
      entry.type === 'note'
        ? entry.text
        : entry.type === 'count'
          ? `${entry.good} good, ${entry.scrap} scrap${entry.reason ? `: ${entry.reason}` : ''}`
          : '';
    const targets = entry.targets ?? [];
    return [
      {
        kind: KINDS[entry.type],
        day: facts.zone.dayAt(entry.at),
        at: entry.at,
        who: nameOf(facts, entry.technician),
        technician: null,
        about: aboutOf(facts, targets),
        text,
        seconds: null,
        targets,
      },
    ];
  });
}

type Told = Extract<LaborEntry, { type: 'note' | 'count' | 'task-done' | 'task-reopen' }>;
const isToldEntry = (entry: LaborEntry): entry is Told => entry.type in KINDS;

/** What people ask for at a station. */
const WANTED: Readonly<Record<string, string>> = {
  part: 'a part',
  help: 'help',
  correction: 'a correction',
};

function floorEvents(
  sql: Sql,
  facts: ShopFacts,
  day: LocalDay | undefined,
  tasks: ReadonlySet<TargetId> | undefined,
): About[] {
  const which = tasks === undefined ? 'i."day" = ?' : 'i."about" in (select "value" from json_each(?))';
  const rows = sql.all<{ body: string }>(
    `select j."body" from "entry_index" i join "journal" j on j."seq" = i."seq"
     where i."stream" = 'floor' and i."type" in ('reading', 'request') and ${which}`,
    [tasks === undefined ? (day ?? 0) : JSON.stringify([...tasks])],
  );
  return rows.map(({ body }): About => {
    const entry = readFloorEntry<'reading' | 'request'>(body);
    return {
      kind: entry.type,
      day: facts.zone.dayAt(entry.at),
      at: entry.at,
      who: nameOf(facts, entry.technician),
      technician: null,
      about: aboutOf(facts, [entry.target]),
      text:
        entry.type === 'reading'
          ? `${entry.label} ${entry.value} ${entry.unit}`
          : `${WANTED[entry.what] ?? entry.what}${entry.text ? `: ${entry.text}` : ''}`,
      seconds: null,
      targets: [entry.target],
    };
  });
}
