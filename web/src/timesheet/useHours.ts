import type { EnterHours } from '@wergon/contract/timesheet';
import { callRoute } from '../kit/index.ts';
import { useUndo } from '../loose-ends/index.ts';

type Row = EnterHours['rows'][number];

/** Lengths of time written down on a page: sent at once, with what takes them back and what the server refused. */
export function useHours() {
  const acts = useUndo();
  return {
    ...acts,
    enter: (rows: readonly Row[], words: string) =>
      acts.make(words, (once) => callRoute('enterHours', { body: { rows: [...rows], reason: '', once } })),
  };
}
