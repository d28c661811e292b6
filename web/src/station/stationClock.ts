/** A difference between the device's clock and its own running time that no measuring error explains. */
const JUMP_MS = 60_000;
/** A pause between two looks after which the device was asleep rather than its clock moved forward. */
const ASLEEP_MS = 5_000;
const OFFSET_KEY = 'wergon-clock-offset';
const LAST_KEY = 'wergon-clock-last';
/** The last time seen is written down this often. */
const REMEMBER_MS = 5_000;

/** What the server's clock said, in milliseconds, and when that was by this page's own running time, which nobody moves. */
export type ServerTime = { readonly ms: number; readonly at: number };

export type StationClock = {
  /** Milliseconds of the server's clock, as far as this device knows it. */
  readonly now: () => number;
  /** Milliseconds that are added to the device's clock. */
  readonly offsetMs: () => number;
  readonly setServerTime: (time: ServerTime) => void;
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
  /** Takes in how far the device's clock was moved since the last look; by how much. */
  function look(): number {
    const current = { device: device(), running: running() };
    const passed = current.running - seen.running;
    const drift = current.device - seen.device - passed;
    seen = current;
    const isAsleep = drift > 0 && passed > ASLEEP_MS;
    const isJump = Math.abs(drift) > JUMP_MS && !isAsleep;
    if (!isJump) return 0;
    offset -= drift;
    return drift;
  }
  return {
    now,
    offsetMs: () => offset,
    setServerTime: ({ ms, at }) => {
      // A jump up to here is within what the server says: it is said at the next look, and not reckoned with again.
      unsaid += look();
      offset = Math.round(ms + (running() - at) - device());
      storage.setItem(OFFSET_KEY, String(offset));
      storage.setItem(LAST_KEY, String(now()));
    },
    findJump: () => {
      const jump = unsaid + look();
      unsaid = 0;
      if (seen.running - rememberedAt > REMEMBER_MS) {
        rememberedAt = seen.running;
        storage.setItem(LAST_KEY, String(now()));
        storage.setItem(OFFSET_KEY, String(offset));
      }
      return jump;
    },
  };
}
