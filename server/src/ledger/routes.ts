import type { LineDetail } from '@wergon/contract/work';
import { collect, noStrands, piecesOf, settleAt } from '@wergon/core/ledger';
import type { HoursEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { ParsedQueryOf } from '@wergon/contract/routes';
import { Defect, ok } from '@wergon/core/result';
import { formatInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { writeOutcome } from '../station/routes.ts';
import { StationEntity } from '../station/entities.ts';
import { UserEntity } from '../access/entities.ts';
import type { Envelope } from './envelope.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { readBatch } from './readBatch.ts';
import { loadHours, loadStates, loadStints } from './strands.ts';

type ScanView = NonNullable<LineDetail['stints'][number]['opened']>;
type Names = ReadonlyMap<string, string>;

export function mountLedger(mount: Mount, { database, clock, facts, journal }: Context): void {
  mount('deskEntries', async ({ body, who }) => {
    if (who.kind !== 'desk') return refuse('access.not_signed_in');
    const { outcomes, seq } = await journal.appendAll(
      { kind: 'desk', id: who.user.id },
      readBatch(body.entries),
    );
    const errors = outcomes.flatMap((outcome, i) =>
      outcome.result === 'refused'
        ? outcome.errors.map(({ field, message }) => ({ field: `entries[${i}].${field}`, message }))
        : [],
    );
    if (errors.length > 0) return refuse('entries.refused', errors);
    return ok({ results: outcomes.map(writeOutcome), seq, now: clock.nowMs() });
  });

  mount('line', async ({ query }) => {
    const known = await facts.get();
    const em = database.em.fork();
    const named = [...(await em.findAll(StationEntity)), ...(await em.findAll(UserEntity))];
    const names: Names = new Map(named.map(({ id, name }) => [id, name]));
    return ok(await readSql(database, (sql) => loadLine(sql, known, query, clock.now(), names)));
  });
}

/** What a labor line is made of: the stints that give it time, the hours written down for it, and their scans. */
function loadLine(
  sql: Sql,
  facts: ShopFacts,
  asked: ParsedQueryOf<'line'>,
  now: Instant,
  names: Names,
): LineDetail {
  const technician = asked.technician as TechnicianId;
  const target = asked.target as TargetId;
  const { day, workType } = asked;
  const span = { from: facts.zone.startOf(day), to: facts.zone.startOf((day + 1) as LocalDay) };
  const tail = noStrands();
  const state = loadStates(sql).get(technician);
  if (state) collect(tail, settleAt(technician, state, now, facts.policy).settled);
  const titleOf = (id: TargetId) => facts.tasks.get(id)?.title ?? facts.activities.get(id)?.title ?? id;
  const parts = [...loadStints(sql, { technician, ...span }), ...tail.stints].flatMap((stint) =>
    piecesOf(stint, facts)
      .filter((piece) => piece.target === target && piece.workType === workType && piece.day === day)
      .map((piece) => ({ stint, piece })),
  );
  return {
    stints: parts.map(({ stint, piece }) => ({
      from: formatInstant(piece.from),
      to: formatInstant(piece.to),
      seconds: piece.seconds,
      sharedWith: stint.running.flatMap((run) => (run.target === target ? [] : [titleOf(run.target)])),
      isOpen: stint.open,
      isCapped: stint.capped,
      opened: loadScan(sql, stint.opened, names),
      closed: stint.closed === undefined ? null : loadScan(sql, stint.closed, names),
    })),
    hours: loadHours(sql, day, day)
      .filter(isOfLine(technician, target, workType))
      .map(({ id, seconds }) => ({ seconds, entry: loadScan(sql, id, names) })),
  };
}

const isOfLine =
  (technician: TechnicianId, target: TargetId, workType: string) =>
  (entry: HoursEntry): boolean =>
    entry.technician === technician && entry.targets[0] === target && (entry.workType ?? 'run') === workType;

/** An entry as it stands now, with who made it, where, and every correction of it. */
function loadScan(sql: Sql, id: string, names: Names): ScanView {
  const rows = sql.all<{ seq: number; type: string; body: string; envelope: string }>(
    'select "seq", "type", "body", "envelope" from "journal" where "id" = ? or "corrects" = ? order by "seq"',
    [id, id],
  );
  const [original, ...corrections] = rows;
  const [effective] = sql.all<{ body: string }>('select "body" from "effective_entry" where "id" = ?', [id]);
  if (!original) throw new Defect(`a stint of entry ${id}, which is not recorded`);
  const around = (envelope: string) => {
    const { author, recordedAt, source } = JSON.parse(envelope) as Envelope;
    return { author: names.get(author.id) ?? author.id, recordedAt, source };
  };
  const { at } = JSON.parse(effective?.body ?? '{}') as { readonly at?: number };
  return {
    id,
    seq: original.seq,
    type: original.type,
    at: at === undefined ? null : formatInstant(at as never),
    ...around(original.envelope),
    corrections: corrections.map(({ type, body, envelope }) => {
      const { author, recordedAt } = around(envelope);
      const { why } = JSON.parse(body) as { readonly why?: string };
      return { type, author, recordedAt, why: why ?? null };
    }),
  };
}
