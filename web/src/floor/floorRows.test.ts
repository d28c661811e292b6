import { technicianId } from '@wergon/contract/wire';
import type { Lane, Presently } from '@wergon/core/floor';
import { toInstant } from '@wergon/core/time';
import { SHOWN, isShown, rowsOf } from './floorRows.ts';
import type { Shown } from './floorRows.ts';

// What a lane needs to be shown: the rest of it is drawn, not asked.
const lane = (name: string, presently: Presently, blocks: readonly object[] = []) =>
  ({
    technician: { id: name, name },
    presently,
    since: undefined,
    blocks,
    enteredSeconds: 0,
  }) as unknown as Lane;

test.each<[presently: Presently, isPlanned: boolean, shown: readonly Shown[]]>([
  ['work', true, ['everybody', 'on tasks']],
  ['indirect', true, ['everybody', 'on indirect work']],
  ['break', true, ['everybody', 'on break']],
  ['nothing', true, ['everybody', 'no task']],
  ['out', true, ['not here']],
  ['out', false, []],
])('somebody who is on %s, planned now: %s, is shown among %j', (presently, isPlanned, shown) => {
  const own = lane('ada', presently);
  const planned = isPlanned ? { from: toInstant(0), to: toInstant(100) } : null;
  const person = {
    technician: technicianId.parse('ada'),
    crew: '',
    planned,
    isAway: false,
    billedSeconds: null,
  };
  expect(SHOWN.filter((each) => isShown(own, each, person, toInstant(50)))).toEqual(shown);
});

test('lanes stand under their group, with the scans of the opened block behind their lane', () => {
  const block = { kind: 'work', stint: { from: 100 } };
  const lanes = [lane('ada', 'work', [block]), lane('bo', 'out'), lane('cy', 'break')];
  const opened = { technician: 'ada', from: 100 as never };
  const rows = rowsOf(lanes, ({ technician }) => (technician.name === 'cy' ? 'Test' : 'Winding'), opened);
  expect(
    rows.map((row) =>
      row.kind === 'group' ? `${row.name} ${row.peopleIn}` : `${row.kind} ${row.lane.technician.name}`,
    ),
  ).toEqual(['Winding 1', 'lane ada', 'scans ada', 'lane bo', 'Test 1', 'lane cy']);
});
