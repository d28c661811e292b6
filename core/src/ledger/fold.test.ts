import { AT_REST } from './fold.ts';
import { foldEntries } from './derive.ts';
import type { LaborEntry } from './entries.ts';
import { clock, entryId, factsWith, target, technician } from './shop.fixture.ts';

const ada = technician('ada');
type Start = { targets?: string[]; join?: boolean; machine?: string; chargeRate?: string; payClass?: string };
const start = ({ targets = ['a'], ...more }: Start, i: number): LaborEntry => ({
  id: entryId(`e${i}`),
  type: 'work-start',
  at: clock(7 + i),
  technician: ada,
  targets: targets.map(target),
  ...more,
});
/** What runs after some starts, and how many stints they have parted. */
function told(...starts: Start[]): string {
  const { state, timeline } = foldEntries(ada, AT_REST, starts.map(start), factsWith());
  const running = state.doing.status === 'work' ? state.doing.running : [];
  const words = running.map((each) =>
    [each.target, each.machine, each.chargeRate, each.payClass]
      .filter((word) => word !== undefined)
      .join(' '),
  );
  return `${words.join(', ')} after ${timeline.stints.length}`;
}

describe('what a start says of its work rides along', () => {
  test.each<[what: string, starts: Start[], told: string]>([
    ['the machine belongs to what runs', [{ machine: 'lathe' }], 'a lathe after 0'],
    ['the same again parts nothing', [{ machine: 'lathe' }, { machine: 'lathe' }], 'a lathe after 0'],
    ['another machine does', [{ machine: 'lathe' }, { machine: 'press' }], 'a press after 1'],
    ['and so does none', [{ machine: 'lathe' }, {}], 'a after 1'],
    ['another charge rate', [{ chargeRate: 'bench' }, { chargeRate: 'night' }], 'a night after 1'],
    ['another class of pay', [{ payClass: 'overtime' }, {}], 'a after 1'],
    [
      'joined, it becomes what the start says, in its place',
      [
        { targets: ['a', 'b'], machine: 'lathe' },
        { targets: ['a'], join: true, machine: 'press' },
      ],
      'a press, b lathe after 1',
    ],
    [
      'what the start does not name is absent',
      [
        { machine: 'lathe', payClass: 'double' },
        { join: true, machine: 'lathe' },
      ],
      'a lathe after 1',
    ],
    [
      'joined as it is parts nothing',
      [
        { targets: ['a', 'b'], machine: 'lathe' },
        { targets: ['b'], join: true, machine: 'lathe' },
      ],
      'a lathe, b lathe after 0',
    ],
  ])('%s', (_what, starts, expected) => expect(told(...starts)).toBe(expected));
});
