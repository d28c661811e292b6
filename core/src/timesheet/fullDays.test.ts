import { technician } from '../ledger/shop.fixture.ts';
import { toDay } from '../time/index.ts';
import { findFullDays } from './fullDays.ts';

const HOUR = 3600;
const row = (who: string, day: number, hours: number) => ({
  technician: technician(who),
  day: toDay(day),
  seconds: hours * HOUR,
});

test.each<[held: number, length: number, rows: ReturnType<typeof row>[], full: number[], why: string]>([
  [0, 24, [row('ada', 1, 24)], [], 'a whole day fits'],
  [0, 24, [row('ada', 1, 24.5)], [0], 'and no more'],
  [0, 25, [row('ada', 1, 24.5)], [], 'unless the clocks went back'],
  [0, 23, [row('ada', 1, 23.5)], [0], 'or forward'],
  [20, 24, [row('ada', 1, 5)], [0], 'what the day holds counts'],
  [20, 24, [row('ada', 1, 4), row('ada', 1, 1)], [1], 'and what rows before put there'],
  [20, 24, [row('ada', 1, 4), row('bo', 1, 4), row('ada', 2, 4)], [], 'of that person and that day alone'],
  [30, 24, [row('ada', 1, 0)], [], 'taking hours out of a day that is too full is no fault'],
  [0, 24, [], [], 'nothing fills nothing'],
])('with %i of %i hours held, %j: %j (%s)', (held, length, rows, full) => {
  const found = findFullDays(
    rows,
    () => held * HOUR,
    () => length * HOUR,
  );
  expect(found).toEqual(full);
});
