import { itemAt } from '../result/index.ts';
import { allocateStint } from '../ledger/index.ts';
import type { EntryId, HoursEntry, LedgerFacts, Stint, TargetId } from '../ledger/index.ts';
import { addDays, sumSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** A length of time that was written down, an entry of its own. */
export type EnteredLength = {
  readonly id: EntryId;
  readonly seconds: Seconds;
  readonly workType: WorkType;
};

/** What one day of a week holds of one thing. */
export type WeekCell = {
  readonly day: LocalDay;
  /** Seconds of stints, which are put right on the tape. */
  readonly scannedSeconds: Seconds;
  readonly entered: readonly EnteredLength[];
  /** Whether some of it still goes on. */
  readonly isOpen: boolean;
};

/** What a week holds of one kind of work on one task or activity: seven cells, from Monday on. */
export type WeekRow = {
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly cells: readonly WeekCell[];
};

const DAYS = 7;
const emptyWeek = (monday: LocalDay): WeekCell[] =>
  Array.from({ length: DAYS }, (_, i) => ({
    day: addDays(monday, i),
    scannedSeconds: toSeconds(0),
    entered: [],
    isOpen: false,
  }));

/** Seconds of a cell, scanned and written down. */
export const secondsOfCell = ({ scannedSeconds, entered }: WeekCell): Seconds =>
  toSeconds(scannedSeconds + sumSeconds(entered));

/** Seconds of a row, its cells together. */
export const secondsOfCells = (cells: readonly WeekCell[]): Seconds =>
  toSeconds(cells.reduce((sum, cell) => sum + secondsOfCell(cell), 0));

/** A person's week by what they were on and the kind of work, in the order in which it first came: what lies outside the
 *  seven days from `monday` on is left out, and a stint over midnight is in the days that it lies in. The cells add up to
 *  what was charged and written down on these days. Source: docs/ledger.md, section 5. */
export function weekRows(
  monday: LocalDay,
  stints: readonly Stint[],
  hours: readonly HoursEntry[],
  facts: LedgerFacts,
): readonly WeekRow[] {
  const rows = new Map<string, { target: TargetId; workType: WorkType; cells: WeekCell[] }>();
  const change = (
    target: TargetId,
    workType: WorkType,
    day: LocalDay,
    changed: (cell: WeekCell) => WeekCell,
  ): void => {
    const key = `${target} ${workType}`;
    const place = day - monday;
    if (place < 0 || place >= DAYS) return;
    const row = rows.get(key) ?? { target, workType, cells: emptyWeek(monday) };
    rows.set(key, row);
    row.cells[place] = changed(itemAt(row.cells, place));
  };
  for (const stint of stints)
    for (const { target, workType, day, seconds, to } of allocateStint(stint, facts))
      change(target, workType, day, (cell) => ({
        ...cell,
        scannedSeconds: toSeconds(cell.scannedSeconds + seconds),
        isOpen: cell.isOpen || (stint.open && to === stint.to),
      }));
  for (const { id, targets, workType = 'run', day, seconds } of hours)
    for (const target of targets)
      change(target, workType, day, (cell) => ({
        ...cell,
        entered: [...cell.entered, { id, seconds, workType }],
      }));
  return [...rows.values()];
}

/** Rows taken together, day by day: all kinds of work on one task, or nothing at all. */
export const joinRows = (monday: LocalDay, rows: readonly WeekRow[]): readonly WeekCell[] =>
  rows.reduce<readonly WeekCell[]>(
    (cells, row) =>
      cells.map((cell, i) => {
        const other = itemAt(row.cells, i);
        return {
          day: cell.day,
          scannedSeconds: toSeconds(cell.scannedSeconds + other.scannedSeconds),
          entered: [...cell.entered, ...other.entered],
          isOpen: cell.isOpen || other.isOpen,
        };
      }),
    emptyWeek(monday),
  );
