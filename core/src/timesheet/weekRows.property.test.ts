import fc from 'fast-check';
import { deriveLedger } from '../ledger/index.ts';
import type { HoursEntry } from '../ledger/index.ts';
import {
  THE_END,
  anyEntries,
  clock,
  entryId,
  factsWith,
  target,
  technician,
} from '../ledger/shop.fixture.ts';
import { addDays, toDay, toSeconds } from '../time/index.ts';
import { joinRows, secondsOfCell, secondsOfCells, weekRows } from './weekRows.ts';

const facts = factsWith();
const MONDAY = toDay(20_535);
const ada = technician('ada');

test('the cells of a week add up to the labor lines of its days, row by row and in all', () => {
  fc.assert(
    fc.property(anyEntries, (entries) => {
      const ledger = deriveLedger(entries, facts, THE_END);
      const stints = ledger.stints.filter((stint) => stint.technician === ada);
      const hours = entries.filter(
        (entry): entry is HoursEntry => entry.type === 'hours' && entry.technician === ada,
      );
      const rows = weekRows(MONDAY, stints, hours, facts);
      const lines = ledger.lines.filter(
        ({ technician: who, day }) => who === ada && day >= MONDAY && day < addDays(MONDAY, 7),
      );
      for (const row of rows) {
        const own = lines.filter((line) => line.target === row.target && line.workType === row.workType);
        expect(secondsOfCells(row.cells)).toBe(own.reduce((sum, { seconds }) => sum + seconds, 0));
      }
      const all = joinRows(MONDAY, rows);
      expect(secondsOfCells(all)).toBe(lines.reduce((sum, { seconds }) => sum + seconds, 0));
      expect(all.map(({ day }) => day)).toEqual(Array.from({ length: 7 }, (_, i) => addDays(MONDAY, i)));
    }),
  );
});

const hoursOn = (day: number, seconds: number): HoursEntry => ({
  id: entryId(`h${day}-${seconds}`),
  type: 'hours',
  technician: ada,
  targets: [target('a')],
  day: toDay(MONDAY + day),
  seconds: toSeconds(seconds),
});

test.each<[days: readonly number[], cells: readonly number[], why: string]>([
  [[0], [600, 0, 0, 0, 0, 0, 0], 'Monday is the first cell'],
  [[6], [0, 0, 0, 0, 0, 0, 600], 'Sunday the last'],
  [[-1, 7], [], 'what lies outside the week is not in it'],
  [[2, 2], [0, 0, 1200, 0, 0, 0, 0], 'two lengths of one day stand in one cell'],
])('hours written down %j days after Monday fill %j: %s', (days, cells) => {
  const [row] = weekRows(
    MONDAY,
    [],
    days.map((day) => hoursOn(day, 600)),
    facts,
  );
  expect((row?.cells ?? []).map(secondsOfCell)).toEqual(cells);
});

test('a stint over midnight is in both days, and what goes on is open where it ends', () => {
  const stint = {
    technician: ada,
    from: clock(22),
    to: clock(26),
    running: [{ target: target('a'), workType: 'run' as const }],
    open: true,
    capped: false,
    opened: entryId('e1'),
  };
  const [row] = weekRows(MONDAY, [stint], [], facts);
  expect(row?.cells.slice(0, 2)).toMatchObject([
    { scannedSeconds: 7200, isOpen: false },
    { scannedSeconds: 7200, isOpen: true },
  ]);
});
