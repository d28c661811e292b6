/** Takes in answers that need a while to be made ready. One that is older than what is known by then has nothing to say,
 *  whether it came late or only took longer: otherwise a station shows what was true before its own last scan. */
export function inOrder<T extends { readonly seq: number }, R>(
  knownSeq: () => number,
  prepare: (answer: T) => Promise<R>,
  take: (answer: T, ready: R) => void,
): (answer: T) => Promise<void> {
  return async (answer) => {
    if (answer.seq < knownSeq()) return;
    const ready = await prepare(answer);
    if (answer.seq < knownSeq()) return;
    take(answer, ready);
  };
}
