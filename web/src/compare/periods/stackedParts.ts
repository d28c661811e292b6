import { CAUSES } from '@wergon/core/compare';
import type { Cause, CausedDifference, DifferenceUnit } from '@wergon/core/compare';
import { t } from '../../words/index.ts';
import { inkOf } from '../chartInk.ts';
import type { Theme } from '../chartInk.ts';
import type { UseBar } from './useBars.ts';

/** One of the things that lie upon each other, with its length in each bar. */
export type StackedPart = {
  readonly name: string;
  readonly lengths: readonly number[];
  readonly ink: (theme: Theme) => string | CanvasPattern;
  readonly isOutlined: boolean;
};

/** What some differences are made of, cause upon cause; of one cause alone where one was chosen. */
export function partsOfCauses(
  differences: readonly CausedDifference[],
  unit: DifferenceUnit,
  chosen: Cause | undefined,
): readonly StackedPart[] {
  const lengthOf = ({ causes }: CausedDifference, cause: Cause) => {
    const own = causes.find((each) => each.cause === cause);
    return own ? (unit === 'money' ? own.cents : own.seconds) : 0;
  };
  return CAUSES.filter((cause) => chosen === undefined || cause === chosen).flatMap((cause) => {
    const lengths = differences.map((each) => lengthOf(each, cause));
    if (lengths.every((length) => length === 0)) return [];
    const ink = (theme: Theme) => inkOf(cause, theme);
    return [{ name: t(`causes.${cause}`), lengths, ink, isOutlined: true }];
  });
}

const USE = [
  ['used', '--bar'],
  ['down', '--attention-fill'],
  ['idle', '--bar-open'],
] as const;
/** What machines did: used, down, and idle above that. */
export const partsOfUse = (bars: readonly UseBar[]): readonly StackedPart[] =>
  USE.map(([part, ink]) => ({
    name: t(`machineParts.${part}`),
    lengths: bars.map((bar) => bar[part]),
    ink: (theme) => theme(ink),
    isOutlined: part !== 'idle',
  }));
