import { useDebounceFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { DraftFields, DraftJson } from '@wergon/contract/timesheet';
import { parseDay, parseHours } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { callRoute, wordsOf } from '../kit/index.ts';
import { t } from '../words/index.ts';

export type Slip = DraftFields & {
  readonly key: number;
  id: string | null;
  /** Made for it here, so that it is kept once however often it is sent. */
  readonly once: string;
  at: Instant | null;
  saved: string;
};

/** So long a row rests before it is kept on the server, in milliseconds. */
const REST = 500;
let keys = 0;

const fieldsOf = ({
  technician,
  target,
  personText,
  targetText,
  workType,
  day,
  hours,
}: DraftFields): DraftFields => ({
  technician,
  target,
  personText,
  targetText,
  workType,
  day,
  hours,
});
/** Whether anything was written in a row that is worth keeping. */
const isBlank = ({ target, targetText, hours }: DraftFields) =>
  target === '' && targetText === '' && hours === '';
/** Whether a row lacks nothing. */
export const isComplete = ({ technician, target, day, hours }: DraftFields): boolean =>
  technician !== '' && target !== '' && parseDay(day).ok && (parseHours(hours) ?? 0) > 0;

/** Rows of paper slips while they are typed: kept on the server as drafts until they are recorded. */
export function useSlips() {
  const rows = ref<Slip[]>([]);
  const problem = ref('');

  const blank = (before?: DraftFields): Slip => ({
    technician: before?.technician ?? '',
    personText: before?.personText ?? '',
    target: '',
    targetText: '',
    workType: 'run',
    day: before?.day ?? '',
    hours: '',
    key: (keys += 1),
    id: null,
    once: crypto.randomUUID(),
    at: null,
    saved: '',
  });
  const read = ({ id, at, fields }: DraftJson): Slip => ({
    ...fields,
    key: (keys += 1),
    id,
    once: crypto.randomUUID(),
    at,
    saved: JSON.stringify(fields),
  });

  /** Nothing is typed before what was kept is there: else it would be kept twice. */
  const isLoaded = ref(false);
  async function load(): Promise<void> {
    try {
      const { drafts } = await callRoute('drafts');
      rows.value = [...drafts.map(read), blank()];
      isLoaded.value = true;
      problem.value = '';
    } catch (error) {
      problem.value = wordsOf(error);
    }
  }
  /** The one person that words or a badge stand for: `null` if there is none, `undefined` if nobody could be asked. */
  async function findPerson(search: string) {
    try {
      return (await callRoute('findPerson', { body: { search } })).person;
    } catch (error) {
      problem.value = wordsOf(error);
      return undefined;
    }
  }
  async function keep(): Promise<void> {
    for (const row of rows.value) {
      const fields = fieldsOf(row);
      const text = JSON.stringify(fields);
      if (isBlank(row) || text === row.saved) continue;
      try {
        row.saved = text;
        row.id = (await callRoute('saveDraft', { body: { id: row.id, fields, once: row.once } })).id;
        problem.value = '';
      } catch (error) {
        row.saved = '';
        problem.value = t('timesheet.notKeptYet', { why: wordsOf(error) });
      }
    }
  }
  async function drop(row: Slip): Promise<void> {
    rows.value = rows.value.filter(({ key }) => key !== row.key);
    if (rows.value.length === 0) rows.value = [blank()];
    if (row.id !== null) await callRoute('dropDraft', { params: { draft: row.id } }).catch(() => undefined);
  }

  const complete = computed(() => rows.value.filter(isComplete));
  /** What the paper says of each person, to compare with it: typed, not yet recorded. */
  const sums = computed(() => {
    const byPerson = new Map<string, number>();
    for (const { personText, hours } of complete.value)
      byPerson.set(personText, (byPerson.get(personText) ?? 0) + (parseHours(hours) ?? 0));
    return [...byPerson].map(([name, seconds]) => ({ name, seconds }));
  });
  return {
    rows,
    complete,
    sums,
    problem,
    isLoaded,
    load,
    findPerson,
    /** Kept a moment after the last key, and at once where a row is left. */
    keep,
    keepSoon: useDebounceFn(keep, REST),
    drop,
    append: () => rows.value.push(blank(rows.value.at(-1))),
    /** Rows that were recorded are gone; those that lack something stay. */
    forget: (recorded: readonly Slip[]) => {
      const keysGone = new Set(recorded.map(({ key }) => key));
      rows.value = rows.value.filter(({ key }) => !keysGone.has(key));
      const last = rows.value.at(-1);
      if (!last || !isBlank(last)) rows.value.push(blank(recorded.at(-1)));
    },
  };
}
