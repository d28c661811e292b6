import { hash, verify } from '@node-rs/argon2';
import type { Clock } from '../http/index.ts';

/** Wrong PINs that a person has at one station before they must wait there, and at all of them together, and for how long
 *  they are remembered, in seconds. Whoever guesses at one station locks its owner out there, not everywhere. */
const MOST_WRONG_HERE = 5;
const MOST_WRONG = 20;
const REMEMBERED_SECONDS = 15 * 60;
/** Beyond this no more are remembered one by one. */
const MOST_REMEMBERED = 10_000;

export const hashPin = (pin: string): Promise<string> => hash(pin);

export type PinAnswer = 'right' | 'wrong' | 'wait';

type Wrong = { readonly at: number; readonly station: string };

/** Checks PINs, and stops listening to a person after too many wrong ones: four digits are soon guessed. */
export function createPinCheck(clock: Clock) {
  const wrong = new Map<string, readonly Wrong[]>();
  return async (
    station: string,
    technician: string,
    pinHash: string | null,
    pin: string,
  ): Promise<PinAnswer> => {
    // Nobody has this PIN: there is nothing to guess and nothing to remember.
    if (pinHash === null) return 'wrong';
    const since = clock.now() - REMEMBERED_SECONDS;
    const recent = (wrong.get(technician) ?? []).filter(({ at }) => at > since);
    const here = recent.filter((each) => each.station === station);
    if (here.length >= MOST_WRONG_HERE || recent.length >= MOST_WRONG) return 'wait';
    const [oldest] = wrong.size >= MOST_REMEMBERED ? wrong.keys() : [];
    if (oldest !== undefined) wrong.delete(oldest);
    // Counted before the slow check, so that many at once do not all slip through.
    wrong.set(technician, [...recent, { at: clock.now(), station }]);
    if (!(await verify(pinHash, pin))) return 'wrong';
    wrong.set(
      technician,
      recent.filter((each) => each.station !== station),
    );
    return 'right';
  };
}
