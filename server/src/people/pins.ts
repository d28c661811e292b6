import { hash, verify } from '@node-rs/argon2';
import type { Clock } from '../app/clock.ts';

/** Wrong PINs that a person has before he must wait, and for how long they are remembered, in seconds. */
const MOST_WRONG = 5;
const REMEMBERED_SECONDS = 15 * 60;

export const hashPin = (pin: string): Promise<string> => hash(pin);

export type PinAnswer = 'right' | 'wrong' | 'wait';

/** Checks PINs, and stops listening to a person after too many wrong ones: four digits are soon guessed. */
export function createPinCheck(clock: Clock) {
  const wrongAt = new Map<string, number[]>();
  return async (technician: string, pinHash: string | null, pin: string): Promise<PinAnswer> => {
    const since = clock.now() - REMEMBERED_SECONDS;
    const recent = (wrongAt.get(technician) ?? []).filter((at) => at > since);
    if (recent.length >= MOST_WRONG) return 'wait';
    // Counted before the slow check, so that many at once do not all slip through.
    wrongAt.set(technician, [...recent, clock.now()]);
    if (pinHash === null || !(await verify(pinHash, pin))) return 'wrong';
    wrongAt.delete(technician);
    return 'right';
  };
}
