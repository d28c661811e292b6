import { readInstant } from './storedTime.ts';
import type { RecordedFields } from './stored.ts';
import { knownBy, letThroughBy } from './known.ts';
import { readEnvelope, readFields } from './stored.ts';
import { addDays } from '@wergon/core/time';
import type { TrailJson } from '@wergon/contract/ledger';
import type { ParsedQueryOf } from '@wergon/contract/routes';
import { findIn, isRecord, ok } from '@wergon/core/result';
import type { LocalDay } from '@wergon/core/time';
import type { LedgerContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { GENESIS } from './envelope.ts';
import { verifyPart } from './verify.ts';
import { loadNames, machineOf, sayValue } from './scans.ts';
import type { Names } from './scans.ts';

const PAGE = 100;
/** So many entries of the chain are walked in one call: others are answered in between. */
const VERIFIED_AT_ONCE = 5_000;

/** The journal to read, and its chain to walk. */
export function mountTrail(mount: Mount, { database, facts }: LedgerContext): void {
  mount('trail', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const names = await loadNames(database);
    return ok(await readSql(database, (sql) => loadTrail(sql, known, names, query)));
  });

  mount('verifyChain', async ({ body: { after, hash } }) =>
    ok(
      await readSql(database, (sql) => {
        const part = verifyPart(sql, after, after === 0 ? GENESIS : hash, VERIFIED_AT_ONCE);
        const [row] = sql.all<{ total: number }>('select count(*) as "total" from "journal"');
        return { ...part, broken: part.broken ?? null, total: row?.total ?? 0 };
      }),
    ),
  );
}

type Row = {
  seq: number;
  id: string;
  stream: string;
  type: string;
  body: string;
  envelope: string;
  hash: string;
};

function loadTrail(sql: Sql, facts: ShopFacts, names: Names, asked: ParsedQueryOf<'trail'>): TrailJson {
  const clauses: string[] = [];
  const params: (string | number)[] = [];
  const add = (clause: string, ...values: (string | number)[]) => {
    clauses.push(clause);
    params.push(...values);
  };
  const startOf = (day: LocalDay) => facts.zone.startOf(day);
  if (asked.before !== undefined) add('i."seq" < ?', asked.before);
  if (asked.stream) add('i."stream" = ?', asked.stream);
  if (asked.type) add('i."type" = ?', asked.type);
  // What was added at the desk corrects what was scanned as much as what changes it.
  if (asked.corrections)
    add(`(j."corrects" is not null or (i."author_kind" = 'desk' and i."stream" = 'labor'))`);
  if (asked.from !== undefined) add('i."recorded_at" >= ?', startOf(asked.from));
  if (asked.to !== undefined) add('i."recorded_at" < ?', startOf(addDays(asked.to, 1)));
  if (facts.hidden) {
    const hidden = JSON.stringify([...facts.hidden]);
    add(`(i."technician" is null or i."technician" not in (select "value" from json_each(?)))`, hidden);
    // An answer is about whoever asked.
    add(
      `not (i."type" = 'answer' and exists (select 1 from "journal" q join "entry_index" r on r."seq" = q."seq"
         where q."id" = i."about" and r."technician" in (select "value" from json_each(?))))`,
      hidden,
    );
  }
  // A correction is about whom its entry is about.
  if (asked.technician !== undefined) add('i."technician" = ?', asked.technician);
  const rows = sql.all<Row>(
    `select j.* from "entry_index" i join "journal" j on j."seq" = i."seq"
     ${clauses.length > 0 ? `where ${clauses.join(' and ')}` : ''} order by i."seq" desc limit ${PAGE}`,
    params,
  );
  return {
    entries: rows.map((row) => writeRow(sql, facts, names, row)),
    next: rows.length < PAGE ? null : (rows.at(-1)?.seq ?? null),
  };
}

const textOf = (body: RecordedFields, field: string): string | null => {
  const value = body[field];
  return typeof value === 'string' ? value : null;
};

function writeRow(sql: Sql, facts: ShopFacts, names: Names, row: Row): TrailJson['entries'][number] {
  const body = readFields(row.body);
  const envelope = readEnvelope(row.envelope);
  const { author, recordedAt, source } = envelope;
  const text = (field: string) => textOf(body, field);
  const target = text('target');
  const original = target === null ? undefined : findOriginal(sql, target);
  const about = original?.body ?? body;
  const set = isRecord(body['set']) ? body['set'] : {};
  const technician = about['technician'];
  return {
    seq: row.seq,
    id: row.id,
    stream: row.stream,
    type: row.type,
    // A decision is about a day; when it was made is when it was recorded.
    at: row.stream === 'decision' ? (text('day') ?? text('at')) : (text('at') ?? text('day')),
    recordedAt: readInstant(recordedAt),
    author: names.get(author.id) ?? author.id,
    source,
    knownBy: knownBy(sql, envelope),
    letThroughBy: letThroughBy(sql, body['override']),
    name: typeof technician === 'string' ? (findIn(facts.technicians, technician)?.name ?? technician) : null,
    about: sayAbout(facts, about),
    machine: machineOf(sql, about['machine']),
    of: original
      ? { type: original.type, at: textOf(original.body, 'at') ?? textOf(original.body, 'day') }
      : null,
    why: text('why') ?? text('reason') ?? text('text'),
    changes: Object.entries(set).map(([field, after]) => ({
      field,
      before: sayValue(original?.body[field]),
      after: sayValue(after),
    })),
    hash: row.hash,
  };
}

/** What a correction is of; of a correction that was undone, what that one was of. */
function findOriginal(
  sql: Sql,
  id: string,
): { readonly type: string; readonly body: RecordedFields } | undefined {
  const [row] = sql.all<{ type: string; body: string }>(
    'select "type", "body" from "journal" where "id" = ?',
    [id],
  );
  if (!row) return undefined;
  const body = readFields(row.body);
  const further = ['void', 'restore', 'amend'].includes(row.type) ? body['target'] : undefined;
  return (typeof further === 'string' ? findOriginal(sql, further) : undefined) ?? { type: row.type, body };
}

/** The tasks and activities that an entry names. */
function sayAbout(facts: ShopFacts, { targets, target }: RecordedFields): string {
  const named = Array.isArray(targets) ? targets : typeof target === 'string' ? [target] : [];
  return named
    .map(String)
    .map((target) => {
      const task = findIn(facts.tasks, target);
      const order = task && facts.orders.get(task.order);
      return task
        ? `${order?.number ?? ''} ${task.title}`
        : (findIn(facts.activities, target)?.title ?? target);
    })
    .join(', ');
}
