import { createStationClock } from './stationClock.ts';

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

/** A device whose clock and running time are moved by hand. */
function device(kept: Record<string, string> = {}) {
  const time = { device: 10 * DAY, running: 0 };
  const storage = { ...kept };
  const clock = () =>
    createStationClock({
      device: () => time.device,
      running: () => time.running,
      storage: {
        getItem: (key) => storage[key] ?? null,
        setItem: (key, value) => {
          storage[key] = value;
        },
      },
    });
  const pass = (ms: number) => {
    time.device += ms;
    time.running += ms;
  };
  return { time, storage, clock, pass };
}

test('it shows the device’s time with the offset that was measured', () => {
  const { clock } = device();
  const station = clock();
  station.setServerTime({ ms: 10 * DAY + 5 * MINUTE, at: 0 });
  expect(station.now()).toBe(10 * DAY + 5 * MINUTE);
});

test.each([
  [-DAY, -DAY, 'set back a day'],
  [2 * 60 * MINUTE, 2 * 60 * MINUTE, 'set forward two hours'],
  [30_000, 0, 'half a minute is within what clocks drift'],
])('a clock moved by %i while the page runs is a jump of %i: %s', (moved, jump) => {
  const { time, clock, pass } = device();
  const station = clock();
  const before = station.now();
  pass(250);
  time.device += moved;
  expect(station.findJump()).toBe(jump);
  if (jump !== 0) expect(station.now()).toBe(before + 250);
  expect(station.findJump()).toBe(0);
});

test.each([-DAY, 2 * 60 * MINUTE])(
  'a clock moved by %i while an answer of the server is on its way moves no time, and is a jump all the same',
  (moved) => {
    const { time, clock, pass } = device();
    const station = clock();
    const said = 20 * DAY;
    pass(100);
    time.device += moved;
    pass(100);
    // The server said so half way between question and answer.
    station.setServerTime({ ms: said, at: 100 });
    expect(station.now()).toBe(said + 100);
    expect(station.findJump()).toBe(moved);
    expect(station.now()).toBe(said + 100);
    expect(station.findJump()).toBe(0);
  },
);

test('a device that slept has only slept', () => {
  const { time, clock, pass } = device();
  const station = clock();
  pass(6_000);
  time.device += 8 * 60 * MINUTE;
  expect(station.findJump()).toBe(0);
  expect(station.now()).toBe(10 * DAY + 6_000 + 8 * 60 * MINUTE);
});

test('a clock set back while the page was closed does not show time again that was shown before', () => {
  const { time, storage, clock } = device();
  clock().setServerTime({ ms: 10 * DAY, at: 0 });
  time.device -= DAY;
  const reopened = device(storage);
  reopened.time.device = time.device;
  const station = reopened.clock();
  expect(station.now()).toBe(10 * DAY);
  expect(station.findJump()).toBe(-DAY);
});
