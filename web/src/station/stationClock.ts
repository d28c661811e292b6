/** A difference between the device's clock and its own running time that no measuring error explains. */
const JUMP_MS = 60_000;
/** A pause between two looks after which the device was asleep rather than its clock moved forward. */
const ASLEEP_MS = 5_000;
const OFFSET_KEY = 'wergon-clock-offset';
const LAST_KEY = 'wergon-clock-last';
/** The last time seen is written down this often. */
const REMEMBER_MS = 5_000;

export type StationClock = {
  /** Milliseconds of the server's clock, as far as this device knows it. */
  readonly now: () => number;
  /** Milliseconds that are added to the device's clock. */
  readonly offsetMs: () => number;
  readonly setOffset: (offsetMs: number) => void;
  /** Looks whether the device's clock was moved. By how much, in milliseconds; 0 where it was not. The station's own
   *  time goes on as if nothing had happened. */
  readonly findJump: () => number;
};

type Ticking = {
  readonly device: () => number;
  readonly running: () => number;
  readonly storage: Pick<Storage, 'getItem' | 'setItem'>;
};

const inBrowser = (): Ticking => ({
  device: () => Date.now(),
  running: () => performance.now(),
  storage: localStorage,
});

/** The station's time: the device's clock with the offset to the server last measured. A clock that somebody moves
 *  while the page runs, or sets back while it is closed, does not move the station's time with it. */
export function createStationClock({ device, running, storage }: Ticking = inBrowser()): StationClock {
  let offset = Number(storage.getItem(OFFSET_KEY) ?? 0);
  let seen = { device: device(), running: running() };
  let rememberedAt = seen.running;
  const last = Number(storage.getItem(LAST_KEY) ?? 0);
  let unsaid = 0;
  const now = () => device() + offset;
  // Set back while the page was closed: time already shown here is not shown again.
  if (last - now() > JUMP_MS) {
    unsaid = now() - last;
    offset += last - now();
  }
  return {
    now,
    offsetMs: () => offset,
    setOffset: (measured) => {
      offset = measured;
      storage.setItem(OFFSET_KEY, String(measured));
      storage.setItem(LAST_KEY, String(now()));
    },
    findJump: () => {
      const current = { device: device(), running: running() };
      const passed = current.running - seen.running;
      const drift = current.device - seen.device - passed;
      seen = current;
      const isAsleep = drift > 0 && passed > ASLEEP_MS;
      const isJump = Math.abs(drift) > JUMP_MS && !isAsleep;
      if (isJump) offset -= drift;
      if (current.running - rememberedAt > REMEMBER_MS) {
        rememberedAt = current.running;
        storage.setItem(LAST_KEY, String(now()));
        storage.setItem(OFFSET_KEY, String(offset));
      }
      const jump = unsaid + (isJump ? drift : 0);
      unsaid = 0;
      return jump;
    },
  };
}
