import type { Board, Lane } from '@wergon/core/floor';
import { toInstant, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';

const HOUR = 3600;
/** Hours that the ruler shows when nobody works outside them. */
const USUAL_FROM = 6;
const USUAL_TO = 18;

/** The ruler of a day: which hours it shows and where an instant lies on it, as a share of its width. */
export type TapeScale = {
  readonly fromHour: number;
  readonly toHour: number;
  readonly place: (at: Instant) => number;
  /** Where an hour of the wall clock stands. */
  readonly placeHour: (hour: number) => number;
  /** The instant at a share of the width, to the second. */
  readonly at: (share: number) => Instant;
};

/** The ruler from one hour of a day to another. */
export function createHourScale(midnight: Instant, fromHour: number, toHour: number): TapeScale {
  const placeHour = (hour: number) => (hour - fromHour) / (toHour - fromHour);
  return {
    fromHour,
    toHour,
    placeHour,
    place: (at) => placeHour((at - midnight) / HOUR),
    at: (share) => toInstant(Math.round(midnight + (fromHour + share * (toHour - fromHour)) * HOUR)),
  };
}

export function createTapeScale(board: Board, lanes: readonly Lane[], day: LocalDay): TapeScale {
  const midnight = board.facts.zone.startOf(day);
  const nextMidnight = board.facts.zone.startOf(addDays(day, 1));
  let fromHour = USUAL_FROM;
  let toHour = USUAL_TO;
  for (const { blocks } of lanes) {
    const [first, last] = [blocks[0], blocks.at(-1)];
    if (first) fromHour = Math.min(fromHour, Math.floor((first.from - midnight) / HOUR));
    if (last) toHour = Math.max(toHour, Math.ceil((last.to - midnight) / HOUR));
  }
  toHour = Math.min(toHour, Math.ceil((nextMidnight - midnight) / HOUR));
  return createHourScale(midnight, fromHour, toHour);
}

/** How many people were charged to something, quarter hour by quarter hour, over the ruler. */
export function countByQuarter(lanes: readonly Lane[], scale: TapeScale, midnight: Instant): number[] {
  const quarters = (scale.toHour - scale.fromHour) * 4;
  const counts = Array.from({ length: quarters }, () => 0);
  for (const { blocks } of lanes)
    for (const block of blocks) {
      if (block.kind !== 'work') continue;
      for (let i = 0; i < quarters; i += 1) {
        const middle = midnight + scale.fromHour * HOUR + i * 900 + 450;
        if (block.from <= middle && middle < block.to) counts[i] = (counts[i] ?? 0) + 1;
      }
    }
  return counts;
}
