import { Defect } from '@wergon/core/result';
import { trySql, writeSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import type { Clock } from '../app/clock.ts';
import type { Live } from '../app/live.ts';
import type { FactsCache, ShopFacts } from '../shop/facts.ts';
import type { Author } from './envelope.ts';
import type { Incoming, Outcome } from './incoming.ts';
import { project } from './projection.ts';
import { findHead, keepRefused, recordEntry } from './record.ts';
import type { Head, Recorded } from './record.ts';

/** Entries, or what decides on them inside the transaction that records them: nothing can change in between. */
export type Entries = readonly Incoming[] | ((sql: Sql, facts: ShopFacts) => readonly Incoming[]);

export type Appended = { readonly outcomes: readonly Outcome[]; readonly seq: number };

/** What is looked at before entries are tried out, and after it. */
export type Look<Before, After> = {
  readonly before: (sql: Sql) => Before;
  readonly after: (sql: Sql, before: Before) => After;
};
export type Tried<Before, After> = {
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
    entries: Entries,
    look: Look<Before, After>,
  ) => Promise<Tried<Before, After>>;
  /** Records all entries or, if one is refused, none. */
  readonly appendAll: (author: Author, entries: Entries) => Promise<Appended>;
  /** How often the desk has written since the server began: who acts there wants to see at once what came of it. */
  readonly countDeskActs: () => number;
};

type Job = {
  readonly author: Author;
  readonly entries: Entries;
  readonly isAllOrNone: boolean;
  readonly resolve: (appended: Appended) => void;
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
      while (waiting.length > 0) await writeTogether(waiting.splice(0, JOBS_PER_COMMIT));
    } finally {
      isWriting = false;
    }
  }

  async function writeTogether(jobs: readonly Job[]): Promise<void> {
    try {
      const facts = await cache.get();
      const answers = await writeSql(database, (sql) => {
        const head = findHead(sql);
        const recorded: Recorded[] = [];
        const appended = jobs.map(({ author, entries: given, isAllOrNone }): Appended => {
          // Who decides must see what was recorded before him.
          if (typeof given === 'function') project(sql, facts, recorded.splice(0));
          const entries = typeof given === 'function' ? given(sql, facts) : given;
          const job = { author, entries };
          const outcomes = isAllOrNone
            ? writeAll(sql, facts, head, job, recorded)
            : writeEach(sql, facts, head, job, recorded);
          return { outcomes, seq: head.seq };
        });
        project(sql, facts, recorded);
        return appended;
      });
      jobs.forEach(({ resolve }, i) => resolve(answers[i] as Appended));
      deskActs += jobs.filter(({ author }) => author.kind === 'desk').length;
      live.publish(answers.at(-1)?.seq ?? 0);
    } catch (error) {
      for (const { reject } of jobs) reject(error);
    }
  }

  type Batch = { readonly author: Author; readonly entries: readonly Incoming[] };
  function writeEach(
    sql: Sql,
    facts: ShopFacts,
    head: Head,
    { author, entries }: Batch,
    recorded: Recorded[],
  ) {
    const recording = { sql, facts, head, author, now: clock.now(), recorded };
    return entries.map((incoming) => {
      const outcome = recordEntry(recording, incoming);
      if (outcome.result === 'refused')
        keepRefused(sql, author.id, incoming.body, outcome.errors, recording.now);
      return outcome;
    });
  }

  function writeAll(
    sql: Sql,
    facts: ShopFacts,
    head: Head,
    { author, entries }: Batch,
    recorded: Recorded[],
  ) {
    const before = { ...head };
    const own: Recorded[] = [];
    const recording = { sql, facts, head, author, now: clock.now(), recorded: own };
    try {
      return trySql(sql, () => {
        const outcomes = entries.map((incoming) => recordEntry(recording, incoming));
        if (outcomes.some(({ result }) => result === 'refused')) throw new SomeRefused(outcomes);
        recorded.push(...own);
        return outcomes;
      });
    } catch (error) {
      Object.assign(head, before);
      if (error instanceof SomeRefused) return error.outcomes;
      throw error;
    }
  }

  const enqueue = (author: Author, entries: Entries, isAllOrNone: boolean) =>
    new Promise<Appended>((resolve, reject) => {
      waiting.push({ author, entries, isAllOrNone, resolve, reject });
      void writeWaiting();
    });
  async function tryOut<Before, After>(author: Author, given: Entries, look: Look<Before, After>) {
    const facts = await cache.get();
    let seen: Tried<Before, After> | undefined;
    try {
      await writeSql(database, (sql) => {
        const before = look.before(sql);
        const entries = typeof given === 'function' ? given(sql, facts) : given;
        const recorded: Recorded[] = [];
        const recording = { sql, facts, head: findHead(sql), author, now: clock.now(), recorded };
        const outcomes = entries.map((incoming) => recordEntry(recording, incoming));
        project(sql, facts, recorded);
        seen = { before, after: look.after(sql, before), outcomes };
        throw new OnlyTried();
      });
    } catch (error) {
      if (!(error instanceof OnlyTried)) throw error;
    }
    if (!seen) throw new Defect('nothing was tried out');
    return seen;
  }
  return {
    countDeskActs: () => deskActs,
    tryOut,
    append: (author, entries) => enqueue(author, entries, false),
    appendAll: (author, entries) => enqueue(author, entries, true),
  };
}
