import { earliestOf, latestOf, addDays } from '@wergon/core/time';
import type { EntryId } from '@wergon/core/ledger';
import { canBeAnswered, findLikelyAnswers, undoOf } from '@wergon/core/loose-ends';
import type { LikelyAnswer } from '@wergon/core/loose-ends';
import { ok } from '@wergon/core/result';
import type { Instant } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { Sql } from '../db/index.ts';
import { PatternEntity } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { createEditService } from './editService.ts';
import type { Plan, EditPlanner } from './editService.ts';
import type { EditScope, PersonDay } from './effect.ts';
import { loadProposals } from './floorEnds.ts';
import { findLooseEnds } from './looseEnds.ts';
import type { DatedLooseEnd } from './looseEnds.ts';
import { findEntryBefore, findOwnEntry } from './ownEntries.ts';
import { loadSurroundings, patternsOf, readDaysOf } from './answerContext.ts';
import type { Plans } from './answerContext.ts';

/** The likely answers to loose ends; none to one that is about nobody. Person by person, so that what is read of one is
 *  held no longer than it is needed. */
export function findAnswers<End extends DatedLooseEnd>(
  sql: Sql,
  facts: ShopFacts,
  plans: Plans,
  ends: readonly End[],
  now: Instant,
): ReadonlyMap<End, readonly LikelyAnswer[]> {
  const answers = new Map<End, readonly LikelyAnswer[]>();
  const answerable = ends.filter(({ kind }) => canBeAnswered(kind));
  for (const technician of new Set(answerable.flatMap((end) => end.technician ?? []))) {
    const daysOf = readDaysOf(sql, facts, technician, now);
    for (const end of answerable.filter((each) => each.technician === technician))
      answers.set(
        end,
        findLikelyAnswers(end, loadSurroundings(sql, facts, plans, { ...end, technician }, now, daysOf)),
      );
  }
  return answers;
}

type Chosen = Call<'previewAnswer'>['body']['answers'][number];

/** Answers to loose ends: what they would do, doing it, and taking it back. */
export function mountAnswers(mount: Mount, context: LedgerContext): void {
  const edits = createEditService(context);
  const { database, facts } = context;
  const loadPatterns = async () => patternsOf(await database.em.fork().findAll(PatternEntity));

  mount('previewAnswer', async ({ body: { answers }, who }) => {
    const { zone } = await facts.get();
    const patterns = await loadPatterns();
    const spots = new Map(
      answers.map(({ end: { technician, from } }) => {
        const day = zone.dayAt(from);
        return [`${technician} ${day}`, { technician, day }];
      }),
    );
    const planner = planAll(answers.map((answer) => planAnswer(answer, patterns)));
    return edits.preview(who, sceneAround([...spots.values()]), planner, [...spots.values()]);
  });

  mount('answerLooseEnd', async ({ body: { answers }, who }) => {
    const patterns = await loadPatterns();
    const reasons = [...new Set(answers.map(({ reason }) => reason))].join(', ');
    return edits.record(who, planAll(answers.map((answer) => planAnswer(answer, patterns))), reasons);
  });

  mount('undoAnswer', async ({ body, who }) => {
    return edits.record(who, planUndo(body.entries, who.user.id), 'undone');
  });
}

/** The people and the stretch of days that some of their days lie in. */
const sceneAround = (spots: readonly PersonDay[]): EditScope => ({
  people: [...new Set(spots.map(({ technician }) => technician))],
  firstDay: earliestOf(spots.map(({ day }) => day)),
  lastDay: latestOf(spots.map(({ day }) => day)),
});

/** Joins planners into one; the first refusal is the refusal of all. */
const planAll =
  (planners: readonly EditPlanner[]): EditPlanner =>
  (sql, facts, now) => {
    const plans: Plan[] = [];
    for (const planner of planners) {
      const planned = planner(sql, facts, now);
      if (!planned.ok) return planned;
      plans.push(planned.value);
    }
    return ok({
      people: [...new Set(plans.flatMap(({ people }) => people))],
      firstDay: earliestOf(plans.map(({ firstDay }) => firstDay)),
      lastDay: latestOf(plans.map(({ lastDay }) => lastDay)),
      changes: plans.flatMap(({ changes }) => changes),
    });
  };

/** The answer that was chosen, as it would be given now; refused where the loose end or the answer is another one. */
const planAnswer =
  ({ end: key, reason, at }: Chosen, patterns: Plans['patterns']): EditPlanner =>
  (sql, known, now) => {
    const day = known.zone.dayAt(key.from);
    const people = [key.technician];
    const end = findLooseEnds(sql, known, day, addDays(day, 1), now, people).find(
      (each) => each.kind === key.kind && (each.target ?? null) === key.target && each.from === key.from,
    );
    const plans = { patterns, proposals: loadProposals(sql) };
    const answer =
      end &&
      findAnswers(sql, known, plans, [end], now)
        .get(end)
        ?.find((each) => each.reason === reason && each.at === at);
    return answer
      ? ok({ people, firstDay: day, lastDay: day, changes: answer.changes })
      : refuse('reconcile.changed');
  };

/** Takes back what a user recorded themselves: what others did is not taken back by a list of ids. */
const planUndo =
  (entries: readonly EntryId[], user: string): EditPlanner =>
  (sql, known, now) => {
    const made = entries.map((id) => findOwnEntry(sql, id, user));
    if (made.some((each) => each === undefined)) return refuse('record.not_found');
    const changes = undoOf(
      made.flatMap((each) => each ?? []),
      (id) => findEntryBefore(sql, id, entries),
    );
    const today = known.zone.dayAt(now);
    return ok({ people: [], firstDay: today, lastDay: today, changes });
  };
