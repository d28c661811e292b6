import { clock, target, technician, zone } from '../ledger/shop.fixture.ts';
import { addDays } from '../time/index.ts';
import { planNote } from './planNote.ts';

const today = zone.dayAt(clock(8));
const stint = (from: number, ...running: string[]) => ({
  from: clock(from),
  running: running.map((id) => ({ target: target(id), workType: 'run' as const })),
});
const note = (more: object = {}) => ({
  technician: technician('ada'),
  day: today,
  target: target('a'),
  text: 'Worn',
  ...more,
});
const placed = (
  about: ReturnType<typeof note>,
  stints: readonly ReturnType<typeof stint>[],
  asOf = clock(20),
) => {
  const change = planNote(about, stints, zone, asOf);
  return change.type === 'note' ? change.at : undefined;
};

test('it stands at the last beginning of the work that it is about', () => {
  expect(placed(note(), [stint(7, 'a'), stint(9, 'b'), stint(11, 'a', 'b'), stint(13, 'c')])).toBe(clock(11));
});

test('of work that went on from the day before it stands at the day’s beginning', () => {
  expect(placed(note(), [stint(-3, 'a')])).toBe(zone.startOf(today));
});

test('of what was not worked on, and of the day, at its end as far as that has come', () => {
  expect(placed(note({ target: target('z') }), [stint(7, 'a')], clock(15))).toBe(clock(15));
  expect(placed(note({ target: null }), [stint(7, 'a')], clock(15))).toBe(clock(15));
  const tomorrow = zone.startOf(addDays(today, 1));
  expect(placed(note({ target: null }), [], clock(40))).toBe(tomorrow - 1);
});

test('of the day it names nothing', () => {
  expect(planNote(note({ target: null }), [], zone, clock(15))).toEqual({
    type: 'note',
    technician: technician('ada'),
    at: clock(15),
    text: 'Worn',
  });
});
