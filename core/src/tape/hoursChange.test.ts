import { correctedEntry } from '../ledger/index.ts';
import type { HoursEntry, LaborEntry } from '../ledger/index.ts';
import { entryId, target, technician } from '../ledger/shop.fixture.ts';
import { toDay, toSeconds } from '../time/index.ts';
import { addHours, amendHours } from './hoursChange.ts';
import type { HoursFields } from './hoursChange.ts';

const fields: HoursFields = {
  technician: technician('ada'),
  target: target('a'),
  workType: 'run',
  day: toDay(20_535),
  seconds: toSeconds(3600),
};
const written = (more: Partial<HoursFields> = {}): HoursEntry => {
  const [change] = addHours({ ...fields, ...more });
  return { ...(change as Omit<HoursEntry, 'id'>), id: entryId('h1') };
};

test.each<[more: Partial<HoursFields>, expected: unknown, why: string]>([
  [{}, { type: 'hours', technician: 'ada', targets: ['a'], day: 20_535, seconds: 3600 }, 'run needs no word'],
  [{ workType: 'rework' }, { workType: 'rework' }, 'another kind does'],
])('with %j is written down %j: %s', (more, expected) =>
  expect(addHours({ ...fields, ...more })).toMatchObject([expected]),
);
test('of nothing nothing is written down', () => {
  expect(addHours({ ...fields, seconds: toSeconds(0) })).toEqual([]);
});

test.each<[before: Partial<HoursFields>, to: Partial<HoursFields>, set: unknown, why: string]>([
  [{}, {}, undefined, 'as it is'],
  [{}, fields, undefined, 'the same said again'],
  [{}, { seconds: toSeconds(1800) }, { seconds: 1800 }, 'another length'],
  [{}, { technician: technician('bo') }, { technician: 'bo' }, 'somebody else'],
  [{}, { target: target('b') }, { targets: ['b'] }, 'another task'],
  [{}, { workType: 'rework' }, { workType: 'rework' }, 'another kind'],
  [{ workType: 'rework' }, { workType: 'run' }, { workType: null }, 'run has no word'],
  [{}, { day: toDay(20_536), seconds: toSeconds(60) }, { day: 20_536, seconds: 60 }, 'two things at once'],
])('of %j, to be %j, is amended %j: %s', (before, to, set) => {
  const [change] = amendHours(written(before), to);
  expect(change?.type === 'amend' ? change.set : undefined).toEqual(set);
});

test('an amendment makes of a length what was wanted; of nothing it never was', () => {
  const wanted: HoursFields = {
    technician: technician('bo'),
    target: target('b'),
    workType: 'setup',
    day: toDay(20_540),
    seconds: toSeconds(60),
  };
  const correct = (entry: LaborEntry, to: Partial<HoursFields>) =>
    correctedEntry(
      entry,
      amendHours(entry as HoursEntry, to).map((change) => ({ ...change, id: entryId('c') }) as never),
    );
  expect(correct(written(), wanted)).toEqual(written(wanted));
  expect(correct(written(), { seconds: toSeconds(0) })).toBeUndefined();
});
