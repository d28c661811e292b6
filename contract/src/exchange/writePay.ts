import { formatCents, toCents } from '@wergon/core/money';
import type { LaborLine } from '@wergon/core/ledger';
import type { PaidAway } from '@wergon/core/pay';
import { formatDay } from '@wergon/core/time';
import { by } from './inOrder.ts';
import type { PaidPerson } from './replayPay.ts';
import { writeCost, writeLine } from './writeLedger.ts';

export function writePaidLine({ premium = toCents(0), ...line }: LaborLine) {
  const straight = line.cost === null ? null : toCents(line.cost - premium);
  return {
    ...writeLine(line),
    straight: writeCost(straight),
    premium: writeCost(line.cost === null ? null : premium),
  };
}

/** What a result says of how everybody is paid. */
export const writePay = (people: readonly PaidPerson[]) => ({
  pay: people
    .flatMap(({ technician, days }) =>
      days.map(({ day, straight, overtime, double, premium, ...told }) => ({
        technician,
        day: formatDay(day),
        paidSeconds: told.paidSeconds,
        straightSeconds: straight,
        overtimeSeconds: overtime,
        doubleSeconds: double,
        unallocatedSeconds: told.unallocatedSeconds,
        premium: formatCents(premium),
        split: told.split,
      })),
    )
    .sort(
      by(
        ({ technician }) => technician,
        ({ day }) => day,
      ),
    ),
  paidAway: people
    .flatMap(({ technician, away }) =>
      away.map(({ day, kind, seconds }) => ({
        technician,
        day: formatDay(day),
        kind: writeKind(kind),
        seconds,
      })),
    )
    .sort(
      by(
        ({ technician }) => technician,
        ({ day }) => day,
        ({ kind }) => kind,
      ),
    ),
});

const writeKind = (kind: PaidAway['kind']): string => (kind.of === 'leave' ? `leave ${kind.name}` : kind.of);
