import { randomUUID } from 'node:crypto';
import type { EffectJson } from '@wergon/contract/reconcile';
import { entrySchema } from '@wergon/contract/ledger';
import {
  collect,
  correctedEntry,
  isCorrection,
  noStrands,
  piecesOf,
  settleAt,
  sumLines,
} from '@wergon/core/ledger';
import type { Entry, EntryId, LaborEntry, LaborLine, Stint } from '@wergon/core/ledger';
import { formatCents, toCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { findLikelyAnswers, looseEndFacts, looseEndKey, undoOf } from '@wergon/core/reconcile';
import type { Change, LikelyAnswer } from '@wergon/core/reconcile';
import { ok } from '@wergon/core/result';
import { formatDay, formatInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Call, Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { readBatch } from '../ledger/readBatch.ts';
import { loadHours, loadStates, loadStints } from '../ledger/strands.ts';
import { PatternEntity } from '../people/entities.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { loadAccepted, writeDecision } from './decisions.ts';
import { loadProposals } from './floorEnds.ts';
import { findLooseEnds } from './looseEnds.ts';
import type { DatedLooseEnd } from './looseEnds.ts';
import { loadSurroundings, patternsOf } from './surroundings.ts';
import type { Plans } from './surroundings.ts';

/** The likely answers to a loose end; none to one that is about nobody. */
export const answersTo = (
  sql: Sql,
  facts: ShopFacts,
  plans: Plans,
  end: DatedLooseEnd,
  now: Instant,
): readonly LikelyAnswer[] =>
  end.technician === undefined
    ? []
    : findLikelyAnswers(end, loadSurroundings(sql, facts, plans, end.technician, end, now));

type Chosen = Call<'previewAnswer'>['body'];
/** A loose end with the plans that its answers need. */
type Found = {
  readonly end: DatedLooseEnd;
  readonly changes: readonly Change[];
};

/** Answers to loose ends: what they would do, doing it, and taking it back. */
export function mountAnswers(mount: Mount, context: Context): void {
  const { database, clock, facts, journal } = context;

  /** The answer that was chosen, as it would be given now; absent where the loose end or the answer is another one. */
  async function find({ end: key, reason, at }: Chosen): Promise<Found | undefined> {
    const known = await facts.get();
    const now = clock.now();
    const patterns = patternsOf(await database.em.fork().findAll(PatternEntity));
    return readSql(database, (sql) => {
      const day = known.zone.dayAt(key.from);
      const end = findLooseEnds(sql, known, day, (day + 1) as LocalDay, now).find(
        (each) =>
          each.kind === key.kind &&
          each.technician === key.technician &&
          (each.target ?? null) === key.target &&
          each.from === key.from,
      );
      if (!end) return undefined;
      const plans = { patterns, proposals: loadProposals(sql) };
      const answer = answersTo(sql, known, plans, end, now).find(
        (each) => each.reason === reason && each.at === at,
      );
      return answer && { end, changes: answer.changes };
    });
  }

  const makeLines = (changes: readonly Change[], by: string, why: string) => {
    const action = randomUUID();
    const deviceAt = formatInstant(clock.now());
    const entries = changes.map((change, i) => writeChange(change, `${action}-${i}` as EntryId, by, why));
    const lines = entries.map((entry) => ({
      source: 'desk',
      via: [],
      action,
      deviceAt,
      clockOffset: 0,
      entry,
    }));
    return { lines, ids: entries.map(({ id }) => id) };
  };

  mount('previewAnswer', async ({ body, who }) => {
    const found = await find(body);
    if (!found || who.kind !== 'desk') return refuse('reconcile.changed');
    const known = await facts.get();
    const { technician } = body.end;
    const now = clock.now();
    const { day } = found.end;
    const { lines } = makeLines(found.changes, who.user.name, body.reason);
    const { before, after, outcomes } = await journal.tryOut(
      { kind: 'desk', id: who.user.id },
      readBatch(lines),
      (sql) => look(sql, known, technician, day, now),
    );
    if (outcomes.some(({ result }) => result === 'refused')) return refuse('reconcile.changed');
    const seesRates = who.rights.has('rates.see');
    return ok({
      day: formatDay(day),
      before: writeLane(known, before.stints),
      after: writeLane(known, after.stints),
      jobs: writeJobs(known, before.lines, after.lines, seesRates),
      looseEndsBefore: before.looseEnds,
      looseEndsAfter: after.looseEnds,
    });
  });

  mount('answerLooseEnd', async ({ body, who }) => {
    const found = await find(body);
    if (!found || who.kind !== 'desk') return refuse('reconcile.changed');
    const { lines, ids } = makeLines(found.changes, who.user.name, body.reason);
    const { outcomes } = await journal.appendAll({ kind: 'desk', id: who.user.id }, readBatch(lines));
    return outcomes.some(({ result }) => result === 'refused')
      ? refuse('reconcile.changed')
      : ok({ entries: ids });
  });

  mount('acceptLooseEnd', async ({ body: { end: key, reason }, who }) => {
    if (who.kind !== 'desk') return refuse('access.not_signed_in');
    const known = await facts.get();
    const now = clock.now();
    const end = await readSql(database, (sql) =>
      findLooseEnds(sql, known, key.day, key.day, now).find(
        (each) =>
          each.kind === key.kind &&
          (each.technician ?? null) === key.technician &&
          (each.target ?? null) === key.target &&
          (each.from ?? null) === key.from,
      ),
    );
    if (!end) return refuse('reconcile.changed');
    const decision = { type: 'accept', key: looseEndKey(end), facts: looseEndFacts(end), reason } as const;
    await journal.appendAll({ kind: 'desk', id: who.user.id }, [
      writeDecision({ ...decision, by: who.user.name }, now),
    ]);
    return ok(null);
  });

  mount('withdrawAcceptance', async ({ body, who }) => {
    if (who.kind !== 'desk') return refuse('access.not_signed_in');
    const accepted = await readSql(database, loadAccepted);
    if (![...accepted.values()].some(({ id }) => id === body.id)) return refuse('record.not_found');
    const decision = { type: 'withdraw', accept: body.id, by: who.user.name } as const;
    await journal.appendAll({ kind: 'desk', id: who.user.id }, [writeDecision(decision, clock.now())]);
    return ok(null);
  });

  mount('undoAnswer', async ({ body, who }) => {
    if (who.kind !== 'desk') return refuse('access.not_signed_in');
    const undone = await readSql(database, (sql) => {
      const made = body.entries.map((id) => findMade(sql, id, who.user.id));
      // All of them are this user's own: what others did is not taken back by a list of ids.
      if (made.some((each) => each === undefined)) return undefined;
      const entries = made.flatMap((each) => each ?? []);
      return undoOf(entries, (id) => findEntryBefore(sql, id, body.entries));
    });
    if (!undone) return refuse('record.not_found');
    const { lines, ids } = makeLines(undone, who.user.name, 'undone');
    const { outcomes } = await journal.appendAll({ kind: 'desk', id: who.user.id }, readBatch(lines));
    return outcomes.some(({ result }) => result === 'refused')
      ? refuse('reconcile.changed')
      : ok({ entries: ids });
  });
}

type EntryBody = Readonly<Record<string, unknown>> & { readonly id: EntryId };

/** A change as an entry's JSON: instants are text. Corrections say who made them and why. */
function writeChange(change: Change, id: EntryId, by: string, why: string): EntryBody {
  const text = (at: Instant | null | undefined) => (at == null ? {} : { at: formatInstant(at) });
  if (!('target' in change)) return { ...change, id, ...('at' in change ? text(change.at) : {}) };
  const reasoned = { ...change, id, by, why };
  return change.type === 'amend' ? { ...reasoned, set: { ...change.set, ...text(change.set.at) } } : reasoned;
}

/** A person's day as it stands, with what runs: his stints, labor lines, and loose ends of the days around. */
function look(sql: Sql, facts: ShopFacts, technician: TechnicianId, day: LocalDay, now: Instant) {
  const last = (day + 1) as LocalDay;
  const asked = {
    technician,
    from: facts.zone.startOf(day),
    to: facts.zone.startOf((last + 1) as LocalDay),
  };
  const tail = noStrands();
  const state = loadStates(sql).get(technician);
  if (state) collect(tail, settleAt(technician, state, now, facts.policy).settled);
  const stints = [...loadStints(sql, asked), ...tail.stints].filter(
    ({ from, to }) => to > asked.from && from < asked.to,
  );
  const hours = loadHours(sql, day, last).filter((entry) => entry.technician === technician);
  const pieces = stints
    .flatMap((stint) => piecesOf(stint, facts))
    .filter((piece) => piece.day >= day && piece.day <= last);
  return {
    stints,
    lines: sumLines(pieces, hours, facts.costRates.get(technician) ?? []),
    looseEnds: findLooseEnds(sql, facts, (day - 1) as LocalDay, last, now).filter(
      (end) => end.technician === technician,
    ).length,
  };
}

function titleOf(facts: ShopFacts, target: LaborLine['target']): string {
  const task = facts.tasks.get(target);
  const order = task && facts.orders.get(task.order);
  return task ? `${order?.number ?? ''} ${task.title}` : (facts.activities.get(target)?.title ?? '');
}

const writeLane = (facts: ShopFacts, stints: readonly Stint[]): EffectJson['before'] =>
  stints.map(({ from, to, running, capped }) => ({
    from: formatInstant(from),
    to: formatInstant(to),
    title: running.map(({ target }) => titleOf(facts, target)).join(' and '),
    isTorn: capped,
  }));

/** The tasks and activities whose hours or cost an answer would change. */
function writeJobs(
  facts: ShopFacts,
  before: readonly LaborLine[],
  after: readonly LaborLine[],
  seesRates: boolean,
): EffectJson['jobs'] {
  const sum = (lines: readonly LaborLine[], target: LaborLine['target']) => {
    const own = lines.filter((line) => line.target === target);
    return {
      seconds: own.reduce((total, { seconds }) => total + seconds, 0),
      cost: seesRates ? formatCents(toCents(own.reduce((total, { cost }) => total + (cost ?? 0), 0))) : null,
    };
  };
  const targets = [...new Set([...before, ...after].map(({ target }) => target))];
  return targets.flatMap((target) => {
    const [was, is] = [sum(before, target), sum(after, target)];
    return was.seconds === is.seconds && was.cost === is.cost
      ? []
      : [
          {
            title: titleOf(facts, target),
            beforeSeconds: was.seconds,
            afterSeconds: is.seconds,
            beforeCost: was.cost,
            afterCost: is.cost,
          },
        ];
  });
}

type JournalRow = { readonly body: string; readonly type: string };

/** An entry that this user made at the desk; absent for anybody else's. */
function findMade(sql: Sql, id: EntryId, user: string): Entry | undefined {
  const [row] = sql.all<JournalRow>(
    `select "body", "type" from "journal" where "id" = ? and "stream" = 'labor'
       and json_extract("envelope", '$.author.kind') = 'desk' and json_extract("envelope", '$.author.id') = ?`,
    [id, user],
  );
  return row && readEntry(row.body);
}

const readEntry = (body: string): Entry => entrySchema.parse(JSON.parse(body));

/** An entry as it counted before some corrections of it. */
function findEntryBefore(sql: Sql, id: EntryId, without: readonly EntryId[]): LaborEntry | undefined {
  const [row] = sql.all<JournalRow>('select "body", "type" from "journal" where "id" = ?', [id]);
  if (!row) return undefined;
  const corrections = sql
    .all<JournalRow & { readonly id: EntryId }>(
      'select "id", "body", "type" from "journal" where "corrects" = ? order by "seq"',
      [id],
    )
    .filter((each) => !without.includes(each.id))
    .map(({ body }) => readEntry(body))
    .filter((entry) => isCorrection(entry));
  const entry = readEntry(row.body);
  return isCorrection(entry) ? undefined : correctedEntry(entry, corrections);
}
