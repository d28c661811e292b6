import { computed, ref } from 'vue';
import type { PersonDayJson, RecordsEditJson } from '@wergon/contract/tape';
import { formatInstant, parseHours } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import { callRoute } from '../kit/index.ts';
import type { Undoable } from '../loose-ends/index.ts';
import type { TapeBlock } from './usePersonDay.ts';

/** What can be done to several records at once. */
export const RECORD_ACTS = ['out', 'give', 'work', 'earlier', 'later'] as const;
export type RecordAct = (typeof RECORD_ACTS)[number];

const blank = () => ({
  act: 'out' as RecordAct,
  technician: '',
  target: '',
  targetText: '',
  workType: 'run' as WorkType,
  hours: '',
  reason: '',
});

/** Records of a day that are ticked, and the one thing that is done to all of them. */
export function useRecordsEdit(acts: Undoable) {
  const ticked = ref<readonly string[]>([]);
  const draft = ref(blank());

  const act = computed((): RecordsEditJson['act'] | undefined => {
    const { act: what, technician, target, workType, hours } = draft.value;
    const seconds = parseHours(hours) ?? 0;
    if (what === 'out') return { what };
    if (what === 'give') return technician === '' ? undefined : { what, technician };
    if (what === 'work') return target === '' ? undefined : { what, target, workType };
    return seconds === 0 ? undefined : { what: 'shift', seconds: what === 'later' ? seconds : -seconds };
  });

  /** What is sent of the records that are ticked; absent while something is missing. */
  function bodyOf(blocks: readonly TapeBlock[], told: PersonDayJson): RecordsEditJson | undefined {
    const isTicked = (key: string) => ticked.value.includes(key);
    const picked = blocks.filter(({ key }) => isTicked(key));
    const hours = told.hours.map(({ id }) => id).filter(isTicked);
    if (act.value === undefined || picked.length + hours.length === 0) return undefined;
    return {
      blocks: picked.map(({ stint, from, to }) => ({
        technician: told.technician,
        from: formatInstant(from),
        // What the rule has cut ended there, as far as the tape goes.
        to: stint.isOpen && !stint.isTorn ? null : formatInstant(to),
        running: stint.running.map(({ target, workType }) => ({ target, workType })),
      })),
      hours,
      act: act.value,
      reason: draft.value.reason,
    };
  }
  function clear(): void {
    ticked.value = [];
    draft.value = blank();
    acts.clearProblem();
  }
  return {
    ticked,
    draft,
    bodyOf,
    clear,
    toggle(key: string): void {
      ticked.value = ticked.value.includes(key)
        ? ticked.value.filter((each) => each !== key)
        : [...ticked.value, key];
    },
    confirm: async (body: RecordsEditJson, words: string) => {
      const isDone = await acts.make(words, (once) => callRoute('editRecords', { body: { ...body, once } }));
      if (isDone) clear();
    },
  };
}
export type RecordsEditing = ReturnType<typeof useRecordsEdit>;
