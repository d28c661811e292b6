import { setImmediate } from 'node:timers/promises';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Touched } from './projection.ts';
import { Defect, ok } from '@wergon/core/result';
import type { Instant } from '@wergon/core/time';
import { isDiskFault, readSql, trySql, writeSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import type { Clock, Commit, Live, RouteRefusal } from '../http/index.ts';
import type { FactsCache, ShopFacts } from '../catalog/index.ts';
import type { Author } from './envelope.ts';
import type { FieldProblem } from '@wergon/contract/wire';
import type { Incoming, Outcome } from './incoming.ts';
import { project } from './projection.ts';
import { findHead, keepRefused, recordEntry } from './record.ts';
import type { Head, Recorded } from './record.ts';
import { isAnyDue } from './waiting.ts';

/** Decides on entries inside the transaction that records them, so that nothing can change in between; a refusal records
 *  nothing. */
export type Decide = (
  sql: Sql,
  facts: ShopFacts,
) => { readonly ok: true; readonly value: readonly Incoming[] } | RouteRefusal;
type Entries = readonly Incoming[] | Decide;

export type Appended = { readonly ok: true; readonly outcomes: readonly Outcome[]; readonly seq: number };

/** What is looked at before entries are tried out, and after it. */
export type Look<Before, After> = {
  readonly before: (sql: Sql) => Before;
  readonly after: (sql: Sql, before: Before) => After;
};
export type Tried<Before, After> = {
  readonly ok: true;
  readonly before: Before;
  readonly after: After;
  readonly outcomes: readonly Outcome[];
};

/** The one way into the journal. */
export type Journal = {
  /** Records what can be recorded; what is refused is kept on the side and holds up nothing. */
  readonly append: (author: Author, entries: readonly Incoming[]) => Promise<Appended>;
  /** Records entries, lets the database be looked at as it is then, and takes all of it back. */
  readonly tryOut: <Before, After>(
    author: Author,
    decide: Decide,
    look: Look<Before, After>,
  ) => Promise<Tried<Before, After> | RouteRefusal>;
  /** Records all entries or, if one is refused, none. */
  readonly appendAll: (author: Author, entries: Entries) => Promise<Appended | RouteRefusal>;
  /** Takes in entries of a later time, once their time has come. */
  readonly takeInDue: () => Promise<void>;
  /** How often the desk has written since the server began: who acts there wants to see at once what came of it. */
  readonly countDeskActs: () => number;
};

type Job = {
  readonly author: Author;
  readonly entries: Entries;
  readonly isAllOrNone: boolean;
  readonly resolve: (answer: Appended | RouteRefusal) => void;
  readonly reject: (reason: unknown) => void;
};

/** Batches that share one commit at the most; more wait for the next. */
const JOBS_PER_COMMIT = 64;

class SomeRefused extends Error {
  constructor(readonly outcomes: readonly Outcome[]) {
    super('some entries were refused');
  }
}

/** Ends what was only tried out; the transaction takes it back. */
class OnlyTried extends Error {}

/** Ids that the database refuses twice, disk full, and the like end a whole transaction; what an entry itself makes go
 *  wrong is told as far as it helps whoever looks at the side list. */
const sayThrown = (error: unknown): FieldProblem => ({
  field: 'entry',
  message: `could not be recorded (${error instanceof Error ? error.name : 'unknown'}): set aside for somebody to look at`,
});

/** What became of jobs that share a transaction, in their order. */
type Written = { readonly answers: readonly (Appended | RouteRefusal)[]; readonly commit: Commit };

type Batch = { readonly author: Author; readonly entries: readonly Incoming[] };

/** One transaction of the journal on its way: where the chain has come to, and what is recorded but not yet projected. */
type Writing = {
  readonly sql: Sql;
  readonly facts: ShopFacts;
  readonly now: Instant;
  readonly head: Head;
  readonly recorded: Recorded[];
  readonly touched: Touched;
};

/** Runs a part of a transaction; if it throws, nothing of it was. */
function attempt<T>(writing: Writing, work: () => T): T {
  const { head, recorded } = writing;
  const before = { ...head };
  const count = recorded.length;
  try {
    return trySql(writing.sql, work);
  } catch (error) {
    Object.assign(head, before);
    recorded.length = count;
    throw error;
  }
}

const projectAll = ({ sql, facts, recorded, now, touched }: Writing) =>
  project(sql, facts, recorded.splice(0), now, touched);

function recordOne(writing: Writing, author: Author, incoming: Incoming): Outcome {
  const outcome = recordEntry({ ...writing, author }, incoming);
  if (outcome.result === 'refused')
    keepRefused(writing.sql, author.id, incoming.body, outcome.errors, writing.now);
  return outcome;
}

/** Records each entry that can be recorded. One that throws is set aside with what was thrown; the rest goes on. */
function writeEach(writing: Writing, { author, entries }: Batch, isProjectedEach: boolean): Outcome[] {
  return entries.map((incoming) => {
    try {
      return attempt(writing, () => {
        const outcome = recordOne(writing, author, incoming);
        if (isProjectedEach) projectAll(writing);
        return outcome;
      });
    } catch (error) {
      if (isDiskFault(error)) throw error;
      const errors = [sayThrown(error)];
      keepRefused(writing.sql, author.id, incoming.body, errors, writing.now);
      return { id: incoming.id, result: 'refused', errors };
    }
  });
}

/** Records all entries or, if one is refused, none. */
function writeAll(writing: Writing, { author, entries }: Batch): readonly Outcome[] {
  try {
    return attempt(writing, () => {
      const outcomes = entries.map((incoming) => recordEntry({ ...writing, author }, incoming));
      if (outcomes.some(({ result }) => result === 'refused')) throw new SomeRefused(outcomes);
      return outcomes;
    });
  } catch (error) {
    if (error instanceof SomeRefused) return error.outcomes;
    throw error;
  }
}

function writeJob(
  writing: Writing,
  { author, entries: given, isAllOrNone }: Job,
  isAlone: boolean,
): Appended | RouteRefusal {
  // Whoever decides must see what was recorded before.
  if (typeof given === 'function') projectAll(writing);
  const decided = typeof given === 'function' ? given(writing.sql, writing.facts) : ok(given);
  if (!decided.ok) return decided;
  const entries = decided.value;
  const outcomes = isAllOrNone
    ? writeAll(writing, { author, entries })
    : writeEach(writing, { author, entries }, isAlone);
  if (isAlone) projectAll(writing);
  return { ok: true, outcomes, seq: writing.head.seq };
}

/** Makes the journal's writer. Batches that arrive while one is being written wait and then share the next commit:
 *  each is answered only after its commit has reached the disk, and a busy minute costs few of them. */
export function createJournal(database: Database, cache: FactsCache, clock: Clock, live: Live): Journal {
  const waiting: Job[] = [];
  let isWriting = false;
  let deskActs = 0;

  async function writeWaiting(): Promise<void> {
    if (isWriting) return;
    isWriting = true;
    try {
      while (waiting.length > 0) {
        // Whatever has arrived by now shares the commit: a turn of the event loop costs less than another write to disk.
        await setImmediate();
        await writeTogether(waiting.splice(0, JOBS_PER_COMMIT));
      }
    } finally {
      isWriting = false;
    }
  }

  function writeWith<T>(sql: Sql, facts: ShopFacts, work: (writing: Writing) => T) {
    const head = findHead(sql);
    const before = head.seq;
    const touched = { technicians: new Set<TechnicianId>(), targets: new Set<TargetId>() };
    const value = work({ sql, facts, now: clock.now(), head, recorded: [], touched });
    const orders = new Set([...touched.targets].flatMap((target) => facts.tasks.get(target)?.order ?? []));
    return { value, commit: { before, after: head.seq, changes: { ...touched, orders } } };
  }

  /** Runs one transaction on the facts as they are once nobody else can write. */
  async function transact<T>(work: (writing: Writing) => T): Promise<{ value: T; commit: Commit }> {
    for (;;) {
      const facts = await cache.get();
      const done = await writeSql(database, (sql) =>
        // What was changed while this waited for its turn is asked for anew.
        cache.isCurrent(facts) ? writeWith(sql, facts, work) : undefined,
      );
      if (done) return done;
    }
  }

  function answer(jobs: readonly Job[], { answers, commit }: Written): void {
    jobs.forEach(({ resolve, reject }, i) => {
      const own = answers[i];
      if (own) resolve(own);
      else reject(new Defect('a batch without an answer'));
    });
    deskActs += jobs.filter(({ author }) => author.kind === 'desk').length;
    live.publish(commit);
  }

  async function writeTogether(jobs: readonly Job[]): Promise<void> {
    try {
      const { value: answers, commit } = await transact((writing) => {
        const written = jobs.map((job) => writeJob(writing, job, false));
        projectAll(writing);
        return written;
      });
      answer(jobs, { answers, commit });
    } catch {
      // Something in them throws. Each is written by itself, and entry by entry, so that it stops nobody else.
      for (const job of jobs) await writeAlone(job);
    }
  }

  async function writeAlone(job: Job): Promise<void> {
    try {
      const { value, commit } = await transact((writing) => writeJob(writing, job, true));
      answer([job], { answers: [value], commit });
    } catch (error) {
      job.reject(error);
    }
  }

  const enqueue = (author: Author, entries: Entries, isAllOrNone: boolean) =>
    new Promise<Appended | RouteRefusal>((resolve, reject) => {
      waiting.push({ author, entries, isAllOrNone, resolve, reject });
      void writeWaiting();
    });

  async function tryOut<Before, After>(author: Author, decide: Decide, look: Look<Before, After>) {
    let seen: Tried<Before, After> | RouteRefusal | undefined;
    try {
      await transact((writing) => {
        const { sql, facts } = writing;
        const before = look.before(sql);
        const decided = decide(sql, facts);
        if (decided.ok) {
          const outcomes = decided.value.map((incoming) => recordEntry({ ...writing, author }, incoming));
          projectAll(writing);
          seen = { ok: true, before, after: look.after(sql, before), outcomes };
        } else seen = decided;
        throw new OnlyTried();
      });
    } catch (error) {
      if (!(error instanceof OnlyTried)) throw error;
    }
    if (!seen) throw new Defect('nothing was tried out');
    return seen;
  }

  /** Takes in what waited for its time to come. */
  async function takeInDue(): Promise<void> {
    const facts = await cache.find();
    if (!facts || !(await readSql(database, (sql) => isAnyDue(sql, clock.now())))) return;
    const { commit } = await transact(projectAll);
    live.publish(commit);
  }

  return {
    countDeskActs: () => deskActs,
    tryOut,
    takeInDue,
    append: async (author, entries) => {
      const appended = await enqueue(author, entries, false);
      if (!appended.ok) throw new Defect('entries that nobody decides on were refused as a whole');
      return appended;
    },
    appendAll: (author, entries) => enqueue(author, entries, true),
  };
}
