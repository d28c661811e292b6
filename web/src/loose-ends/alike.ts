import { formatDay, formatInstant } from '@wergon/core/time';
import type { Acceptance, ChosenAnswer, LooseEndsJson } from '@wergon/contract/loose-ends';
import { t } from '../words/index.ts';

export type LooseEndJson = LooseEndsJson['looseEnds'][number];

/** One line of the queue: a loose end, or gaps of one person outside the planned time told together. */
export type QueueLine =
  | { readonly kind: 'one'; readonly end: LooseEndJson }
  | { readonly kind: 'outside-plan'; readonly ends: readonly LooseEndJson[] };

/** What names a loose end when it is accepted. */
export const keyOf = ({
  kind,
  technician,
  targetId: target,
  from,
  day,
  about,
}: LooseEndJson): Acceptance['ends'][number] => ({
  kind,
  technician,
  target,
  from: from === null ? null : formatInstant(from),
  day: formatDay(day),
  about,
});

const byPerson = (a: LooseEndJson, b: LooseEndJson): number =>
  Number(a.technician === null) - Number(b.technician === null) ||
  (a.name ?? '').localeCompare(b.name ?? '') ||
  (a.from ?? a.to ?? 0) - (b.from ?? b.to ?? 0);

/** The lines of one day's loose ends, person by person in the order of the day, what is about nobody behind them. */
export function queueOf(ends: readonly LooseEndJson[]): readonly QueueLine[] {
  const lines: QueueLine[] = [];
  const outside = new Map<string, LooseEndJson[]>();
  for (const end of [...ends].sort(byPerson)) {
    if (!end.isOutsidePlan) {
      lines.push({ kind: 'one', end });
      continue;
    }
    const own = outside.get(end.technician ?? '');
    if (own) own.push(end);
    else {
      const first = [end];
      outside.set(end.technician ?? '', first);
      lines.push({ kind: 'outside-plan', ends: first });
    }
  }
  return lines;
}

/** Ends of one kind whose likeliest answer has the same reason, where there are several for the asker to decide. */
export function findAlike(ends: readonly LooseEndJson[]): readonly (readonly LooseEndJson[])[] {
  const groups = new Map<string, LooseEndJson[]>();
  for (const end of ends) {
    const [first] = end.answers;
    if (!first || end.isOutsidePlan || !end.mayDecide) continue;
    const key = `${end.kind} ${first.reason}`;
    groups.set(key, [...(groups.get(key) ?? []), end]);
  }
  return [...groups.values()]
    .filter(({ length }) => length > 1)
    .sort((a, b) => b.length - a.length)
    .map((group) => group.slice(0, MOST_TOGETHER));
}

/** So many are answered in one go at the most; the others come after them. */
const MOST_TOGETHER = 200;
/** So many people are named before the rest is only counted. */
const MOST_NAMES = 8;

/** Whom some ends are about, in words. */
export function namesOf(ends: readonly LooseEndJson[]): string {
  const names = [...new Set(ends.map(({ name }) => name ?? t('looseEnds.somebody')))];
  const more = names.length - MOST_NAMES;
  return more > 0
    ? t('looseEnds.andMore', { names: names.slice(0, MOST_NAMES).join(', '), more })
    : names.join(', ');
}

/** One of an end's answers as it is sent; absent for an end that is about nobody. */
export const writeAnswer = (
  { kind, technician, targetId: target, from }: LooseEndJson,
  { reason, at }: LooseEndJson['answers'][number],
): ChosenAnswer | undefined =>
  technician === null || from === null
    ? undefined
    : {
        end: { kind, technician, target, from: formatInstant(from) },
        reason,
        at: at === null ? null : formatInstant(at),
      };

/** Each end with its own likeliest answer. */
export const likeliestAnswers = (ends: readonly LooseEndJson[]): ChosenAnswer[] =>
  ends.flatMap((end) => (end.answers[0] && writeAnswer(end, end.answers[0])) ?? []);
