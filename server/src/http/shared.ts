import type { ReadAnswer } from './apart.ts';

/** Different answers that are kept: far more than those who listen ask for at once. */
const MOST_KEPT = 200;

/** Keeps answers that are the same for everybody who may ask, until something changes: those who hear of the same commit
 *  ask for the same. */
export function createShared(versionNow: () => number) {
  const answers = new Map<string, Promise<ReadAnswer>>();
  let version = -1;
  return (key: string, make: () => Promise<ReadAnswer>): Promise<ReadAnswer> => {
    if (version !== versionNow()) answers.clear();
    version = versionNow();
    const known = answers.get(key);
    if (known) return known;
    // Nobody fills the memory with questions that differ in nothing but how they are put.
    if (answers.size >= MOST_KEPT) answers.clear();
    const answer = make();
    answers.set(key, answer);
    // What went wrong once may go right the next time.
    answer.catch(() => answers.delete(key));
    return answer;
  };
}
