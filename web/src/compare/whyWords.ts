import type { AgainstJson } from '@wergon/contract/compare';
import { t } from '../words/index.ts';

export type CauseJson = AgainstJson['causes'][number];
/** What causes are told in. */
export type Unit = 'money' | 'hours';

type Says = { readonly money: (amount: string) => string; readonly hours: (seconds: number) => string };

const sign = (value: number): string => (value < 0 ? '−' : value > 0 ? '+' : '');
/** An amount, or a length, with its sign before it. */
export const sayMoneyMore = (amount: string, { money }: Says): string =>
  `${sign(Number(amount))}${money(String(Math.abs(Number(amount))))}`;
export const sayHoursMore = (seconds: number, { hours }: Says): string =>
  `${sign(seconds)}${hours(Math.abs(seconds))}`;

/** Why, in a few words: the largest first; of time in hours, of what an hour costs in money. */
export const sayWhy = (causes: readonly CauseJson[], says: Says): string =>
  [...causes]
    .sort((a, b) => Math.abs(Number(b.cost)) - Math.abs(Number(a.cost)))
    .map(
      ({ cause, seconds, cost }) =>
        `${t(`causes.${cause}`)} ${seconds === 0 ? sayMoneyMore(cost, says) : sayHoursMore(seconds, says)}`,
    )
    .join(', ');

/** The cause that counts most; nothing where there is none. */
export const largestCause = (causes: readonly CauseJson[]): CauseJson | undefined =>
  [...causes].sort((a, b) => Math.abs(Number(b.cost)) - Math.abs(Number(a.cost)))[0];

/** One bar of the bridge from what was estimated to what was used. */
export type BridgeBar = {
  readonly id: 'estimated' | 'actual' | CauseJson['cause'];
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly said: string;
};

/** The bridge from estimated to actual: each cause begins where the one before it ended. What goes on is held against no
 *  more of its estimate than was used. */
export function bridgeOf(against: AgainstJson, unit: Unit, says: Says, isFinished: boolean): BridgeBar[] {
  const valueOf = ({ seconds, cost }: CauseJson) => (unit === 'money' ? Number(cost) : seconds);
  const start = unit === 'money' ? Number(against.estimatedCost) : against.estimatedSeconds;
  const sayWhole = (value: number) => (unit === 'money' ? says.money(String(value)) : says.hours(value));
  const sayPart = (cause: CauseJson) =>
    unit === 'money' ? sayMoneyMore(cause.cost, says) : sayHoursMore(cause.seconds, says);
  let at = start;
  const parts = against.causes
    .filter((cause) => valueOf(cause) !== 0)
    .map((cause): BridgeBar => {
      const from = at;
      at += valueOf(cause);
      return { id: cause.cause, name: t(`causes.${cause.cause}`), from, to: at, said: sayPart(cause) };
    });
  const whole = (id: 'estimated' | 'actual', value: number): BridgeBar => ({
    id,
    name: t(
      id === 'actual'
        ? 'compare.actualBar'
        : isFinished
          ? 'compare.estimatedBar'
          : 'compare.estimatedSoFarBar',
    ),
    from: 0,
    to: value,
    said: sayWhole(value),
  });
  const end =
    unit === 'money'
      ? (Math.round(start * 100) + Math.round(Number(against.difference) * 100)) / 100
      : start + against.differenceSeconds;
  return [whole('estimated', start), ...parts, whole('actual', end)];
}
