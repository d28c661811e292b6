import type { Acceptance, ChosenAnswer } from '@wergon/contract/loose-ends';
import { callRoute } from '../kit/index.ts';
import { useUndo } from './useUndo.ts';

/** Answers given on this page, and what is accepted as it is. */
export function useAnswers() {
  const { made, isBusy, problem, undo, make, run } = useUndo();
  return {
    made,
    isBusy,
    problem,
    undo,
    answer: (answers: ChosenAnswer[], words: string) =>
      make(words, () => callRoute('answerLooseEnd', { body: { answers } })),
    accept: (acceptance: Acceptance) => run(() => callRoute('acceptLooseEnd', { body: acceptance })),
    withdraw: (id: string) => run(() => callRoute('withdrawAcceptance', { body: { id } })),
  };
}
