import type { LaborLine, Ledger, LooseEnd } from '@wergon/core/ledger';
import { formatCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { formatDay, formatInstant } from '@wergon/core/time';
import { by } from './inOrder.ts';

/** What a result says of the ledger beside its labor lines. */
export function writeLedger(ledger: Ledger) {
  const stints = [...ledger.stints].sort(
    by(
      ({ technician }) => technician,
      ({ from }) => from,
    ),
  );
  const attendance = [...ledger.attendance].sort(
    by(
      ({ technician }) => technician,
      ({ day }) => day,
    ),
  );
  return {
    stints: stints.map(({ technician, from, to, running, open, capped }) => ({
      technician,
      from: formatInstant(from),
      to: formatInstant(to),
      targets: running.map(({ target, workType }) => ({ target, workType })),
      open,
      capped,
    })),
    attendance: attendance.map((each) => ({ ...each, day: formatDay(each.day) })),
    looseEnds: ledger.looseEnds.flatMap(writeLooseEnd).sort(
      by(
        ({ kind }) => kind,
        ({ technician }) => technician,
        ({ at }) => at,
      ),
    ),
  };
}

function writeLooseEnd({ kind, technician, entries, from, to, day, seconds }: LooseEnd) {
  const fromText = from === undefined ? '' : formatInstant(from);
  const dayText = day === undefined ? '' : formatDay(day);
  const named = (at: string) => [{ kind, technician: technician ?? '', at }];
  switch (kind) {
    case 'double-shift-in':
    case 'shift-out-without-in':
    case 'stop-without-start':
      return named(entries[0] ?? '');
    case 'forgotten-stop':
    case 'forgotten-shift-out':
    case 'long-break':
      return named(fromText);
    case 'gap':
      return named(`${fromText} ${to === undefined ? '' : formatInstant(to)}`);
    case 'work-outside-shift':
      return named(`${dayText} ${seconds ?? 0}`);
    case 'no-rate':
      return named(dayText);
    case 'cost-changed':
    case 'split-changed':
    case 'not-released':
    case 'after-done':
    case 'clock':
    case 'clock-jump':
    case 'unknown-code':
    case 'refused-entry':
    case 'badge-hop':
    case 'badge-pair':
      return [];
  }
}

/** Labor lines in the order of a result. */
export const inOrderOfLines = <Line extends LaborLine>(lines: readonly Line[]): Line[] =>
  [...lines].sort(
    by(
      ({ technician }) => technician,
      ({ target }) => target,
      ({ workType }) => workType,
      ({ day }) => day,
    ),
  );

/** Money that may not be known. */
export const writeCost = (cost: Cents | null): string | null => (cost === null ? null : formatCents(cost));

export const writeLine = (line: LaborLine) => ({
  ...line,
  day: formatDay(line.day),
  cost: writeCost(line.cost),
});
