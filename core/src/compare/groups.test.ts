import fc from 'fast-check';
import { toCents } from '../money/money.ts';
import { toInstant } from '../time/instant.ts';
import { toSeconds } from '../time/seconds.ts';
import { dated } from '../time/dated.ts';
import type { OrderState } from '../work/orderState.ts';
import { CAUSES } from './causes.ts';
import type { Cause, CausedDifference } from './causes.ts';
import { finishedAtOf } from './finishedJob.ts';
import { groupDifferences, mainCauses } from './groups.ts';

type Share = [cause: Cause, cents: number, seconds?: number];
/** What something differs by, from its causes. */
function of(...shares: Share[]): CausedDifference {
  const total = (place: 1 | 2) => shares.reduce((sum, share) => sum + (share[place] ?? 0), 0);
  return {
    isFinished: true,
    expectedSeconds: toSeconds(0),
    expectedCost: toCents(0),
    difference: toCents(total(1)),
    differenceSeconds: toSeconds(total(2)),
    causes: shares.map(([cause, cents, seconds = 0]) => ({
      cause,
      cents: toCents(cents),
      seconds: toSeconds(seconds),
    })),
    includedSeconds: toSeconds(0),
    measuredSeconds: toSeconds(0),
  };
}

describe('the causes that count most', () => {
  const said = (job: CausedDifference, tasks: Record<string, CausedDifference>) =>
    mainCauses(
      job,
      Object.entries(tasks).map(([title, difference]) => ({ title, difference })),
    )
      .map(({ cause, cents, task }) => `${cause} ${cents}${task === null ? '' : ` at ${task}`}`)
      .join(', ');
  test.each<[what: string, job: CausedDifference, tasks: Record<string, CausedDifference>, told: string]>([
    ['nothing differs', of(), {}, ''],
    [
      'all of it at one task',
      of(['run', 900]),
      { winding: of(['run', 900]), bake: of() },
      'run 900 at winding',
    ],
    [
      'two thirds are enough',
      of(['run', 900]),
      { winding: of(['run', 600]), bake: of(['run', 300]) },
      'run 900 at winding',
    ],
    ['spread over tasks', of(['run', 900]), { winding: of(['run', 500]), bake: of(['run', 400]) }, 'run 900'],
    [
      'what is saved can count most',
      of(['run', -900], ['rate', 100]),
      { bake: of(['run', -900]) },
      'run -900 at bake',
    ],
    [
      'a second one of at least a third',
      of(['run', 900], ['rework', 300], ['mix', 290]),
      {},
      'run 900, rework 300',
    ],
    ['no more than two', of(['run', 900], ['rework', 800], ['mix', 700]), {}, 'run 900, rework 800'],
    ['of equal ones the earlier first', of(['rate', 500], ['setup', 500]), {}, 'setup 500, rate 500'],
    [
      'hours without money still count',
      of(['run', 0, 7200]),
      { bake: of(['run', 0, 7200]) },
      'run 0 at bake',
    ],
  ])('%s', (_what, job, tasks, told) => expect(said(job, tasks)).toBe(told));
});

test('groups of any key add up to the whole, each thing in one of them, most over first', () => {
  const anyShare = fc.tuple(
    fc.constantFrom(...CAUSES),
    fc.integer({ min: -9999, max: 9999 }),
    fc.integer({ min: -9999, max: 9999 }),
  );
  const anyItem = fc.record({
    key: fc.constantFrom('a', 'b', 'c', ''),
    shares: fc.array(anyShare, { maxLength: 4 }),
  });
  fc.assert(
    fc.property(fc.array(anyItem, { maxLength: 12 }), (items) => {
      const groups = groupDifferences(
        items,
        ({ key }) => key,
        ({ shares }) => of(...shares),
      );
      const whole = of(...items.flatMap(({ shares }) => shares));
      const sum = (pick: (each: CausedDifference) => number) =>
        groups.reduce((total, { difference }) => total + pick(difference), 0);
      expect(sum(({ difference }) => difference)).toBe(whole.difference);
      expect(sum(({ differenceSeconds }) => differenceSeconds)).toBe(whole.differenceSeconds);
      for (const cause of CAUSES) {
        const own = ({ causes }: CausedDifference) =>
          causes.filter((each) => each.cause === cause).reduce((total, { cents }) => total + cents, 0);
        expect(sum(own)).toBe(own(whole));
      }
      expect(groups.flatMap((group) => group.items)).toHaveLength(items.length);
      const told = groups.map(({ difference }) => difference.difference);
      expect(told).toEqual([...told].sort((a, b) => b - a));
    }),
  );
});

describe('when a job was finished', () => {
  const at = (time: number | null) => (time === null ? null : toInstant(time));
  const task = (time: number | null, isAccepted = true) => ({ finishedAt: at(time), isAccepted });
  const states = (...list: [number, OrderState][]) =>
    list.map(([from, value]) => ({ from: toInstant(from), value }));
  test.each<
    [what: string, tasks: ReturnType<typeof task>[], states: ReturnType<typeof states>, told: number | null]
  >([
    ['with the last of its tasks', [task(50), task(70), task(60)], states([0, 'released']), 70],
    ['not while one goes on', [task(50), task(null)], states([0, 'released']), null],
    [
      'what was offered and not accepted holds up nothing',
      [task(50), task(null, false)],
      states([0, 'released']),
      50,
    ],
    [
      'an order that is closed ends what was never finished',
      [task(50), task(null)],
      states([0, 'released'], [90, 'closed']),
      90,
    ],
    [
      'first finished, then closed: since it was finished',
      [task(null)],
      states([0, 'released'], [80, 'finished'], [90, 'closed']),
      80,
    ],
    ['taken up again it goes on', [task(null)], states([0, 'finished'], [90, 'released']), null],
    ['its tasks say it better than its order', [task(50)], states([0, 'released'], [90, 'closed']), 50],
    ['nothing to do is never done', [], states([0, 'released']), null],
  ])('%s', (_what, tasks, inStates, told) => expect(finishedAtOf(tasks, inStates)).toBe(told));
  test('an order that was never anything else is finished since then', () =>
    expect(finishedAtOf([], dated<OrderState>('finished'))).not.toBeNull());
});
