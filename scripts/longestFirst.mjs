import Sequencer from '@jest/test-sequencer';

/** The tests that take by far the longest. Where none was run before they would be begun by their size, which says nothing
 *  about them, and one processor would be done long before the other. */
const LONGEST = ['demo/src/makeDemo', 'web/src/labels/labels', 'server/src/loose-ends/preview.property'];

export default class LongestFirst extends Sequencer {
  sort(tests) {
    const place = ({ path }) => {
      const found = LONGEST.findIndex((name) => path.includes(name));
      return found < 0 ? LONGEST.length : found;
    };
    return [...super.sort(tests)].sort((a, b) => place(a) - place(b));
  }
}
