import type { EntryId } from '@wergon/core/ledger';
import type { WeekCell } from '@wergon/core/timesheet';

/** Says of cells whether hours in them were entered elsewhere: those are put right there alone. */
export const sourceOfCells =
  (elsewhere: ReadonlySet<EntryId>) =>
  ({ entered, ...cell }: WeekCell) => ({
    ...cell,
    entered: [...entered],
    isElsewhere: entered.some(({ id }) => elsewhere.has(id)),
  });
