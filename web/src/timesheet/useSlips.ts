import { useDebounceFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { DraftFields, DraftJson, RecordSlips } from '@wergon/contract/timesheet';
import { parseClock, parseDay, parseHours } from '@wergon/core/time';
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

type Row = RecordSlips['rows'][number];
const DAY = 86_400;
/** So long a row rests before it is kept on the server, in milliseconds. */
const REST = 500;
let keys = 0;

const FIELDS = [
  'technician',
  'target',
  'personText',
  'targetText',
  'workType',
  'day',
  'from',
  'to',
  'hours',
  'good',
  'scrap',
  'note',
] as const satisfies readonly (keyof DraftFields)[];
const fieldsOf = (slip: DraftFields): DraftFields =>
  Object.fromEntries(FIELDS.map((field) => [field, slip[field]])) as DraftFields;
/** Whether anything was written in a row that is worth keeping. */
const isBlank = ({ target, targetText, from, to, hours, good, scrap, note }: DraftFields) =>
  [target, targetText, from, to, hours, good, scrap, note].every((text) => text === '');

/** What a row of a slip records; absent while it lacks something or holds what cannot be read. */
export function readSlip({ technician, target, workType, day, note, ...slip }: DraftFields): Row | undefined {
  const read = parseDay(day);
  const [good, scrap] = [readPieces(slip.good), readPieces(slip.scrap)];
  if (technician === '' || target === '' || !read.ok || good === undefined || scrap === undefined)
    return undefined;
  const row = { technician, target, workType, day, good, scrap, note };
  if (slip.from === '' && slip.to === '') {
    const seconds = parseHours(slip.hours) ?? 0;
    return seconds > 0 ? { ...row, seconds } : undefined;
  }
  const [from, to] = [parseClock(slip.from), parseClock(slip.to)];
  return from === undefined || to === undefined ? undefined : { ...row, from, to };
}
/** Pieces as they are typed; none where nothing is. */
export const readPieces = (text: string): number | undefined =>
  /^\d{0,6}$/.test(text.trim()) ? Number(text) : undefined;

/** Seconds that a row comes to as it is typed: between start and end, else what stands there; 0 while it says neither. */
export function secondsOf({ from, to, hours }: DraftFields): number {
  if (from === '' && to === '') return parseHours(hours) ?? 0;
  const [begin, end] = [parseClock(from), parseClock(to)];
  if (begin === undefined || end === undefined) return 0;
  return end > begin ? end - begin : end - begin + DAY;
}

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
    from: '',
    to: '',
    hours: '',
    good: '',
    scrap: '',
    note: '',
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
  /** What others have begun and not finished. */
  const others = ref<DraftJson[]>([]);
  async function load(): Promise<void> {
    try {
      const { drafts } = await callRoute('drafts');
      rows.value = [...drafts.filter(({ isOwn }) => isOwn).map(read), blank()];
      others.value = drafts.filter(({ isOwn }) => !isOwn);
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
  /** Rows of others become one's own, and stand among them. */
  async function takeOver(taken: readonly DraftJson[]): Promise<void> {
    await keep();
    try {
      for (const { id } of taken) await callRoute('takeDraft', { params: { draft: id } });
    } catch (error) {
      problem.value = wordsOf(error);
    }
    await load();
  }
  async function drop(row: Slip): Promise<void> {
    rows.value = rows.value.filter(({ key }) => key !== row.key);
    if (rows.value.length === 0) rows.value = [blank()];
    if (row.id !== null) await callRoute('dropDraft', { params: { draft: row.id } }).catch(() => undefined);
  }

  const complete = computed(() => rows.value.filter((row) => readSlip(row) !== undefined));
  /** What the paper says of each person, to compare with it: typed, not yet recorded. */
  const sums = computed(() => {
    const byPerson = new Map<string, number>();
    for (const row of complete.value)
      byPerson.set(row.personText, (byPerson.get(row.personText) ?? 0) + secondsOf(row));
    return [...byPerson].map(([name, seconds]) => ({ name, seconds }));
  });
  return {
    rows,
    complete,
    sums,
    problem,
    isLoaded,
    others,
    takeOver,
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
