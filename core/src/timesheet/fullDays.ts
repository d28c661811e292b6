import type { TechnicianId } from '../people/index.ts';
import type { LocalDay } from '../time/index.ts';

/** A length that is to be written down. */
type Written = { readonly technician: TechnicianId; readonly day: LocalDay; readonly seconds: number };

/** Places of rows that would make a day hold more than it has, one after the other: what each holds already, and what
 *  rows before it put there. A row of nothing fits any day. `heldOn` and `lengthOf` are in seconds, and a day of 25 hours
 *  has them. Source: docs/ledger.md, section 5. */
export function findFullDays(
  rows: readonly Written[],
  heldOn: (technician: TechnicianId, day: LocalDay) => number,
  lengthOf: (day: LocalDay) => number,
): readonly number[] {
  const held = new Map<string, number>();
  return rows.flatMap(({ technician, day, seconds }, place) => {
    const key = `${technician} ${day}`;
    const sum = (held.get(key) ?? heldOn(technician, day)) + seconds;
    held.set(key, sum);
    return sum <= lengthOf(day) || seconds === 0 ? [] : [place];
  });
}
